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

/** An article that a component takes, and how much of it. */
export interface FittingArticle {
  readonly articleId: string;
  readonly quantity: number;
  readonly standing: FitStanding;
}

/** What one component of an item takes: one of these articles, the original before an equal before a substitute. */
export interface FittingChoice {
  readonly itemId: string;
  readonly component: Component;
  readonly articles: readonly [FittingArticle, ...FittingArticle[]];
}

type ReplacedItem = Pick<WorkItem, 'id' | 'action' | 'components'>;

/** The components that items replace together. */
export function replacedComponents(items: readonly ReplacedItem[]): ReadonlySet<Component> {
  return new Set(items.filter(({ action }) => action === 'replace').flatMap(({ components }) => components));
}

/** What an item may take by what fits the machine, where all of `replaced` is replaced with it; nothing unless it replaces. */
export function fittingChoices(
  { id, action, components }: ReplacedItem,
  replaced: ReadonlySet<Component>,
  fits: readonly Fit[],
  spec: Pick<MachineSpec, 'fluids'>,
): FittingChoice[] {
  if (action !== 'replace') return [];
  return components.flatMap((component) => {
    const [first, ...others] = fits
      .filter((fit) => fit.component === component)
      .sort((a, b) => FIT_STANDINGS.indexOf(a.standing) - FIT_STANDINGS.indexOf(b.standing))
      .flatMap((fit) => {
        const quantity = quantityOf(fit, replaced, spec);
        const { articleId, standing } = fit;
        return quantity !== null && quantity > 0 ? [{ articleId, quantity, standing }] : [];
      });
    return first ? [{ itemId: id, component, articles: [first, ...others] as const }] : [];
  });
}

/** What an item takes, and for which component. */
export interface FittingNeed extends ItemArticle {
  readonly component: Component;
}

/**
 * What replacing something takes by what fits the machine, an article for each component; in the order of the items. One of which there
 * is enough comes before one of which there is not. A filter that is changed by any of `items` is reckoned with in what is filled in.
 */
export function fittingNeeds(
  items: readonly ReplacedItem[],
  fits: readonly Fit[],
  spec: Pick<MachineSpec, 'fluids'>,
  onHand: ReadonlyMap<string, number>,
): FittingNeed[] {
  const replaced = replacedComponents(items);
  const isEnough = ({ articleId, quantity }: FittingArticle) => (onHand.get(articleId) ?? 0) >= quantity;
  return items
    .flatMap((item) => fittingChoices(item, replaced, fits, spec))
    .map(({ itemId, component, articles }) => {
      const { articleId, quantity } = articles.find(isEnough) ?? articles[0];
      return { itemId, articleId, quantity, component };
    });
}

/** What all items take: by what fits the machine, and what their lines name besides where the machine says nothing of their components. */
export function needsOf<N extends ItemArticle>(
  items: readonly ReplacedItem[],
  fits: readonly Fit[],
  spec: Pick<MachineSpec, 'fluids'>,
  onHand: ReadonlyMap<string, number>,
  ofLines: readonly N[],
): (FittingNeed | N)[] {
  const fitting = fittingNeeds(items, fits, spec, onHand);
  const settled = new Set(fitting.map(({ itemId }) => itemId));
  return [...fitting, ...ofLines.filter(({ itemId }) => !settled.has(itemId))];
}
