import { dateOfDayNumber } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { baselineOf } from './baseline.js';
import type { EntryIntoService, ItemHistory, ServicePoint } from './baseline.js';
import { countingLimits, dueOf, itemStandsStill } from './due.js';
import type { DueAnswer, ItemStanding } from './due.js';
import type { ScheduleItem } from './item.js';
import type { FindItem, OtherItem } from './triggers/define.js';
import { compareAnswers } from './order.js';
import { renewalsOf } from './renewal.js';
import type { Renewals } from './renewal.js';
import type { Standing } from './standing.js';

const NO_POINTS: readonly ServicePoint[] = [];
const NO_IDS: readonly string[] = [];

function keptPoints(history: ItemHistory | undefined): readonly ServicePoint[] {
  const extensions = history?.extensions ?? [];
  return extensions.length
    ? extensions.filter(({ kind }) => kind === 'kept').map(({ made }) => made)
    : NO_POINTS;
}

/** `points` and `more` in one list; where one is empty, the other itself. */
function joinedPoints(
  points: readonly ServicePoint[],
  more: readonly ServicePoint[],
): readonly ServicePoint[] {
  if (more.length === 0) return points;
  return points.length === 0 ? more : [...points, ...more];
}

/** What counts as an item's past: its own, and the times that what renews it was done or inspected. */
function wholePast(
  item: ScheduleItem,
  history: ReadonlyMap<string, ItemHistory>,
  { renewing, inspecting }: Renewals,
): ItemHistory {
  const own = history.get(item.id);
  const renewals = renewing.get(item.id) ?? NO_IDS;
  const inspections = inspecting.get(item.id) ?? NO_IDS;
  if (renewals.length <= 1 && inspections.length === 0 && own) return own;
  let completions = NO_POINTS;
  let declared = NO_POINTS;
  for (const id of renewals) {
    const other = history.get(id);
    if (!other) continue;
    completions = joinedPoints(completions, other.completions);
    declared = joinedPoints(declared, other.declared);
  }
  for (const id of inspections) completions = joinedPoints(completions, keptPoints(history.get(id)));
  return { completions, declared, extensions: own?.extensions ?? [] };
}

function isPast(points: readonly ServicePoint[], today: CivilDate): boolean {
  for (const { on } of points) if (on > today) return false;
  return true;
}

/** The past up to and with `today`: what is dated later does not count yet. */
function pastUpTo(history: ItemHistory, today: CivilDate): ItemHistory {
  const { completions, declared, extensions } = history;
  const isAllPast =
    isPast(completions, today) &&
    isPast(declared, today) &&
    (!extensions?.length || extensions.every(({ made }) => made.on <= today));
  // Hardly any history holds days to come.
  if (isAllPast) return history;
  return {
    completions: completions.filter(({ on }) => on <= today),
    declared: declared.filter(({ on }) => on <= today),
    extensions: (extensions ?? []).filter(({ made }) => made.on <= today),
  };
}

/** A line, one that it goes with, and one that this goes with in turn. */
const LONGEST_CHAIN = 3;

/** Asks something of an item as it stands, with what it goes together with. */
export type AskItem = <T>(item: ScheduleItem, ask: (of: ItemStanding) => T) => T;

/**
 * How items are asked for with their whole past. `omitted` are lines that are not asked of the machine (any more): what was done of
 * them still renews others.
 */
export function itemAsker(
  items: readonly ScheduleItem[],
  omitted: readonly ScheduleItem[],
  history: ReadonlyMap<string, ItemHistory>,
  entry: EntryIntoService,
  standing: Standing,
): AskItem {
  const renewals = renewalsOf(items, omitted);
  const today = dateOfDayNumber(standing.today);
  // An item that is being asked for is not found: two that wait for each other would ask for ever. Nor is one at the end of a long
  // chain: lines that go with each other eight times over would ask almost as long.
  const asked = new Set<string>();
  const standingOf = (item: ScheduleItem): ItemStanding => ({
    item,
    history: pastUpTo(wholePast(item, history, renewals), today),
    entry,
    standing,
    find,
  });
  const within = <T>(id: string, work: () => T): T => {
    asked.add(id);
    const result = work();
    asked.delete(id);
    return result;
  };
  const find: FindItem = (otherId): OtherItem | undefined => {
    const other = items.find(({ id }) => id === otherId);
    if (!other || asked.has(otherId) || asked.size >= LONGEST_CHAIN) return undefined;
    const of = standingOf(other);
    return {
      completions: of.history.completions,
      standsStill: () => within(otherId, () => itemStandsStill(other, find)),
      limitsAhead: (ahead) =>
        within(otherId, () => {
          const counting = countingLimits(of, baselineOf(of.history, entry), ahead);
          const isKnown = counting && (counting.limits.length > 0 || counting.unresolved.length === 0);
          return isKnown ? counting.limits : null;
        }),
    };
  };
  return (item, ask) => within(item.id, () => ask(standingOf(item)));
}

/** How each of `items` stands and why, worst first. */
export function dueAnswers(items: readonly ScheduleItem[], ask: AskItem): DueAnswer[] {
  return items.map((item) => ask(item, dueOf)).sort(compareAnswers);
}
