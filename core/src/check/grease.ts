/** A fitting after it was pumped. */
export type GreaseVerdict =
  | 'usual'
  /** twice the usual strokes or more: it was dry, or the grease runs out somewhere */
  | 'dryOrLeaking'
  /** it takes none: blocked or cross-threaded, a defect */
  | 'blocked';

/** Grams of grease that a stroke of a hand gun gives, and that a cartridge holds (common practice). */
export const GRAMS_OF_STROKE = 1.3;
export const GRAMS_OF_CARTRIDGE = 400;

export function judgeStrokes(strokes: number, usual: number): GreaseVerdict {
  if (strokes <= 0) return 'blocked';
  return strokes >= 2 * usual ? 'dryOrLeaking' : 'usual';
}

/** How much of a cartridge so many strokes take. */
export function cartridgesOf(strokes: number): number {
  return (strokes * GRAMS_OF_STROKE) / GRAMS_OF_CARTRIDGE;
}

/** Cartridges for so many strokes, opened ones among them. */
export function cartridgesFor(strokes: number): number {
  return Math.ceil(cartridgesOf(strokes) - 1e-9);
}
