export interface DrainNeed {
  /** litres of each fluid that will come out */
  readonly litres: readonly number[];
  /** litres that the pan or the extractor holds */
  readonly capacity: number;
  /** litres that the used-oil container still takes */
  readonly roomInContainer: number;
}

export interface DrainPlan {
  readonly total: number;
  /** how often the pan or extractor must be emptied, the last time among them */
  readonly emptyings: number;
  /** litres that will not go into the used-oil container; 0 where it takes all */
  readonly tooMuch: number;
}

const NOTHING = 1e-9;

/** What comes out of a machine against what is there to catch it. Fluids that must not be mixed are emptied one by one. */
export function drainPlan({ litres, capacity, roomInContainer }: DrainNeed): DrainPlan {
  const total = litres.reduce((sum, one) => sum + one, 0);
  return {
    total,
    emptyings: litres.reduce((sum, one) => sum + Math.ceil(one / capacity - NOTHING), 0),
    tooMuch: Math.max(0, total - roomInContainer),
  };
}
