/** Hours that the machine has really run, whatever its meter shows. */
export type LifeHours = number & { readonly __brand: 'LifeHours' };

/** `hours` as life hours, at the hundredth that is stored. Throws a RangeError for what is not a finite number from 0. */
export function lifeHours(hours: number): LifeHours {
  if (!Number.isFinite(hours) || hours < 0) throw new RangeError(`${hours} is not a number of life hours.`);
  return roundHours(hours) as LifeHours;
}

/** Hours rounded to the hundredth: finer than any hour meter, coarse enough to hide binary fractions. */
export function roundHours(hours: number): number {
  return Math.round(hours * 100) / 100;
}
