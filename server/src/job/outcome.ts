import type { FieldFaultDto, OutcomeDto } from '@yugator/contracts';
import type { CivilDate } from '@yugator/core';
import { fault } from '../problem/problem.js';

/** What is missing or cannot be in what is said of an item; `life` are the engine's hours now. */
export function outcomeFaults(fields: OutcomeDto, today: CivilDate, life: number): FieldFaultDto[] {
  const { outcome, untilLife = null, untilOn = null, note = '', severity = null } = fields;
  const faults: FieldFaultDto[] = [];
  if (outcome === 'kept' || outcome === 'deferred') {
    if (untilLife === null && untilOn === null) {
      faults.push(fault('/untilLife', 'missing', 'Say until which hours or which day.'));
    }
    if (untilLife !== null && untilLife <= life) {
      faults.push(
        fault('/untilLife', 'past', `The machine has ${life} h already. Give more hours than that.`),
      );
    }
    if (untilOn !== null && untilOn <= today) {
      faults.push(fault('/untilOn', 'past', 'Give a day to come.'));
    }
  }
  if ((outcome === 'deferred' || outcome === 'defect') && note.trim().length < 3) {
    faults.push(
      fault('/note', 'missing', outcome === 'defect' ? 'Say what is wrong.' : 'Say why it is put off.'),
    );
  }
  if (outcome === 'defect' && severity === null) {
    faults.push(
      fault('/severity', 'missing', 'Say how bad it is: watch it, mend it soon, or not to be used.'),
    );
  }
  return faults;
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
