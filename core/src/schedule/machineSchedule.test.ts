import { civilDate } from '../calendar/civilDate.js';
import type { Attachment } from '../meter/attachment.js';
import { lifeHours } from '../meter/lifeHours.js';
import { compareMachines, strongestState } from './order.js';
import { answerOn, done, every, everyHours, item, scheduleOn } from './testing/facts.js';

describe('the schedule of a machine', () => {
  const items = [item('grease', [everyHours(10)]), item('oil', [everyHours(50)])];

  it('is worst first', () => {
    // Grease was never done since new: 90 h over. Oil, done at 65.0, is due at 115.0: 15 h left.
    const schedule = scheduleOn('2026-05-11', {
      items,
      readings: [['2026-05-10', 100]],
      history: { oil: done(['2026-04-20', 65]) },
    });
    expect(schedule.answers.map((answer) => [answer.item.id, answer.state, answer.deciding?.left])).toEqual([
      ['grease', 'overdue', -90],
      ['oil', 'fine', 15],
    ]);
  });

  it('starts from the hours the machine came with while nothing was read', () => {
    const entry = { on: civilDate('2026-03-01'), life: lifeHours(164), cameNew: false };
    const schedule = scheduleOn('2026-05-11', { items, entry });
    expect(schedule).toMatchObject({ life: 164, lastReading: null });
    expect(strongestState(schedule.answers)).toBe('noRecord');
  });

  it('orders machines by their worst item, then by tag', () => {
    const over = scheduleOn('2026-05-11', { items, readings: [['2026-05-10', 100]] }).answers;
    const fine = scheduleOn('2026-05-11', { items: [item('x', [every(24, 'month')])] }).answers;
    const machines = [
      { tag: 'Z', isStopped: false, answers: [] },
      { tag: 'B', isStopped: false, answers: fine },
      { tag: 'A', isStopped: false, answers: fine },
      { tag: 'C', isStopped: false, answers: over },
    ];
    expect(machines.sort(compareMachines).map(({ tag }) => tag)).toEqual(['C', 'A', 'B', 'Z']);
  });
});

describe('an attachment', () => {
  const grease = item('grease', [everyHours(10, { meter: 'loader' })]);
  const share = { kind: 'share', share: 0.2, hoursAtStart: 0, engineAtStart: 100 } as const;

  it('runs a share of the engine: 10 loader hours are 50 engine hours', () => {
    // Fitted at 100 engine hours; at 160 the loader has 0.2 × 60 = 12 h. Greased at 110, that is 2 loader hours: due at 12.
    const of = {
      items: [grease],
      attachments: [{ meter: 'loader' as const, hours: share }],
      readings: [['2026-04-01', 120] as const, ['2026-05-11', 160] as const],
      history: { grease: done(['2026-03-20', 110]) },
    };
    const answer = answerOn('2026-05-11', 'grease', of);
    expect(answer).toMatchObject({ state: 'ripe', deciding: { meter: 'loader', at: 12, left: 0 } });
    // 12 loader hours are 160 engine hours, which it read on 11 May.
    expect(answer.expectedOn).toBe('2026-05-11');
  });

  it('with a meter of its own counts on that', () => {
    const readings = [
      { at: Date.parse('2026-04-01T12:00:00Z') as never, shown: 30 },
      { at: Date.parse('2026-05-01T12:00:00Z') as never, shown: 36 },
      { at: Date.parse('2026-05-11T12:00:00Z') as never, shown: 38 },
    ];
    const own = {
      kind: 'own' as const,
      hoursAtStart: 0,
      readings,
      segments: [{ startsAt: 0 as never, offset: 0 }],
    };
    // Greased on 16 April, half way from 30 to 36 h: at 33 h, so due at 43; 5 left.
    const answer = answerOn('2026-05-11', 'grease', {
      items: [grease],
      attachments: [{ meter: 'loader' as const, hours: own }],
      readings: [['2026-05-11', 160] as const],
      history: { grease: done(['2026-04-16', 140]) },
    });
    expect(answer.deciding).toMatchObject({ at: 43, left: 5 });
    // 8 h in 40 days, 0.2 a day: 25 days on.
    expect(answer.expectedOn).toBe('2026-06-05');
  });

  it('says how many hours of the engine one of its own stands for', () => {
    const shown = (at: string, hours: number) => ({ at: Date.parse(at) as never, shown: hours });
    const own = {
      kind: 'own' as const,
      hoursAtStart: 0,
      segments: [{ startsAt: 0 as never, offset: 0 }],
      readings: [shown('2026-04-01T12:00:00Z', 30), shown('2026-05-11T12:00:00Z', 38)],
    };
    const per = (hours: Attachment['hours']) =>
      scheduleOn('2026-05-11', {
        attachments: [{ meter: 'loader', hours }],
        readings: [['2026-04-01', 120] as const, ['2026-05-11', 160] as const],
      }).meters.get('loader')?.engineHoursPerHour;
    expect(per(share)).toBe(5);
    // 8 h of its own in the 40 h from 120 to 160 of the engine.
    expect(per(own)).toBe(5);
    // Read once, it tells nothing yet: hour for hour.
    expect(per({ ...own, readings: own.readings.slice(0, 1) })).toBe(1);
  });

  it('that is not there is counted by the engine, but a loader runs far less: its hours are asked for', () => {
    const deck = item('spindles', [everyHours(10, { meter: 'deck' })]);
    const of: Parameters<typeof answerOn>[2] = { items: [grease, deck], readings: [['2026-05-10', 11]] };
    expect(answerOn('2026-05-11', 'spindles', of)).toMatchObject({
      state: 'overdue',
      deciding: { meter: 'engine', left: -1 },
    });
    expect(answerOn('2026-05-11', 'grease', of)).toMatchObject({
      state: 'noRecord',
      limits: [],
      unresolved: [{ code: 'noMeter' }],
    });
  });
});
