import type { UsedPeriodDto } from '@yugator/contracts';

/** "2027", "Mowing 2027", "Before Mowing 2027". */
export function periodName({
  season,
  year,
  isBefore,
}: Pick<UsedPeriodDto, 'season' | 'year' | 'isBefore'>): string {
  if (season === null) return String(year);
  return `${isBefore ? 'Before ' : ''}${season} ${year}`;
}
