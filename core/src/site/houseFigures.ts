import { isRecord } from '../names/record.js';
import { inUnit } from '../units/quantity.js';
import { shownUnit } from '../units/units.js';
import type { Dimension } from '../units/units.js';

/** A figure that a crew may hold otherwise than others do. */
export interface HouseFigure {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  /** what is allowed, both ends included */
  readonly least: number;
  readonly most: number;
  /** decimals in SI that are kept */
  readonly decimals: number;
  /** as shipped */
  readonly standard: number;
  readonly why: string;
}

export const HOUSE_FIGURES = [
  {
    key: 'snugDegrees',
    label: 'Snugged with the wrench, by',
    dimension: 'angle',
    least: 30,
    most: 180,
    decimals: 0,
    standard: 90,
    why: 'Where a spin-on filter is snugged after it touches: a quarter turn is 90°.',
  },
  {
    key: 'shadeShare',
    label: 'A shade under full',
    dimension: 'share',
    least: 0.02,
    most: 0.5,
    decimals: 3,
    standard: 0.1,
    why: 'Of the way from the low to the full mark, where the fill ends a shade under.',
  },
  {
    key: 'restGoodVolts',
    label: 'A battery at rest is good from',
    dimension: 'voltage',
    // At 12.2 V it is half charged: below that it freezes, and it ages while it stands.
    least: 12.2,
    most: 12.7,
    decimals: 2,
    standard: 12.4,
    why: '12.4 V is about three quarters. Below 12.2 V, half, none is accepted.',
  },
] as const satisfies readonly HouseFigure[];

export type HouseFigureKey = (typeof HOUSE_FIGURES)[number]['key'];

/** The crew's own figures, in the SI unit of their dimension. */
export type HouseFigures = { readonly [K in HouseFigureKey]: number };

/** Whether a figure may be chosen. */
export function isAllowedFigure({ least, most }: HouseFigure, value: unknown): value is number {
  return typeof value === 'number' && value >= least && value <= most;
}

/** Whether a loose value says all of the figures, each within what is allowed, and nothing else. */
export function isHouseFigures(value: unknown): value is HouseFigures {
  return (
    isRecord(value) &&
    Object.keys(value).length === HOUSE_FIGURES.length &&
    HOUSE_FIGURES.every((figure) => isAllowedFigure(figure, value[figure.key]))
  );
}

/** The chosen figures, as shipped wherever none, or none that is allowed, was chosen. */
export function figuresWithDefaults(chosen: Readonly<Record<string, unknown>> | null): HouseFigures {
  const figures: unknown = Object.fromEntries(
    HOUSE_FIGURES.map((figure) => {
      const value = chosen?.[figure.key];
      return [figure.key, isAllowedFigure(figure, value) ? value : figure.standard];
    }),
  );
  if (!isHouseFigures(figures)) throw new Error('Two house figures have the same key.');
  return figures;
}

export const DEFAULT_FIGURES = figuresWithDefaults(null);

/** Words with each `{key}` in its figure. */
export function figureWords(words: string, figures: HouseFigures): string {
  return HOUSE_FIGURES.reduce((said, { key, dimension }) => {
    // Volts, parts and degrees are said alike everywhere.
    const { unit, decimals } = shownUnit(dimension, 'metric');
    return said.replaceAll(`{${key}}`, inUnit(figures[key], dimension, unit, decimals));
  }, words);
}
