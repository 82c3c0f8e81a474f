import { civilDate } from '../calendar/civilDate.js';
import { JUDGEMENTS } from '../schedule/baseline.js';
import { judgementOf, outcomeFaults, outcomeOf, OUTCOMES, settledOutcome } from './outcome.js';
import type { SaidOutcome } from './outcome.js';

const TODAY = civilDate('2027-05-13');
const lifeOn = (meter: string) => (meter === 'engine' ? 60 : meter === 'loader' ? 12 : null);
const faults = (said: SaidOutcome) =>
  outcomeFaults(said, TODAY, lifeOn).map(({ field, code }) => `${field} ${code}`);

describe('an outcome with a limit', () => {
  it('is a judgement of the schedule; a defect, and what has no limit, is none', () => {
    const none = { untilLife: null, untilOn: null };
    const until = { untilLife: 80, untilOn: null };
    expect(OUTCOMES.map((outcome) => judgementOf({ outcome, ...until }))).toEqual([
      ...['leftOut', 'kept', 'deferred', null],
    ]);
    expect(OUTCOMES.map((outcome) => judgementOf({ outcome, ...none }))).toEqual([null, null, null, null]);
    expect(judgementOf({ outcome: null, untilLife: null, untilOn: '2027-06-01' })).toBeNull();
    for (const kind of JUDGEMENTS) expect(judgementOf({ outcome: outcomeOf(kind), ...until })).toBe(kind);
  });
});

describe('what is said of an item', () => {
  it.each<[SaidOutcome, string[]]>([
    [{ outcome: 'done' }, []],
    [{ outcome: null }, []],
    [{ outcome: 'kept' }, ['untilLife missing']],
    [{ outcome: 'kept', untilLife: 61 }, []],
    [{ outcome: 'kept', untilLife: 60 }, ['untilLife past']],
    [{ outcome: 'kept', untilLife: 20, untilMeter: 'loader' }, []],
    [{ outcome: 'kept', untilLife: 20, untilMeter: 'blower' }, ['untilMeter unknown']],
    [{ outcome: 'kept', untilOn: '2027-05-13' }, ['untilOn past']],
    [{ outcome: 'kept', untilLife: 10, untilOn: '2027-05-12' }, ['untilLife past', 'untilOn past']],
    [{ outcome: 'deferred', untilOn: '2027-05-14', note: '  no ' }, ['note missing']],
    [{ outcome: 'deferred', untilOn: '2027-05-14', note: 'no part' }, []],
    [{ outcome: 'defect' }, ['note missing', 'severity missing']],
    [{ outcome: 'defect', note: 'cracked', severity: 'stop' }, []],
  ])('%j has the faults %j', (said, wanted) => {
    expect(faults(said)).toEqual(wanted);
  });

  it('is kept only as far as its outcome asks for it', () => {
    const all = {
      untilLife: 80,
      untilMeter: 'loader',
      untilOn: '2027-06-01',
      severity: 'stop',
      note: 'why',
    } as const;
    const kept = settledOutcome({ ...all, outcome: 'kept' });
    expect(kept).toEqual({ ...all, outcome: 'kept', severity: null, leavesOutNext: false });
    const clean = { ...all, leavesOutNext: true };
    expect(settledOutcome({ ...clean, outcome: 'kept' }).leavesOutNext).toBe(false);
    expect(settledOutcome({ ...clean, outcome: 'done' })).toMatchObject({
      leavesOutNext: true,
      untilLife: null,
    });
    expect(settledOutcome({ ...all, untilLife: null, outcome: 'kept' }).untilMeter).toBeNull();
    expect(settledOutcome({ ...all, outcome: 'defect' })).toMatchObject({
      untilLife: null,
      severity: 'stop',
    });
    expect(settledOutcome({ ...all, outcome: null }).note).toBe('');
  });
});
