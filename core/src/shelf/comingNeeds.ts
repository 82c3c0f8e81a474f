import { dayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { ItemArticle } from '../job/proposedDraw.js';
import type { MachineSpec } from '../procedure/machineSetUp.js';
import type { ComingWork } from '../schedule/comingWork.js';
import { fittingChoices, replacedComponents } from './fit.js';
import type { Fit, FittingArticle } from './fit.js';
import { greaseChoices } from './greaseNeed.js';

/** What falls due within so many days is done in one visit, where a filter changes how much oil goes in (common practice). */
const ONE_VISIT_DAYS = 14;

/** Work that is coming and takes something from the shelf: one of `articles`, the preferred first. */
export interface NeedingWork extends Pick<ComingWork, 'earlyOn' | 'expectedOn' | 'lateOn'> {
  readonly articles: readonly { readonly articleId: string; readonly quantity: number }[];
}

/** What a machine takes, as far as it is known. */
export interface TakesOfMachine {
  readonly fits: readonly Fit[];
  readonly spec: Pick<MachineSpec, 'fluids' | 'fittings'>;
  /** what the lines of its books name, which counts where nothing is said to fit */
  readonly ofLines: readonly ItemArticle[];
  /** the house rule asks for the maker's own parts */
  readonly makersOnly: boolean;
}

/** Where the maker's own are wanted, those alone, if there are any. */
function allowed(articles: readonly FittingArticle[], makersOnly: boolean): NeedingWork['articles'] {
  const originals = articles.filter(({ standing }) => standing === 'original');
  const left = makersOnly && originals.length ? originals : articles;
  return left.map(({ articleId, quantity }) => ({ articleId, quantity }));
}

/** What the coming work of a machine takes, in its order; each component of an item by itself. What takes nothing is left out. */
export function comingNeeds(
  coming: readonly ComingWork[],
  { fits, spec, ofLines, makersOnly }: TakesOfMachine,
): NeedingWork[] {
  const replacing = coming
    .filter(({ item }) => item.action === 'replace')
    .map(({ item, expectedOn }) => ({ item, day: dayNumber(expectedOn) }));
  const replacedAbout = (on: CivilDate) => {
    const day = dayNumber(on);
    const beside = replacing.filter((each) => Math.abs(each.day - day) <= ONE_VISIT_DAYS);
    return replacedComponents(beside.map(({ item }) => item));
  };
  return coming.flatMap(({ item, earlyOn, expectedOn, lateOn }) => {
    const dates = { earlyOn, expectedOn, lateOn };
    const choices =
      item.action === 'replace' ? fittingChoices(item, replacedAbout(expectedOn), fits, spec) : [];
    if (choices.length)
      return choices.map(({ articles }) => ({ ...dates, articles: allowed(articles, makersOnly) }));
    const grease = greaseChoices(item, fits, spec);
    if (grease.length) return [{ ...dates, articles: allowed(grease, makersOnly) }];
    return ofLines
      .filter(({ itemId }) => itemId === item.id)
      .map(({ articleId, quantity }) => ({ ...dates, articles: [{ articleId, quantity }] }));
  });
}
