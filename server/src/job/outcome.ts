import type { FieldFaultDto, OutcomeDto } from '@yugator/contracts';
import type { CivilDate } from '@yugator/core';
import { fault } from '../problem/problem.js';

type Limits = Pick<OutcomeDto, 'untilLife' | 'untilOn'>;

function limitFaults(
  { untilLife = null, untilOn = null }: Limits,
  today: CivilDate,
  life: number,
): FieldFaultDto[] {
  if (untilLife === null && untilOn === null) {
    return [fault('/untilLife', 'missing', 'Say until which hours or which day.')];
  }
  const faults: FieldFaultDto[] = [];
  if (untilLife !== null && untilLife <= life) {
    faults.push(fault('/untilLife', 'past', `The machine has ${life} h already. Give more hours than that.`));
  }
  if (untilOn !== null && untilOn <= today) faults.push(fault('/untilOn', 'past', 'Give a day to come.'));
  return faults;
}

function noteFaults(note: string | undefined, detail: string): FieldFaultDto[] {
  return (note ?? '').trim().length < 3 ? [fault('/note', 'missing', detail)] : [];
}

/** What is missing or cannot be in what is said of an item; `life` are the engine's hours now. */
export function outcomeFaults(fields: OutcomeDto, today: CivilDate, life: number): FieldFaultDto[] {
  const { outcome, severity, note } = fields;
  switch (outcome) {
    case 'kept':
      return limitFaults(fields, today, life);
    case 'deferred':
      return [...limitFaults(fields, today, life), ...noteFaults(note, 'Say why it is put off.')];
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
export function outcomeColumns({ outcome, untilLife, untilOn, severity, note }: OutcomeDto) {
  const hasLimit = outcome === 'kept' || outcome === 'deferred';
  return {
    outcome,
    untilLife: hasLimit ? (untilLife ?? null) : null,
    untilOn: hasLimit ? (untilOn ?? null) : null,
    severity: outcome === 'defect' ? (severity ?? null) : null,
    note: outcome === null ? '' : (note ?? ''),
  };
}
