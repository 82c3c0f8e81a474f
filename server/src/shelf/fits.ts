import type { FluidFitDto } from '@yugator/contracts';
import { COMPONENT_KEYS, FIT_STANDINGS } from '@yugator/core';
import type { Fit } from '@yugator/core';
import { Article, FitRow } from '../models/shelf.model.js';
import { storedTraits } from './articleTraits.js';

/** An article that fits a machine, with what stands on the shelf of it. */
export interface ShelvedFit extends Fit {
  readonly reason: string;
  readonly article: Article;
}

function placeOf({ component, standing }: Fit): number {
  return COMPONENT_KEYS.indexOf(component) * FIT_STANDINGS.length + FIT_STANDINGS.indexOf(standing);
}

/** What fits a machine, in the order of components, of each the original first. */
export async function fitsOf(machineId: string): Promise<ShelvedFit[]> {
  const rows = await FitRow.findAll({ where: { machineId }, include: [{ model: Article, required: true }] });
  return rows
    .flatMap(({ component, articleId, quantity, standing, reason, article }) =>
      article ? [{ component, articleId, quantity, standing, reason, article }] : [],
    )
    .sort((a, b) => placeOf(a) - placeOf(b) || a.article.name.localeCompare(b.article.name));
}

/** The fluids among what fits. */
export function fluidFits(fits: readonly ShelvedFit[]): FluidFitDto[] {
  return fits.flatMap(({ component, articleId, standing, article }) =>
    article.kind === 'fluid'
      ? [{ component, articleId, standing, name: article.name, fluid: storedTraits(article).fluid }]
      : [],
  );
}
