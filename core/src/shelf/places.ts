/** What lies at a place of the shelf. */
export interface Placed {
  /** '' where nobody said */
  readonly place: string;
  readonly name: string;
}

/** Places and names as somebody walks along a shelf: Bin 2 before Bin 10. */
const ALONG = new Intl.Collator('en-GB', { numeric: true, sensitivity: 'base' });

/** Articles by place, those of no place last, at each place by name. */
export function byPlaces<A extends Placed>(articles: readonly A[]): { place: string; articles: A[] }[] {
  const places = new Map<string, A[]>();
  for (const article of articles) places.set(article.place, [...(places.get(article.place) ?? []), article]);
  return [...places]
    .map(([place, own]) => ({ place, articles: own.sort((a, b) => ALONG.compare(a.name, b.name)) }))
    .sort((a, b) => Number(a.place === '') - Number(b.place === '') || ALONG.compare(a.place, b.place));
}
