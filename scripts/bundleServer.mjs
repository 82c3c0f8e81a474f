// Puts the server and its packages into one file, and keeps what the engine makes of it beside it: a start reads these two instead of two
// thousand, and takes half the time.
import { execFileSync } from 'node:child_process';
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { rolldown } from 'rolldown';

const dist = fileURLToPath(new URL('../server/dist', import.meta.url));

/** What brings compiled code or reads files of its own, and so stays where it is. */
const IN_PLACE = ['@node-rs/argon2', 'highs', 'pdfmake', 'piscina', 'sharp', 'swagger-ui-dist'];
/** What others ask for only where it is installed, which it is not. */
const ABSENT = [
  ...['@nestjs/microservices', '@nestjs/websockets', '@nestjs/platform-express'],
  ...['@fastify/multipart', '@fastify/view', 'class-transformer/storage', 'pg-hstore'],
];
const isLeftOut = (name) =>
  [...IN_PLACE, ...ABSENT].some((each) => name === each || name.startsWith(`${each}/`));

/** The commands that umzug would add to a program of its own, and with them half of its weight in packages: nobody gives them. */
const withoutCommands = {
  name: 'without-commands',
  resolveId: (name, importer) =>
    name === './cli' && importer?.includes('/umzug/') ? { id: '\0no-commands' } : null,
  load: (id) => (id === '\0no-commands' ? 'export {};' : null),
};

const bundle = await rolldown({
  input: { start: join(dist, 'launch', 'start.js') },
  platform: 'node',
  external: isLeftOut,
  plugins: [withoutCommands],
  resolve: { mainFields: ['main'] },
});
const whole = join(dist, 'whole');
// Code is not told from that of another file of the same length.
rmSync(whole, { recursive: true, force: true });
await bundle.write({
  // As deep as the folders of the build: paths from a file to others of the server stay true.
  dir: whole,
  format: 'cjs',
  entryFileNames: '[name].cjs',
  codeSplitting: false,
  // A script of the engine's has no import of its own.
  dynamicImportInCjs: false,
  // Errors, tables and providers are known by the names of their classes.
  keepNames: true,
});
const keepCode = fileURLToPath(new URL('keepCode.cjs', import.meta.url));
execFileSync(process.execPath, [keepCode], { stdio: ['ignore', 'ignore', 'inherit'] });
