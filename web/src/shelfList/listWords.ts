import type { ListDoes, ListLineDto, ShelfList } from '@yugator/contracts';
import { countWords } from '../words/figures.js';

/** What each list is, and what a line of it says. */
export const LIST_WORDS: Readonly<Record<ShelfList, { readonly title: string; readonly holds: string }>> = {
  articles: {
    title: 'Articles',
    holds:
      'A line for each kit, part and fluid: numbers, place, price, least wanted, label and measures. An article is found by its number, else by its name.',
  },
  prices: {
    title: 'Prices of suppliers',
    holds:
      'A line for each pack that a supplier sells: which article, their number, what it holds, its price.',
  },
  kits: { title: 'What kits hold', holds: 'A line for each article in a kit, and how much of it.' },
  fits: {
    title: 'What fits the machines',
    holds: 'A line for each article that a machine takes for a component: original, equal or substitute.',
  },
};

export const DOES_WORDS: Readonly<Record<ListDoes, string>> = {
  new: 'New',
  change: 'Changes',
  same: 'Stays',
  fault: 'Put right',
};

/** What a list does, in a sentence. */
export function countsWords({ new: fresh, change, same, fault }: Readonly<Record<ListDoes, number>>): string {
  const parts = [
    fresh ? `${countWords(fresh, 'line')} ${fresh === 1 ? 'is' : 'are'} new` : '',
    change ? `${countWords(change, 'line')} ${change === 1 ? 'changes' : 'change'} something` : '',
    same ? `${countWords(same, 'line')} ${same === 1 ? 'says' : 'say'} what is known` : '',
    fault ? `${countWords(fault, 'line')} ${fault === 1 ? 'has' : 'have'} to be put right` : '',
  ].filter(Boolean);
  return parts.length ? `${parts.join('; ')}.` : 'There is no line below the headings.';
}

/** What a line would change: "price (GBP): 28.90 → 29.50". */
export function lineSentences({ changes, faults }: ListLineDto): string[] {
  return [...faults, ...changes.map(({ heading, from, to }) => `${heading}: ${from || '–'} → ${to || '–'}`)];
}
