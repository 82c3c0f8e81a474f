/** What stands before a text in UTF-16, low byte first. */
const UTF16_MARK = [0xff, 0xfe];

/**
 * The text of a file from a spreadsheet: UTF-8, or UTF-16 where its mark says so; older ones write the alphabet of their
 * country, of which the Western one is tried.
 */
export function textOf(bytes: Uint8Array): string {
  if (UTF16_MARK.every((byte, at) => bytes[at] === byte)) return new TextDecoder('utf-16le').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    // Which is all that it can be refused for.
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
