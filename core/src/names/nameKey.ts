/**
 * A name as the database compares it: without regard to capitals, accents, full width or blanks at its ends. Two names with one key
 * are one name for it (an approximation of the Unicode Collation Algorithm at its first level, which `utf8mb4_unicode_520_ci` follows).
 */
export function nameKey(name: string): string {
  return name
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replaceAll('ß', 'ss')
    .replaceAll('ø', 'o')
    .replaceAll('đ', 'd')
    .replaceAll('ł', 'l')
    .trim();
}

/** The places at which a name stands that stood before. */
export function repeatedNames(names: readonly string[]): number[] {
  const seen = new Set<string>();
  return names.flatMap((name, index) => {
    const key = nameKey(name);
    if (seen.has(key)) return [index];
    seen.add(key);
    return [];
  });
}
