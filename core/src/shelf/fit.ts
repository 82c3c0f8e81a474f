import type { Component } from '../component/components.js';
import { componentSpec } from '../component/components.js';
import type { ItemArticle } from '../job/proposedDraw.js';
import { roundQuantity } from './ledger.js';
import type { MachineSpec, WorkItem } from '../procedure/machineSetUp.js';

/** How an article that fits stands to what the maker fitted: the same, one like it, or one that takes its place for a reason. */
export const FIT_STANDINGS = ['original', 'equal', 'substitute'] as const;
export type FitStanding = (typeof FIT_STANDINGS)[number];

/** An article that a machine takes for a component. */
export interface Fit {
  readonly component: Component;
  readonly articleId: string;
  /** pieces or litres; null for as much as the card says of a fluid, and one of anything else */
  readonly quantity: number | null;
  readonly standing: FitStanding;
}

/** The filter that goes with a fluid: with it changed, more is filled in. */
const FILTER_OF: Partial<Record<Component, Component>> = {
  engineOil: 'engineOilFilter',
  transmissionOil: 'transmissionFilter',
  hydroOil: 'hydroFilters',
  hydraulicOil: 'hydraulicFilters',
};

/**
 * Of the articles that fit a component, the one to take: the original before an equal before a substitute, but one of which there is
 * enough before one of which there is not.
 */
function chosenFit(fits: readonly Fit[], component: Component, isEnough: (fit: Fit) => boolean): Fit | null {
  const own = fits
    .filter((fit) => fit.component === component)
    .sort((a, b) => FIT_STANDINGS.indexOf(a.standing) - FIT_STANDINGS.indexOf(b.standing));
  return own.find(isEnough) ?? own[0] ?? null;
}

/** How much of what fits is taken: as the fit says, else the litres of the card, else one. Null where the card does not say. */
function quantityOf(
  { component, quantity }: Fit,
  replaced: ReadonlySet<Component>,
  spec: Pick<MachineSpec, 'fluids'>,
): number | null {
  if (quantity !== null) return quantity;
  if (componentSpec(component).is !== 'fluid') return 1;
  const line = spec.fluids.find((fluid) => fluid.component === component);
  if (!line) return null;
  const filter = FILTER_OF[component];
  const isFilterChanged = filter === undefined || replaced.has(filter);
  // A card in quarts has more decimals than the shelf counts.
  return roundQuantity(
    isFilterChanged ? line.litresWithFilter : (line.litresWithoutFilter ?? line.litresWithFilter),
  );
}

/** What an item takes, and for which component. */
export interface FittingNeed extends ItemArticle {
  readonly component: Component;
}

/**
 * What replacing something takes by what fits the machine, an article for each component; in the order of the items. A filter that is
 * changed by any of `items` is reckoned with in what is filled in.
 */
export function fittingNeeds(
  items: readonly Pick<WorkItem, 'id' | 'action' | 'components'>[],
  fits: readonly Fit[],
  spec: Pick<MachineSpec, 'fluids'>,
  onHand: ReadonlyMap<string, number>,
): FittingNeed[] {
  const replacing = items.filter(({ action }) => action === 'replace');
  const replaced = new Set(replacing.flatMap(({ components }) => components));
  return replacing.flatMap(({ id, components }) =>
    components.flatMap((component) => {
      const takes = (fit: Fit) => quantityOf(fit, replaced, spec);
      const isEnough = (fit: Fit) => (onHand.get(fit.articleId) ?? 0) >= (takes(fit) ?? 0);
      const fit = chosenFit(fits, component, isEnough);
      const quantity = fit && takes(fit);
      return fit && quantity !== null && quantity > 0
        ? [{ itemId: id, articleId: fit.articleId, quantity, component }]
        : [];
    }),
  );
}

/** What all items take: by what fits the machine, and what their lines name besides where the machine says nothing of their components. */
export function needsOf<N extends ItemArticle>(
  items: readonly Pick<WorkItem, 'id' | 'action' | 'components'>[],
  fits: readonly Fit[],
  spec: Pick<MachineSpec, 'fluids'>,
  onHand: ReadonlyMap<string, number>,
  ofLines: readonly N[],
): (FittingNeed | N)[] {
  const fitting = fittingNeeds(items, fits, spec, onHand);
  const settled = new Set(fitting.map(({ itemId }) => itemId));
  return [...fitting, ...ofLines.filter(({ itemId }) => !settled.has(itemId))];
}
