/** A JSON pointer as a fragment: `~` and `/` in names are escaped (RFC 6901). */
export function pointerTo(path: readonly (string | number)[]): string {
  return ['#', ...path.map((part) => String(part).replaceAll('~', '~0').replaceAll('/', '~1'))].join('/');
}

/** The parts of a JSON pointer, as a fragment or plain: the inverse of {@link pointerTo}. */
export function pointerParts(pointer: string): string[] {
  return pointer
    .replace(/^#/, '')
    .split('/')
    .slice(1)
    .map((part) => part.replaceAll('~1', '/').replaceAll('~0', '~'));
}
