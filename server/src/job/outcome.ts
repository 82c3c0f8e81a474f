import type { FieldFaultDto, OutcomeDto } from '@yugator/contracts';
import type { CivilDate, MeterName } from '@yugator/core';
import { fault } from '../problem/problem.js';

type Limits = Pick<OutcomeDto, 'untilLife' | 'untilMeter' | 'untilOn'>;

/** Hours that a meter of the machine stands at; null where it has no such meter. */
type LifeOn = (meter: MeterName) => number | null;

function hoursFaults(untilLife: number, meter: MeterName, lifeOn: LifeOn): FieldFaultDto[] {
  const life = lifeOn(meter);
  if (life === null) {
    return [fault('/untilMeter', 'unknown', `The machine has no ${meter}. Give engine hours or a day.`)];
  }
  if (untilLife > life) return [];
  const whose = meter === 'engine' ? 'machine' : meter;
  return [fault('/untilLife', 'past', `The ${whose} has ${life} h already. Give more hours than that.`)];
}

function limitFaults(
  { untilLife = null, untilMeter = null, untilOn = null }: Limits,
  today: CivilDate,
  lifeOn: LifeOn,
): FieldFaultDto[] {
  if (untilLife === null && untilOn === null) {
    return [fault('/untilLife', 'missing', 'Say until which hours or which day.')];
  }
  const faults: FieldFaultDto[] = [];
  if (untilLife !== null) faults.push(...hoursFaults(untilLife, untilMeter ?? 'engine', lifeOn));
  if (untilOn !== null && untilOn <= today) faults.push(fault('/untilOn', 'past', 'Give a day to come.'));
  return faults;
}

function noteFaults(note: string | undefined, detail: string): FieldFaultDto[] {
  return (note ?? '').trim().length < 3 ? [fault('/note', 'missing', detail)] : [];
}

/** What is missing or cannot be in what is said of an item; `lifeOn` says what the meters stand at. */
export function outcomeFaults(fields: OutcomeDto, today: CivilDate, lifeOn: LifeOn): FieldFaultDto[] {
  const { outcome, severity, note } = fields;
  switch (outcome) {
    case 'kept':
      return limitFaults(fields, today, lifeOn);
    case 'deferred':
      return [...limitFaults(fields, today, lifeOn), ...noteFaults(note, 'Say why it is put off.')];
    case 'defect': {
      const weigh = 'Say how bad it is: watch it, mend it soon, or not to be used.';
      const unweighed = severity ? [] : [fault('/severity', 'missing', weigh)];
      return [...noteFaults(note, 'Say what is wrong.'), ...unweighed];
    }
    case 'done':
    case null:
      return [];
  }
}

/** What of it is kept: only what its kind of outcome asks for. */
export function outcomeColumns({ outcome, untilLife, untilMeter, untilOn, severity, note }: OutcomeDto) {
  const hasLimit = outcome === 'kept' || outcome === 'deferred';
  return {
    outcome,
    untilLife: hasLimit ? (untilLife ?? null) : null,
    untilMeter: hasLimit && (untilLife ?? null) !== null ? (untilMeter ?? null) : null,
    untilOn: hasLimit ? (untilOn ?? null) : null,
    severity: outcome === 'defect' ? (severity ?? null) : null,
    note: outcome === null ? '' : (note ?? ''),
  };
}
