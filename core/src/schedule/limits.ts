import type { ScheduleItem } from './item.js';
import type { Limit } from './limit.js';
import type { Trigger } from './trigger.js';
import { counts, limitsOfTrigger } from './triggerKinds.js';
import type { LimitFrom, UnresolvedCode } from './triggers/define.js';

export interface Unresolved {
  readonly code: UnresolvedCode;
  readonly trigger: Trigger;
}

/** The limits of an item, and the triggers that give none though they should. */
export interface Limits {
  readonly limits: readonly Limit[];
  readonly unresolved: readonly Unresolved[];
}

/** Where each trigger of `item` runs out, counted from `of.from`. */
export function limitsOf(item: ScheduleItem, of: LimitFrom): Limits {
  const limits: Limit[] = [];
  const unresolved: Unresolved[] = [];
  for (const trigger of item.triggers) {
    if (!counts(trigger, item, of)) continue;
    const found = limitsOfTrigger(trigger, item, of);
    if (typeof found === 'string') unresolved.push({ code: found, trigger });
    else limits.push(...found);
  }
  return { limits, unresolved };
}
