const LEAST_LETTERS = 3;

/** Whether some words are a reason: fewer letters say nothing. */
export function isReason(words: string): boolean {
  return words.trim().length >= LEAST_LETTERS;
}
