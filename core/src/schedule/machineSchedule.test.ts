import fc from 'fast-check';
import { addDays, civilDate } from '../calendar/civilDate.js';
import type { Attachment } from '../meter/attachment.js';
import { lifeHours } from '../meter/lifeHours.js';
import type { ItemHistory } from './baseline.js';
import { compareStates } from './dueState.js';
import { machineSchedule } from './machineSchedule.js';
import type { MachineFacts } from './machineSchedule.js';
import { compareMachines, strongestState } from './order.js';
import { renewedBy } from './renewal.js';
import { scheduleContext } from './scheduleContext.js';
import { answerOn, done, every, everyHours, item, scheduleOn } from './testing/facts.js';
import { randomMachine } from './testing/randomMachine.js';

describe('the schedule of a machine', () => {
  const items = [item('grease', [everyHours(10)]), item('oil', [everyHours(50)])];

  it('is worst first', () => {
    // Grease was never done since new: 90 h over. Oil, done at 65.0, is due at 115.0: 15 h left.
    const schedule = scheduleOn('2026-05-11', {
      ...{ items, readings: [['2026-05-10', 100]] },
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
      { tag: 'Z', answers: [] },
      { tag: 'B', answers: fine },
      { tag: 'A', answers: fine },
      { tag: 'C', answers: over },
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
    const own = { kind: 'own' as const, readings, segments: [{ startsAt: 0 as never, offset: 0 }] };
    // Greased on 16 April, half way from 30 to 36 h: at 33 h, so due at 43; 5 left.
    const answer = answerOn('2026-05-11', 'grease', {
      ...{ items: [grease], attachments: [{ meter: 'loader' as const, hours: own }] },
      ...{ readings: [['2026-05-11', 160] as const], history: { grease: done(['2026-04-16', 140]) } },
    });
    expect(answer.deciding).toMatchObject({ at: 43, left: 5 });
    // 8 h in 40 days, 0.2 a day: 25 days on.
    expect(answer.expectedOn).toBe('2026-06-05');
  });

  it('says how many hours of the engine one of its own stands for', () => {
    const shown = (at: string, hours: number) => ({ at: Date.parse(at) as never, shown: hours });
    const own = {
      ...{ kind: 'own' as const, segments: [{ startsAt: 0 as never, offset: 0 }] },
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

  it('that is not there is counted by the engine, rather too early than too late', () => {
    const answer = answerOn('2026-05-11', 'grease', { items: [grease], readings: [['2026-05-10', 11]] });
    expect(answer).toMatchObject({ state: 'overdue', deciding: { left: -1 } });
  });
});

const NOW = (facts: MachineFacts) => lifeHours(facts.readings.at(-1)?.shown ?? facts.entry.life);

describe('whatever the machine', () => {
  const seeds = fc.integer({ min: 2000, max: 900_000 });
  const runs = { seed: 11, numRuns: 300 };
  const scheduleOf = ({ facts, site, today }: ReturnType<typeof randomMachine>) =>
    machineSchedule(facts, scheduleContext(site, today));
  const points = ({ answers }: ReturnType<typeof scheduleOf>) =>
    new Map(
      answers.map(({ item: { id }, limits }) => [
        id,
        limits
          .map((limit) => (limit.kind === 'hours' ? limit.at : limit.on))
          .map(String)
          .sort(),
      ]),
    );

  it('adding usage never moves a due point, nor its expected day to later', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 300 }), (seed, tenths) => {
        const machine = randomMachine(seed);
        const last = machine.facts.readings.at(-1);
        if (!last) return;
        const readings = [
          ...machine.facts.readings.slice(0, -1),
          { ...last, shown: last.shown + tenths / 10 },
        ];
        const [was, is] = [
          scheduleOf(machine),
          scheduleOf({ ...machine, facts: { ...machine.facts, readings } }),
        ];
        expect(points(is)).toEqual(points(was));
        const later = new Map(is.answers.map((answer) => [answer.item.id, answer]));
        for (const {
          item: { id },
          expectedOn,
          state,
        } of was.answers) {
          const after = later.get(id);
          expect(compareStates(after?.state ?? 'fine', state)).toBeLessThanOrEqual(0);
          if (expectedOn !== null && !after?.deciding?.overdue) {
            expect(String(after?.expectedOn) <= expectedOn).toBe(true);
          }
        }
      }),
      runs,
    );
  });

  it('doing an item never makes it, nor what it renews, more due', () => {
    fc.assert(
      fc.property(seeds, fc.integer({ min: 0, max: 5 }), (seed, chosen) => {
        const machine = randomMachine(seed);
        const { facts, today } = machine;
        const id = facts.items[chosen % facts.items.length]?.id ?? '';
        const before = facts.history.get(id) ?? { completions: [], declared: [] };
        const now: ItemHistory = {
          ...before,
          completions: [...before.completions, { on: today, life: NOW(facts) }],
        };
        const [was, is] = [
          scheduleOf(machine),
          scheduleOf({ ...machine, facts: { ...facts, history: new Map([...facts.history, [id, now]]) } }),
        ];
        const renewed = renewedBy(id, facts.items);
        for (const answer of is.answers.filter((each) => renewed.includes(each.item.id))) {
          const old = was.answers.find((each) => each.item.id === answer.item.id);
          const worst = old?.state === 'resting' ? 'fine' : (old?.state ?? 'fine');
          const isNew = answer.item.triggers.some(
            ({ kind }) => kind === 'firstHours' || kind === 'firstCalendar',
          );
          if (!isNew) expect(compareStates(answer.state, worst)).toBeGreaterThanOrEqual(0);
        }
      }),
      runs,
    );
  });

  it('an item on the meter never drifts: it is due at multiples, however it was done', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const machine = randomMachine(seed);
        for (const { limits, item: own } of scheduleOf(machine).answers) {
          for (const limit of limits) {
            if (limit.kind !== 'hours' || limit.rule.kind !== 'everyHours') continue;
            if ((limit.rule.grid ?? machine.site.grid) !== 'onMeter') continue;
            const multiple = limit.at / (Math.round(limit.rule.hours * own.dutyFactor * 100) / 100);
            expect(Math.abs(multiple - Math.round(multiple))).toBeLessThan(1e-3);
          }
        }
      }),
      runs,
    );
  });

  it('voiding a record restores exactly the state before it, and the order of entry does not matter', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const machine = randomMachine(seed);
        const { facts, today } = machine;
        const reversed = new Map(
          [...facts.history]
            .reverse()
            .map(([id, { completions, declared }]) => [
              id,
              { completions: [...completions].reverse(), declared: [...declared].reverse() },
            ]),
        );
        const other = { ...facts, readings: [...facts.readings].reverse(), history: reversed };
        expect(scheduleOf({ ...machine, facts: other })).toEqual({
          ...scheduleOf(machine),
          plan: expect.anything(),
          usage: expect.anything(),
          meters: expect.anything(),
        });
        const extra = new Map(facts.history);
        for (const { id } of facts.items) {
          const own = extra.get(id) ?? { completions: [], declared: [] };
          extra.set(id, {
            ...own,
            completions: [...own.completions, { on: addDays(today, -1), life: NOW(facts) }],
          });
        }
        scheduleOf({ ...machine, facts: { ...facts, history: extra } });
        const voided = new Map(
          [...extra].map(([id, own]) => [id, { ...own, completions: own.completions.slice(0, -1) }]),
        );
        expect(scheduleOf({ ...machine, facts: { ...facts, history: voided } }).answers).toEqual(
          scheduleOf(machine).answers,
        );
      }),
      { ...runs, numRuns: 100 },
    );
  });
});
