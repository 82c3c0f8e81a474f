import { factorOf, shownUnit } from './units.js';
import type { Dimension, Unit, UnitSystem } from './units.js';

/** Figures from a book: one value, or a range. In the SI unit of their dimension. */
export interface QuantityRange {
  readonly low: number;
  /** the same as `low` for a single value */
  readonly high: number;
}

/** The ways in which books and people write units, without spaces, points and case. */
const SPELLINGS: Readonly<Record<string, Unit>> = {
  l: 'L',
  litre: 'L',
  litres: 'L',
  liter: 'L',
  liters: 'L',
  ml: 'mL',
  cc: 'mL',
  gal: 'gal',
  gallon: 'gal',
  gallons: 'gal',
  qt: 'qt',
  qts: 'qt',
  quart: 'qt',
  quarts: 'qt',
  pt: 'pt',
  pint: 'pt',
  pints: 'pt',
  cup: 'cup',
  cups: 'cup',
  oz: 'fl oz',
  floz: 'fl oz',
  ounce: 'fl oz',
  ounces: 'fl oz',
  nm: 'N·m',
  lbfft: 'lbf·ft',
  ftlbf: 'lbf·ft',
  lbft: 'lbf·ft',
  ftlb: 'lbf·ft',
  ftlbs: 'lbf·ft',
  lbsft: 'lbf·ft',
  lbfin: 'lbf·in',
  inlbf: 'lbf·in',
  lbin: 'lbf·in',
  inlb: 'lbf·in',
  inlbs: 'lbf·in',
  kpa: 'kPa',
  bar: 'bar',
  psi: 'psi',
  mm: 'mm',
  cm: 'cm',
  in: 'in',
  inch: 'in',
  inches: 'in',
  '"': 'in',
  mil: 'mil',
  mils: 'mil',
  thou: 'mil',
  kw: 'kW',
  hp: 'hp',
  bhp: 'hp',
  v: 'V',
  volt: 'V',
  volts: 'V',
  '%': '%',
  percent: '%',
  '°': '°',
  deg: '°',
  degrees: '°',
};

const FIGURE = /^(\d+(?:[.,]\d+)?|[.,]\d+)(?:[ -](\d+)\/(\d+))?$|^(\d+)\/(\d+)$/;
const RANGE = /^(.*?\d)\s*(?:-|–|to)\s*([\d.,][\d.,/ ]*)$/i;

/** A figure as books print it: 2.1, 2,1, 1/2, 1 1/2 or 1-1/2; null for anything else. */
function figure(text: string): number | null {
  const parts = FIGURE.exec(text.trim());
  if (!parts) return null;
  const [, whole, above, below, onlyAbove, onlyBelow] = parts;
  if (onlyAbove !== undefined) return Number(onlyAbove) / Number(onlyBelow);
  const fraction = above === undefined ? 0 : Number(above) / Number(below);
  return Number(String(whole).replace(',', '.')) + fraction;
}

/** What is spelled after the figures of `text`, as the table above has it; empty where nothing is. */
function spelling(text: string): { written: string; key: string } {
  const written = /(?:[a-z"%°·.\s-]|\*)+$/i.exec(text)?.[0] ?? '';
  return { written, key: written.toLowerCase().replace(/[\s.·*-]/g, '') };
}

/** The unit that somebody typed after a figure; null where there is none, or none of the trade. */
export function unitTyped(text: string): Unit | null {
  return SPELLINGS[spelling(text.trim()).key] ?? null;
}

/** The unit at the end of `text`; `fallback` where there is none, null where it does not measure `dimension`. */
function unitAtEnd(text: string, dimension: Dimension, fallback: Unit): { unit: Unit; rest: string } | null {
  const { written, key } = spelling(text);
  if (key === '') return { unit: fallback, rest: text };
  const unit = SPELLINGS[key];
  if (unit === undefined || factorOf(unit, dimension) === null) return null;
  return { unit, rest: text.slice(0, text.length - written.length) };
}

/**
 * A value or a range typed with or without a unit ("2.1 qt", "67 oz", "15-18 lbf·ft", "30 psi"), in the SI unit of `dimension`.
 * Without a unit, `fallback` counts. Null where it is no figure or a unit of something else; so is a range that runs backwards.
 */
export function parseRange(text: string, dimension: Dimension, fallback: Unit): QuantityRange | null {
  const ending = unitAtEnd(text.trim(), dimension, fallback);
  if (!ending) return null;
  const factor = factorOf(ending.unit, dimension);
  if (factor === null) return null;
  const one = figure(ending.rest);
  if (one !== null) return Number.isFinite(one) ? { low: one * factor, high: one * factor } : null;
  const bounds = RANGE.exec(ending.rest.trim());
  const [low, high] = [figure(bounds?.[1] ?? ''), figure(bounds?.[2] ?? '')];
  if (low === null || high === null || !Number.isFinite(low + high) || low > high) return null;
  return { low: low * factor, high: high * factor };
}

/** A single value typed with or without a unit, in the SI unit of `dimension`; null as for {@link parseRange}, and for a range. */
export function parseQuantity(text: string, dimension: Dimension, fallback: Unit): number | null {
  const range = parseRange(text, dimension, fallback);
  return range && range.low === range.high ? range.low : null;
}

/** A value in SI as a figure of `unit` with at most `decimals`, without zeros at the end. */
export function inUnit(value: number, dimension: Dimension, unit: Unit, decimals: number): string {
  const factor = factorOf(unit, dimension) ?? 1;
  return String(Number((value / factor).toFixed(decimals)));
}

/** A value or range in SI as `system` shows it, with its unit: "1.99 L", "15-18 lbf·ft". */
export function shownRange({ low, high }: QuantityRange, dimension: Dimension, system: UnitSystem): string {
  const { unit, decimals } = shownUnit(dimension, system);
  const [from, to] = [low, high].map((value) => inUnit(value, dimension, unit, decimals));
  return `${from === to ? from : `${from}–${to}`} ${unit}`;
}

/** A value in SI as `system` shows it, with its unit: "1.99 L". */
export function shownValue(value: number, dimension: Dimension, system: UnitSystem): string {
  return shownRange({ low: value, high: value }, dimension, system);
}
