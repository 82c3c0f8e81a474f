import type { BaselineDto, DueLineDto, LimitDto } from '@yugator/contracts';
import type { Baseline, DueAnswer, ItemHistory, Limit } from '@yugator/core';
import type { ScheduledMachine } from './fleetSchedule.js';

/** How many earlier times of an item go over the wire; the tape shows no more. */
const DONE_SHOWN = 12;

function toBaselineDto(baseline: Baseline): BaselineDto {
  return baseline.kind === 'noRecord'
    ? { kind: 'noRecord', on: null, life: null }
    : { kind: baseline.kind, on: baseline.on, life: baseline.life };
}

function toLimitDto(limit: Limit): LimitDto {
  const { left, used, overdue, ripe, expectedOn } = limit;
  const facts = { left, used, overdue, ripe, expectedOn };
  return limit.kind === 'hours'
    ? { kind: 'hours', every: limit.trigger.hours, unit: 'hour', at: limit.at, on: null, ...facts }
    : {
        kind: 'calendar',
        every: limit.trigger.count,
        unit: limit.trigger.unit,
        at: null,
        on: limit.on,
        ...facts,
      };
}

function toDueLine(answer: DueAnswer, history: ItemHistory | undefined, minutes: number): DueLineDto {
  const done = [...(history?.completions ?? []), ...(history?.declared ?? [])];
  return {
    itemId: answer.item.id,
    itemName: answer.item.name,
    state: answer.state,
    baseline: toBaselineDto(answer.baseline),
    limits: answer.limits.map(toLimitDto),
    expectedOn: answer.expectedOn,
    done: done
      .map(({ on, life }) => ({ on, life }))
      .sort((a, b) => b.on.localeCompare(a.on) || b.life - a.life)
      .slice(0, DONE_SHOWN),
    minutes,
  };
}

/** A machine's due answers, worst first, as they cross the wire. */
export function toDueLines({ schedule, history, minutes }: ScheduledMachine): DueLineDto[] {
  return schedule.answers.map((answer) =>
    toDueLine(answer, history.get(answer.item.id), minutes.get(answer.item.id) ?? 0),
  );
}
