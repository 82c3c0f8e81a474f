import fc from 'fast-check';
import { addDays, civilDate, dayNumber, daysBetween } from '../calendar/civilDate.js';
import type { CivilDate } from '../calendar/civilDate.js';
import { instant } from '../calendar/instant.js';
import { lifeHours } from '../meter/lifeHours.js';
import { seasonYear } from '../season/season.js';
import type { ItemHistory } from './baseline.js';
import { compareStates } from './dueState.js';
import { isInUse } from './inUse.js';
import type { ScheduleItem } from './item.js';
import { machineSchedule } from './machineSchedule.js';
import type { MachineFacts } from './machineSchedule.js';
import { renewedBy } from './renewal.js';
import { scheduleContext } from './scheduleContext.js';
import { MOWING } from './testing/facts.js';
import { randomMachine } from './testing/randomMachine.js';

/** Items that go with another as often in a busy year as in a quiet one. */
function withoutHardWork(own: ScheduleItem): ScheduleItem {
  return {
    ...own,
    triggers: own.triggers.map((trigger) =>
      trigger.kind === 'everyNth' ? { ...trigger, everyTimeAboveHours: null } : trigger,
    ),
  };
}

function latestOf(a: CivilDate, b: CivilDate): CivilDate {
  return a > b ? a : b;
}

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
          // How often an item goes with another, and from which hours on after a judged day, follows from usage.
          .filter(({ rule }) => rule.kind !== 'everyNth')
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
            // A running-in may be longer than the interval; what goes with another item is due when that one is.
            ({ kind }) => kind === 'firstHours' || kind === 'firstCalendar' || kind === 'everyNth',
          );
          // A judgement may have put it off for longer than its interval is.
          const wasJudged = old?.limits.some(({ rule }) => rule.kind === 'kept' || rule.kind === 'deferred');
          if (!isNew && !wasJudged) expect(compareStates(answer.state, worst)).toBeGreaterThanOrEqual(0);
        }
      }),
      runs,
    );
  });

  it('the first to come decides, early before expected before late', () => {
    let several = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        for (const { limits, deciding, earlyOn, expectedOn, lateOn } of scheduleOf(randomMachine(seed))
          .answers) {
          if (limits.length > 1) several += 1;
          expect(deciding).toBe(limits[0] ?? null);
          const dates = limits.flatMap((limit) => limit.expectedOn ?? []).sort();
          if (limits.some(({ overdue }) => overdue)) expect(deciding?.overdue).toBe(true);
          else if (deciding?.expectedOn)
            expect([deciding.expectedOn, expectedOn]).toEqual([dates[0], dates[0]]);
          if (earlyOn && expectedOn) expect(earlyOn <= expectedOn).toBe(true);
          if (expectedOn && lateOn) expect(expectedOn <= lateOn).toBe(true);
        }
      }),
      runs,
    );
    expect(several).toBeGreaterThan(200);
  });

  it('an item on the meter never drifts: it is due at multiples, however it was done', () => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const machine = randomMachine(seed);
        for (const { limits, item: own } of scheduleOf(machine).answers) {
          for (const limit of limits) {
            if (limit.kind !== 'hours' || limit.rule.kind !== 'everyHours') continue;
            if ((limit.rule.grid ?? machine.site.grid) !== 'onMeter') continue;
            const every = limit.rule.hours * own.dutyFactor;
            const multiple = Math.round(limit.at / every) * every;
            expect(Math.abs(limit.at - multiple)).toBeLessThanOrEqual(0.0051);
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
          [...facts.history].reverse().map(([id, { completions, declared, extensions = [] }]) => [
            id,
            {
              completions: [...completions].reverse(),
              declared: [...declared].reverse(),
              extensions: [...extensions].reverse(),
            },
          ]),
        );
        const other = { ...facts, readings: [...facts.readings].reverse(), history: reversed };
        const [as, reordered] = [scheduleOf(machine), scheduleOf({ ...machine, facts: other })];
        expect(reordered).toEqual({
          ...as,
          plan: expect.anything(),
          usage: expect.anything(),
          meters: expect.anything(),
          comingUntil: expect.anything(),
        });
        const inAYear = addDays(today, 365);
        expect(reordered.comingUntil(inAYear)).toEqual(as.comingUntil(inAYear));
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
          [...extra].map(([id, own]) => [
            id,
            { ...own, completions: own.completions.slice(0, facts.history.get(id)?.completions.length ?? 0) },
          ]),
        );
        expect(scheduleOf({ ...machine, facts: { ...facts, history: voided } }).answers).toEqual(
          scheduleOf(machine).answers,
        );
      }),
      { ...runs, numRuns: 100 },
    );
  });

  it('a reading that confirms the forecast moves no due date by more than a day', () => {
    let dates = 0;
    fc.assert(
      fc.property(seeds, (seed) => {
        const { facts, site, today } = randomMachine(seed);
        const calm = { ...facts, items: facts.items.map(withoutHardWork) };
        const context = scheduleContext(site, today);
        const was = machineSchedule(calm, context);
        const last = was.points.at(-1);
        const expected = was.usage.lifeOn(today)?.expected ?? null;
        if (!last || expected === null || last.day >= dayNumber(today) - 1) return;
        const confirming = { at: instant(`${today}T12:00:00Z`), shown: expected };
        const is = machineSchedule({ ...calm, readings: [...calm.readings, confirming] }, context);
        const byId = new Map(is.answers.map((answer) => [answer.item.id, answer]));
        for (const { item: own, expectedOn } of was.answers) {
          const after = byId.get(own.id)?.expectedOn ?? null;
          if (expectedOn === null || after === null) continue;
          dates += 1;
          // What came in the meantime, as far as anybody knew, is known now to have come.
          const moved = Math.abs(daysBetween(latestOf(expectedOn, today), latestOf(after, today)));
          expect(moved).toBeLessThanOrEqual(1);
        }
      }),
      runs,
    );
    expect(dates).toBeGreaterThan(200);
  });

  it('that rests by hand or out of service is forecast no running on any meter', () => {
    let meters = 0;
    fc.assert(
      fc.property(seeds, fc.constantFrom('laidUp', 'outOfService'), (seed, kind) => {
        const { facts, site, today } = randomMachine(seed);
        const since = facts.readings.length ? today : facts.entry.on;
        const resting = { ...facts, status: { kind, since } };
        const schedule = machineSchedule(resting, scheduleContext(site, today));
        for (const { usage } of schedule.meters.values()) {
          const [now, later] = [usage.lifeOn(today), usage.lifeOn(addDays(today, 400))];
          if (!now || !later) continue;
          meters += 1;
          expect(later).toEqual(now);
          const reached = usage.dateReached(now.high + 1);
          expect([reached.earlyOn, reached.expectedOn, reached.lateOn]).toEqual([null, null, null]);
        }
      }),
      runs,
    );
    expect(meters).toBeGreaterThan(200);
  });

  it('rests and returns by hand as it does by season', () => {
    const resting = ({ answers }: ReturnType<typeof scheduleOf>) =>
      answers
        .filter(({ state }) => state === 'resting')
        .map(({ item: { id } }) => id)
        .sort();
    const dayLimits = ({ answers }: ReturnType<typeof scheduleOf>) =>
      answers.flatMap(({ item: own, limits }) =>
        limits.flatMap(({ rule, ...limit }) => {
          const isOfRest = rule.kind === 'storage' || (rule.kind === 'everyCalendar' && isInUse(rule, own));
          return isOfRest && limit.kind === 'calendar' ? [`${own.id} ${rule.kind} ${limit.on}`] : [];
        }),
      );
    fc.assert(
      fc.property(seeds, fc.integer({ min: 1, max: 100 }), (seed, days) => {
        const { facts, site } = randomMachine(seed);
        const ends = civilDate('2026-10-24');
        const starts = civilDate('2027-03-24');
        const seasons = [MOWING, { ...MOWING, id: 'all', years: [seasonYear(2026, '01-01', '12-31')] }];
        const on = (today: CivilDate, id: string, status: MachineFacts['status']) => {
          const past = { ...facts, entry: { ...facts.entry, on: civilDate('2025-05-01') }, readings: [] };
          const participation = [{ seasonId: id, hoursPerWeek: 5 }];
          return machineSchedule(
            { ...past, participation, status },
            scheduleContext({ ...site, seasons }, today),
          );
        };
        const works: MachineFacts['status'] = { kind: 'inService', since: null };
        const winter = addDays(ends, days);
        const byHand = on(winter, 'all', { kind: 'laidUp', since: addDays(ends, 1) });
        const bySeason = on(winter, 'mowing', works);
        expect(resting(byHand)).toEqual(resting(bySeason));
        expect(byHand.works).toBe(false);
        const back = on(starts, 'all', { kind: 'inService', since: starts });
        const inUse = (schedule: typeof back) =>
          dayLimits(schedule).filter((limit) => limit.includes('everyCalendar'));
        expect(inUse(back)).toEqual(inUse(on(starts, 'mowing', works)));
      }),
      runs,
    );
  });
});
