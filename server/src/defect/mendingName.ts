/** Mending a defect as work beside lines of books. */
export function mendingName(words: string): string {
  return `Mend: ${words}`;
}
