/** A jug or bottle with a scale on its side. */
export interface Jug {
  /** litres it holds */
  readonly size: number;
  /** litres that stand in it */
  readonly level: number;
}

/** Pour from one jug until it stands at a level. */
export interface JugPour {
  /** which of the jugs, counted from 0 */
  readonly jug: number;
  /** litres it stands at before */
  readonly from: number;
  /** litres it stands at when to stop; 0 pours it out */
  readonly until: number;
}

export interface Pouring {
  readonly pours: readonly JugPour[];
  /** the jugs afterwards */
  readonly left: readonly Jug[];
  /** litres that the jugs could not give */
  readonly short: number;
}

const NOTHING = 1e-9;

/** Pours `litres` out of jugs in their order, each as far as it goes. Levels never fall below nothing. */
export function pourFrom(jugs: readonly Jug[], litres: number): Pouring {
  let missing = litres;
  const pours: JugPour[] = [];
  const left = jugs.map((jug, index) => {
    const poured = Math.min(jug.level, Math.max(0, missing));
    if (poured <= NOTHING) return jug;
    missing -= poured;
    const until = jug.level - poured < NOTHING ? 0 : jug.level - poured;
    pours.push({ jug: index, from: jug.level, until });
    return { ...jug, level: until };
  });
  return { pours, left, short: missing > NOTHING ? missing : 0 };
}

/** So many full jugs of a size as `litres` take. */
export function fullJugs(size: number, litres: number): Jug[] {
  const count = Math.max(1, Math.ceil(litres / size - NOTHING));
  return Array.from({ length: count }, () => ({ size, level: size }));
}

/** What a person is told to do with jugs, one after the other. */
export type JugAct =
  /** empties so many of them */
  | { readonly kind: 'pourOut'; readonly jugs: number }
  /** pours until a jug stands at a mark of its scale, or half way between two */
  | { readonly kind: 'stopAt'; readonly from: number; readonly until: number }
  /** measures so many litres out of a jug whose scale does not tell them */
  | { readonly kind: 'measure'; readonly litres: number };

/** What nobody pours nearer than: 15 mL, half a fluid ounce, or a hundredth of all. */
const LEAST_OFF = 0.015;
const SHARE_OFF = 0.01;

/**
 * The acts that pour what `pours` say, near enough: to the marks of a jug (`mark` litres apart) and halves between them, never at a full
 * or an empty jug; the rest that no mark tells is measured. All together within 15 mL or 1 % of what was wanted.
 */
export function jugActs(pours: readonly JugPour[], mark: number): JugAct[] {
  const total = pours.reduce((sum, { from, until }) => sum + from - until, 0);
  const near = Math.max(LEAST_OFF, SHARE_OFF * total) + NOTHING;
  const last = pours.find(({ until }) => until > near);
  const whole = pours.filter((pour) => pour !== last).length;
  const acts: JugAct[] = whole ? [{ kind: 'pourOut', jugs: whole }] : [];
  // What a jug would give less than anybody pours nearer is left in it, unless it is all there is to pour.
  if (!last || (whole > 0 && last.from - last.until <= near)) return acts;
  const half = mark / 2;
  const nearest = Math.round(last.until / half) * half;
  const isNear = Math.abs(nearest - last.until) <= near;
  const until = isNear ? nearest : Math.ceil(last.until / half) * half;
  // The scale tells a level that is neither that of a full jug nor that of an empty one.
  const stops = until > near && until < last.from - near;
  if (stops) acts.push({ kind: 'stopAt', from: last.from, until });
  if (!stops || !isNear) acts.push({ kind: 'measure', litres: (stops ? until : last.from) - last.until });
  return acts;
}
