import { civilDate } from '../calendar/civilDate.js';
import { instant } from '../calendar/instant.js';
import { lifeHours } from '../meter/lifeHours.js';
import { machineSchedule } from './machineSchedule.js';
import type { MachineFacts } from './machineSchedule.js';
import { compareMachines, strongestState } from './order.js';

const ENTRY = { on: civilDate('2026-03-01'), life: lifeHours(0), cameNew: true };

function facts(over: Partial<MachineFacts> = {}): MachineFacts {
  return {
    entry: ENTRY,
    segments: [
      { startsAt: instant('2026-03-01T00:00:00Z'), offset: 0 },
      { startsAt: instant('2026-04-15T12:00:00Z'), offset: 60 },
    ],
    readings: [
      { at: instant('2026-05-10T16:00:00Z'), shown: 40 },
      { at: instant('2026-03-01T00:00:00Z'), shown: 0 },
      { at: instant('2026-04-15T12:00:00Z'), shown: 0 },
    ],
    items: [
      { id: 'grease', name: 'Grease all points', triggers: [{ kind: 'everyHours', hours: 10 }] },
      { id: 'oil', name: 'Engine oil and filter', triggers: [{ kind: 'everyHours', hours: 50 }] },
    ],
    history: new Map([
      ['oil', { completions: [{ on: civilDate('2026-04-20'), life: lifeHours(65) }], declared: [] }],
    ]),
    ...over,
  };
}

describe('the schedule of a machine', () => {
  it('counts over a meter replaced between two services, worst first', () => {
    // The new meter shows 40.0 on top of 60.0: life 100.0 h. Grease was never done since new: 90 h over. Oil, done at
    // 65.0, is due at 115.0: 15 h left.
    const schedule = machineSchedule(facts(), civilDate('2026-05-11'), 'Europe/London');
    expect(schedule.life).toBe(100);
    expect(schedule.answers.map(({ item, state, deciding }) => [item.id, state, deciding?.left])).toEqual([
      ['grease', 'overdue', -90],
      ['oil', 'coming', 15],
    ]);
    // 100 h in the 70 days since 1 March: 10 h a week, so 15 h take 11 days from 10 May.
    expect(schedule.usage.hoursPerWeek).toBeCloseTo(10);
    expect(schedule.answers[1]?.expectedOn).toBe('2026-05-21');
  });

  it('starts from the hours the machine came with while nothing was read', () => {
    const used = { on: civilDate('2026-03-01'), life: lifeHours(164), cameNew: false };
    const schedule = machineSchedule(
      facts({ readings: [], entry: used }),
      civilDate('2026-05-11'),
      'Europe/London',
    );
    expect(schedule.life).toBe(164);
    expect(schedule.lastReading).toBeNull();
    expect(strongestState(schedule.answers)).toBe('overdue');
  });

  it('orders machines by their worst item, then by tag', () => {
    const over = machineSchedule(facts(), civilDate('2026-05-11'), 'Europe/London').answers;
    const fine = over.filter((answer) => answer.item.id === 'oil');
    const machines = [
      { tag: 'Z', answers: [] },
      { tag: 'B', answers: fine },
      { tag: 'A', answers: fine },
      { tag: 'C', answers: over },
    ];
    expect(machines.sort(compareMachines).map(({ tag }) => tag)).toEqual(['C', 'A', 'B', 'Z']);
  });
});
