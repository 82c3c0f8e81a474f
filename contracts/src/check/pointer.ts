/** A JSON pointer as a fragment: `~` and `/` in names are escaped (RFC 6901). */
export function pointerTo(path: readonly (string | number)[]): string {
  return ['#', ...path.map((part) => String(part).replaceAll('~', '~0').replaceAll('/', '~1'))].join('/');
}
