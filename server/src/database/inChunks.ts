/** Rows that one statement writes at most. */
const ROWS_AT_ONCE = 500;

/** Hands on a long list in parts, one after the other. */
export async function inChunks<T>(
  list: readonly T[],
  write: (chunk: T[]) => Promise<unknown>,
): Promise<void> {
  for (let from = 0; from < list.length; from += ROWS_AT_ONCE)
    await write(list.slice(from, from + ROWS_AT_ONCE));
}
