/** Words as a sentence or an entry of a list begins: "mend it soon" as "Mend it soon". */
export function capital(words: string): string {
  return `${words.charAt(0).toUpperCase()}${words.slice(1)}`;
}
