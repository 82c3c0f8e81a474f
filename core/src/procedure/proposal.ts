import { daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import type { WorkingState } from '../season/usePlan.js';
import type { DueAnswer } from '../schedule/due.js';
import { sheetSteps } from './compose.js';
import type { MachineSetUp, WorkItem } from './machineSetUp.js';
import { accessesOf } from './ownAccess.js';
import type { AccessName } from './ownAccess.js';
import { LEAST_OF_YEAR, yearlyVisitOf } from './yearly.js';
import type { YearlyVisit } from './yearly.js';

/** Why an item is worth doing in a visit. */
export type ProposalReason =
  | { readonly kind: 'due' }
  | { readonly kind: 'ripe' }
  /** it is coming, and what it needs is open already */
  | {
      readonly kind: 'openAlready';
      /** what is open, in words: "hood off" */
      readonly access: readonly string[];
      /** minutes of opening and closing that it need not do once more */
      readonly savedMinutes: number;
      /** share of its interval that is thrown away, 0 to 1 */
      readonly thrownAway: number;
    }
  /** it is yearly, and the house rule has the yearly service now */
  | { readonly kind: 'yearly'; readonly when: YearlyVisit };

export interface Proposal {
  readonly itemId: string;
  readonly reason: ProposalReason;
}

/** Nobody throws away more of an interval than this, however handy it is; less of one whose part or fluid goes with it. */
const MOST_THROWN_AWAY = 0.35;
const MOST_OF_A_PART = 0.15;
/** Every machine is made safe and run warm or cool anyway; what counts is what comes off. */
const COSTS_NOTHING: ReadonlySet<AccessName> = new Set(['safe', 'warm', 'cool']);

function accessOf(setUp: MachineSetUp, items: readonly WorkItem[]): AccessName[] {
  const needs = sheetSteps({ ...setUp, items }).flatMap((step) => step.needs);
  return [...new Set(needs)].filter((access) => !COSTS_NOTHING.has(access));
}

/** Minutes of opening and closing what is open in a visit. */
function minutesOpen(setUp: MachineSetUp, items: readonly WorkItem[]): ReadonlyMap<AccessName, number> {
  const all = accessesOf(setUp.spec);
  return new Map(
    accessOf(setUp, items).map((name) => {
      const { open, close } = all.get(name) ?? {};
      return [name, (open?.handsOn ?? 0) + (close?.handsOn ?? 0)];
    }),
  );
}

function reasonOf(
  answer: DueAnswer,
  item: WorkItem,
  openMinutes: ReadonlyMap<AccessName, number>,
  setUp: MachineSetUp,
): ProposalReason | null {
  const thrownAway = 1 - Math.min(1, Math.max(0, answer.deciding?.used ?? 0));
  const most = item.action === 'replace' ? MOST_OF_A_PART : MOST_THROWN_AWAY;
  if (answer.state === 'resting' || thrownAway > most) return null;
  const access = accessOf(setUp, [item]).filter((name) => openMinutes.has(name));
  const savedMinutes = access.reduce((sum, name) => sum + (openMinutes.get(name) ?? 0), 0);
  const ownMinutes = sheetSteps({ ...setUp, items: [item] })
    .filter(({ kind }) => kind === 'work' || kind === 'shared')
    .reduce((sum, step) => sum + step.handsOn, 0);
  const isWorth = savedMinutes > 0 && savedMinutes >= thrownAway * ownMinutes;
  if (!isWorth) return null;
  const all = accessesOf(setUp.spec);
  const words = access.flatMap((name) => all.get(name)?.words ?? []);
  return { kind: 'openAlready', access: words, savedMinutes, thrownAway };
}

const NEAR_DAYS = 45;
/** Whether the machine is about to rest, or just does; or is about to go out again. */
export function yearlyVisitOn(today: CivilDate, working: WorkingState): YearlyVisit | null {
  const isNear = (on: CivilDate | null) => on !== null && Math.abs(daysBetween(today, on)) <= NEAR_DAYS;
  if (working.kind === 'working') return isNear(working.until) ? 'autumn' : null;
  if (working.kind === 'unplanned') return null;
  if (isNear(working.until)) return 'spring';
  return isNear(working.since) ? 'autumn' : null;
}

/** Yearly items that the house rule wants done in a visit of that time of the year, besides what is due or ripe anyway. */
function yearlyItems(
  answers: readonly DueAnswer[],
  setUp: MachineSetUp,
  visit: YearlyVisit | null,
): Proposal[] {
  if (visit === null) return [];
  const known = new Set(setUp.items.map(({ id }) => id));
  return answers
    .filter(({ item }) => known.has(item.id) && yearlyVisitOf(item, setUp.rules.annual) === visit)
    .filter(
      ({ state, deciding }) =>
        (state === 'coming' || state === 'fine') && (deciding?.used ?? 0) >= LEAST_OF_YEAR,
    )
    .map(({ item }) => ({ itemId: item.id, reason: { kind: 'yearly', when: visit } }));
}

/** Whether an item is due or ripe; hours that ran out before the machine came to rest are seen to while it stands in the shed. */
function dueOrRipe({ state, deciding }: DueAnswer): 'due' | 'ripe' | null {
  if (state === 'overdue' || state === 'noRecord') return 'due';
  if (state === 'ripe') return 'ripe';
  if (state !== 'resting' || deciding?.kind !== 'hours') return null;
  if (deciding.overdue) return 'due';
  return deciding.ripe ? 'ripe' : null;
}

/**
 * What is worth doing in a visit: everything due or ripe; what is yearly, where the house rule has it now; and what is coming, where the way to it is open anyway and that saves at
 * least as many minutes as are thrown away with the rest of its interval. Items are told by `setUp.items`; the rest is left out.
 */
export function proposeItems(
  answers: readonly DueAnswer[],
  setUp: MachineSetUp,
  visit: YearlyVisit | null = null,
): Proposal[] {
  const items = new Map(setUp.items.map((item) => [item.id, item]));
  const now: Proposal[] = answers.flatMap((answer): Proposal[] => {
    const kind = items.has(answer.item.id) ? dueOrRipe(answer) : null;
    return kind ? [{ itemId: answer.item.id, reason: { kind } }] : [];
  });
  now.push(...yearlyItems(answers, setUp, visit));
  const chosen = new Set(now.map(({ itemId }) => itemId));
  const openMinutes = minutesOpen(
    setUp,
    setUp.items.filter(({ id }) => chosen.has(id)),
  );
  const along = answers.flatMap((answer): Proposal[] => {
    const item = items.get(answer.item.id);
    if (!item || chosen.has(item.id) || openMinutes.size === 0) return [];
    const reason = reasonOf(answer, item, openMinutes, setUp);
    return reason ? [{ itemId: item.id, reason }] : [];
  });
  return [...now, ...along];
}
