import { cartridgesOf } from '../check/grease.js';
import type { MachineSpec } from '../procedure/machineSetUp.js';
import type { ScheduleItem } from '../schedule/item.js';
import { FIT_STANDINGS } from './fit.js';
import type { Fit, FittingArticle } from './fit.js';
import { roundQuantity } from './ledger.js';

/** Greasing all points leaves out what has a book of its own. */
const APART = 'loaderPins';

/** The usual strokes of a card at the fittings that an item greases. */
function strokesOf(
  { components }: Pick<ScheduleItem, 'components'>,
  spec: Pick<MachineSpec, 'fittings'>,
): number {
  const isAll = components.includes('greasePoints');
  return spec.fittings
    .filter(
      ({ component }) => component && (components.includes(component) || (isAll && component !== APART)),
    )
    .reduce((sum, { strokes }) => sum + strokes, 0);
}

/**
 * The grease that an item takes: as much of a cartridge as the usual strokes of the card come to. What fits its own component counts, else
 * what fits all grease points. Nothing unless it greases, or where the card names none of its fittings.
 */
export function greaseChoices(
  item: Pick<ScheduleItem, 'action' | 'components'>,
  fits: readonly Fit[],
  spec: Pick<MachineSpec, 'fittings'>,
): FittingArticle[] {
  const strokes = item.action === 'grease' ? strokesOf(item, spec) : 0;
  if (strokes === 0) return [];
  const own = fits.filter(({ component }) => item.components.includes(component));
  const fitting = own.length ? own : fits.filter(({ component }) => component === 'greasePoints');
  return fitting
    .toSorted((a, b) => FIT_STANDINGS.indexOf(a.standing) - FIT_STANDINGS.indexOf(b.standing))
    .map(({ articleId, quantity, standing }) => ({
      articleId,
      quantity: quantity ?? roundQuantity(cartridgesOf(strokes)),
      standing,
    }));
}
