import type { CivilDate } from '../calendar/civilDate.js';
import type { JudgementKind } from '../schedule/baseline.js';
import type { MeterName } from '../schedule/trigger.js';

/** What may become of an item in a job. */
export const OUTCOMES = ['done', 'kept', 'deferred', 'defect'] as const;
export type Outcome = (typeof OUTCOMES)[number];

/** What of an outcome is a judgement of the schedule: one with a limit. Done with one leaves out the next time. Null where it is none. */
export function judgementOf({
  outcome,
  untilLife,
  untilOn,
}: {
  readonly outcome: Outcome | null;
  readonly untilLife: number | null;
  readonly untilOn: string | null;
}): JudgementKind | null {
  if (outcome === null || outcome === 'defect' || (untilLife === null && untilOn === null)) return null;
  return outcome === 'done' ? 'leftOut' : outcome;
}

/** The outcome that a judgement came with. */
export function outcomeOf(kind: JudgementKind): Outcome {
  return kind === 'leftOut' ? 'done' : kind;
}

/** What somebody says of an item; null takes back what was said. */
export interface SaidOutcome {
  readonly outcome: Outcome | null;
  readonly untilLife?: number | null;
  readonly untilMeter?: MeterName | null;
  readonly untilOn?: string | null;
  readonly severity?: string | null;
  readonly leavesOutNext?: boolean;
  readonly note?: string;
}

/** What is missing or cannot be, and in which field. */
export type OutcomeFault =
  | { readonly field: 'untilLife'; readonly code: 'missing' }
  | { readonly field: 'untilMeter'; readonly code: 'unknown'; readonly meter: MeterName }
  | { readonly field: 'untilLife'; readonly code: 'past'; readonly meter: MeterName; readonly life: number }
  | { readonly field: 'untilOn'; readonly code: 'past' }
  | { readonly field: 'note'; readonly code: 'missing'; readonly outcome: 'deferred' | 'defect' }
  | { readonly field: 'severity'; readonly code: 'missing' };

/** Life hours that a meter of the machine stands at; null where it has no such meter. */
export type LifeOn = (meter: MeterName) => number | null;

/** Fewer letters say nothing. */
const SHORTEST_NOTE = 3;

function hoursFaults(untilLife: number, meter: MeterName, lifeOn: LifeOn): OutcomeFault[] {
  const life = lifeOn(meter);
  if (life === null) return [{ field: 'untilMeter', code: 'unknown', meter }];
  return untilLife > life ? [] : [{ field: 'untilLife', code: 'past', meter, life }];
}

function limitFaults(said: SaidOutcome, today: CivilDate, lifeOn: LifeOn): OutcomeFault[] {
  const { untilLife = null, untilMeter = null, untilOn = null } = said;
  if (untilLife === null && untilOn === null) return [{ field: 'untilLife', code: 'missing' }];
  return [
    ...(untilLife === null ? [] : hoursFaults(untilLife, untilMeter ?? 'engine', lifeOn)),
    ...(untilOn !== null && untilOn <= today ? [{ field: 'untilOn', code: 'past' } as const] : []),
  ];
}

function noteFaults({ note = '' }: SaidOutcome, outcome: 'deferred' | 'defect'): OutcomeFault[] {
  return note.trim().length < SHORTEST_NOTE ? [{ field: 'note', code: 'missing', outcome }] : [];
}

/**
 * What is missing or cannot be in what is said of an item: kept and put off need a limit still to come, put off and defective a reason, a
 * defect its weight.
 */
export function outcomeFaults(said: SaidOutcome, today: CivilDate, lifeOn: LifeOn): OutcomeFault[] {
  switch (said.outcome) {
    case 'kept':
      return limitFaults(said, today, lifeOn);
    case 'deferred':
      return [...limitFaults(said, today, lifeOn), ...noteFaults(said, 'deferred')];
    case 'defect':
      return [
        ...noteFaults(said, 'defect'),
        ...(said.severity ? [] : [{ field: 'severity', code: 'missing' } as const]),
      ];
    case 'done':
    case null:
      return [];
  }
}

/** What is kept of an item, with nothing that its outcome does not ask for. */
export interface SettledOutcome<Severity> {
  readonly outcome: Outcome | null;
  readonly untilLife: number | null;
  readonly untilMeter: MeterName | null;
  readonly untilOn: string | null;
  readonly severity: NonNullable<Severity> | null;
  readonly leavesOutNext: boolean;
  readonly note: string;
}

/** Of what is said, only what its kind of outcome asks for. */
export function settledOutcome<S extends SaidOutcome>(said: S): SettledOutcome<S['severity']> {
  const { outcome, untilLife = null, untilMeter = null, untilOn = null, note = '' } = said;
  const hasLimit = outcome === 'kept' || outcome === 'deferred';
  return {
    outcome,
    untilLife: hasLimit ? untilLife : null,
    untilMeter: hasLimit && untilLife !== null ? untilMeter : null,
    untilOn: hasLimit ? untilOn : null,
    leavesOutNext: outcome === 'done' && said.leavesOutNext === true,
    severity: outcome === 'defect' ? (said.severity ?? null) : null,
    note: outcome === null ? '' : note,
  };
}
