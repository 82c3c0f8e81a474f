import type { BaselineDto, DueLineDto, FleetLineDto, LimitDto } from '@yugator/contracts';
import { workPlaceOf } from '@yugator/core';
import type { Baseline, DueAnswer, ItemHistory, Limit } from '@yugator/core';
import type { ItemInfo } from '../facts/fleetFacts.js';
import type { ScheduledMachine } from './fleetSchedule.js';

/** How many earlier times of an item go over the wire; the tape shows no more. */
const DONE_SHOWN = 12;

function toBaselineDto(baseline: Baseline): BaselineDto {
  return baseline.kind === 'noRecord'
    ? { kind: 'noRecord', on: null, life: null }
    : { kind: baseline.kind, on: baseline.on, life: baseline.life };
}

function toLimitDto(limit: Limit): LimitDto {
  const { left, used, overdue, ripe, earlyOn, expectedOn, lateOn } = limit;
  const rule = 'made' in limit.rule ? { kind: limit.rule.kind } : limit.rule;
  const facts = { rule, left, used, overdue, ripe, earlyOn, expectedOn, lateOn };
  return limit.kind === 'hours'
    ? { kind: 'hours', meter: limit.meter, at: limit.at, on: null, ...facts }
    : { kind: 'calendar', meter: null, at: null, on: limit.on, ...facts };
}

function doneOf(history: ItemHistory | undefined): DueLineDto['done'] {
  const done = [...(history?.completions ?? []), ...(history?.declared ?? [])];
  return done
    .map(({ on, life }) => ({ on, life }))
    .sort((a, b) => b.on.localeCompare(a.on) || b.life - a.life)
    .slice(0, DONE_SHOWN);
}

function toDueLine(answer: DueAnswer, info: ItemInfo | undefined, done: DueLineDto['done']): DueLineDto {
  const { item, state, baseline, limits, unresolved, earlyOn, expectedOn, lateOn } = answer;
  return {
    itemId: item.id,
    itemName: item.name,
    action: item.action,
    components: [...item.components],
    bookName: info?.bookName ?? null,
    state,
    earlyOn,
    expectedOn,
    lateOn,
    done,
    consequence: answer.consequence,
    baseline: toBaselineDto(baseline),
    limits: limits.map(toLimitDto),
    unresolved: unresolved.map(({ code, trigger }) => ({ code, trigger })),
    minutes: info?.minutes ?? 0,
    place: workPlaceOf(item, info?.minutes ?? 0, info?.doneIn ?? null),
  };
}

/** A machine's due answers, worst first, as they cross the wire. */
export function toDueLines({ schedule, facts, info }: ScheduledMachine): DueLineDto[] {
  return schedule.answers.map((answer) =>
    toDueLine(answer, info.get(answer.item.id), doneOf(facts.history.get(answer.item.id))),
  );
}

/** What bites or comes, worst first, without its past. */
export function toBitingLines({ schedule, info }: ScheduledMachine): DueLineDto[] {
  return schedule.answers
    .filter(({ state }) => state !== 'fine' && state !== 'resting')
    .map((answer) => toDueLine(answer, info.get(answer.item.id), []));
}

/** Every item of a machine as a line in the schedule of the fleet. */
export function toFleetLines({ machine, schedule, info }: ScheduledMachine): FleetLineDto[] {
  return schedule.answers.map(({ item, state, consequence, deciding, earlyOn, expectedOn, lateOn }) => ({
    machineId: machine.id,
    tag: machine.tag,
    machineName: machine.name,
    machineClass: machine.machineClass,
    shed: machine.shed,
    itemId: item.id,
    itemName: item.name,
    state,
    consequence,
    earlyOn,
    expectedOn,
    lateOn,
    bookName: info.get(item.id)?.bookName ?? null,
    limit: deciding ? toLimitDto(deciding) : null,
    minutes: info.get(item.id)?.minutes ?? 0,
  }));
}
