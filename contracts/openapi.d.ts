/** What @nestjs/swagger needs to know of the classes here; made by build-openapi.mjs. */
declare const metadata: () => Promise<Record<string, unknown>>;
export default metadata;
