import type { EntryIntoService, ItemHistory, ServicePoint } from './baseline.js';
import { dueOf } from './due.js';
import type { DueAnswer } from './due.js';
import type { ScheduleItem } from './item.js';
import type { FindItem } from './limits.js';
import { compareAnswers } from './order.js';
import { renewalsOf } from './renewal.js';
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
function pastOf(
  item: ScheduleItem,
  history: ReadonlyMap<string, ItemHistory>,
  renewing: ReadonlyMap<string, readonly string[]>,
  inspecting: ReadonlyMap<string, readonly string[]>,
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

/** How each of `items` stands and why, worst first. */
export function dueAnswers(
  items: readonly ScheduleItem[],
  history: ReadonlyMap<string, ItemHistory>,
  entry: EntryIntoService,
  standing: Standing,
): DueAnswer[] {
  const { renewing, inspecting } = renewalsOf(items);
  // An item is entered before it is asked for: two that wait for each other would ask for ever.
  const answers = new Map<ScheduleItem, DueAnswer | undefined>();
  const answerOf = (item: ScheduleItem): DueAnswer | undefined => {
    if (answers.has(item)) return answers.get(item);
    answers.set(item, undefined);
    const made = dueOf(item, pastOf(item, history, renewing, inspecting), entry, standing, find);
    answers.set(item, made);
    return made;
  };
  const find: FindItem = (otherId) => {
    const other = items.find(({ id }) => id === otherId);
    const answer = other && answerOf(other);
    return other && answer
      ? { answer, completions: pastOf(other, history, renewing, inspecting).completions }
      : undefined;
  };
  return items.flatMap((item) => answerOf(item) ?? []).sort(compareAnswers);
}
