/** What a round with the torque wrench says about how often it is worth doing. */
export type BoltVerdict =
  | 'allTight'
  | 'someLoose'
  /** more than a tenth: they are looked at again soon */
  | 'manyLoose';

const MANY = 0.1;

/** Judges how many of the bolts moved before the wrench clicked. Throws a RangeError for more loose ones than there are. */
export function judgeBolts(loose: number, checked: number): BoltVerdict {
  if (loose > checked || loose < 0) throw new RangeError('There cannot be more loose bolts than bolts.');
  if (loose === 0) return 'allTight';
  return loose / checked > MANY ? 'manyLoose' : 'someLoose';
}
