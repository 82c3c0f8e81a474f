import type { JobItem } from '../models/job.model.js';

type Placed = Pick<JobItem, 'itemId'> & {
  readonly item?: { readonly bookId: string | null; readonly place: number } | undefined;
};

/** Behind all books: what only this machine has. */
const OWN = '~';

/** Where an item stands: its book, earlier ones first, then its line there. */
function compare(a: Placed, b: Placed): number {
  const [bookA, bookB] = [a.item?.bookId ?? OWN, b.item?.bookId ?? OWN];
  if (bookA !== bookB) return bookA < bookB ? -1 : 1;
  return (a.item?.place ?? 0) - (b.item?.place ?? 0) || (a.itemId < b.itemId ? -1 : 1);
}

/** The items of a job book by book, line by line, whatever order the database gave them in. */
export function inBookOrder<T extends Placed>(items: readonly T[]): T[] {
  return items.toSorted(compare);
}
