import type { DueLineDto } from '@yugator/contracts';

type RuleKind = DueLineDto['limits'][number]['rule']['kind'];

/** The heading of docs/schedule.md that tells about a rule. */
const HEADING: Record<RuleKind, string> = {
  everyHours: 'hours',
  firstHours: 'running-in',
  firstCalendar: 'running-in',
  everyCalendar: 'days-months-and-years',
  seasonEdge: 'around-a-season',
  everyNth: 'every-n-th-time',
  storage: 'in-storage',
  kept: 'kept-or-put-off',
  deferred: 'kept-or-put-off',
  leftOut: 'kept-or-put-off',
};

/** Where it is told why an item stands as it does. */
export function whyAnchor({ state, limits }: Pick<DueLineDto, 'state' | 'limits'>): string {
  const deciding = limits[0];
  const heading =
    state === 'resting'
      ? 'a-machine-at-rest'
      : deciding
        ? HEADING[deciding.rule.kind]
        : 'from-when-an-interval-counts';
  return `/help/schedule#${heading}`;
}
