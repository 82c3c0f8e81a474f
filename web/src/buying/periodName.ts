import type { UsedPeriodDto } from '@yugator/contracts';

/** "2027", "Mowing 2027", "before Mowing 2027". */
export function periodName({
  season,
  year,
  isBefore,
}: Pick<UsedPeriodDto, 'season' | 'year' | 'isBefore'>): string {
  if (season === null) return String(year);
  return `${isBefore ? 'before ' : ''}${season} ${year}`;
}
