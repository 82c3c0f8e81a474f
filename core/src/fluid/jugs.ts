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
