import { addDays, civilDate, dayLoads, firstPlan, instant, isTooFull, placesOf } from '@yugator/core';
import type { AnnualRule } from '@yugator/core';
import type { SeasonPlanDto } from '@yugator/contracts';
import { SetClock } from '../clock/clock.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { loadDemonstration } from '../demo/loadDemonstration.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { LiveFeed } from '../live/liveFeed.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Seasons } from '../season/seasons.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { makeSchema, testDatabase } from '../testing/testDatabase.js';
import { publishDemoPlan } from './demoPlan.js';
import { SeasonPlans } from './seasonPlan.js';
import { WorkshopDays } from './workshopDays.js';

/** The plans of the demonstration on a day, for the tests of a block. */
function plansOn(day: string) {
  const made = {} as { database: Awaited<ReturnType<typeof testDatabase>>; plans: SeasonPlans };
  beforeAll(async () => {
    const now = instant(`${day}T12:00:00Z`);
    made.database = await testDatabase();
    const { sequelize } = made.database;
    await makeSchema(sequelize);
    await loadDemonstration(sequelize, now);
    const clock = new SetClock(now);
    const work = new UnitOfWork(sequelize, new LiveFeed());
    const calendar = new SiteCalendar(clock);
    const schedule = new FleetSchedule(calendar, new Seasons(work), new FleetFacts());
    made.plans = new SeasonPlans(work, calendar, schedule, new WorkshopDays(work), new Shelf(work, clock));
  });
  afterAll(() => made.database.drop());
  return made;
}

describe.each(['2026-11-23', '2027-01-18', '2027-03-16', '2027-05-13', '2027-08-02'])(
  'the plan of the demonstration on %s',
  (day) => {
    const demonstration = plansOn(day);
    const made = {} as { plan: SeasonPlanDto };
    beforeAll(async () => {
      await publishDemoPlan(demonstration.plans);
      made.plan = await demonstration.plans.read();
    });

    it('is of the coming four weeks', () => {
      const { cards, today } = made.plan;
      expect(cards.length).toBeGreaterThan(3);
      const until = addDays(civilDate(today), 28);
      expect(cards.filter(({ on }) => on <= today || on >= until)).toEqual([]);
    });

    it('has one card that is locked, one day that is too full, and work that waits for parts which come late', () => {
      const { cards, instance, machines, today } = made.plan;
      expect(cards.filter(({ isLocked }) => isLocked)).toHaveLength(1);
      const visits = machines.map(({ id, items }) =>
        cards
          .filter(({ machineId }) => machineId === id)
          .map(({ on, itemIds }) => ({
            day: instance.days.find((each) => addDays(civilDate(today), each.day) === on)?.day ?? -1,
            items: placesOf(itemIds, items),
          })),
      );
      const over = dayLoads(instance, visits).filter(isTooFull);
      expect(over).toHaveLength(1);
      const late = machines.flatMap(({ items }, at) =>
        items.filter(({ waitsFor, expectedOn }, place) => {
          const item = instance.machines[at]?.items[place];
          if (!item || waitsFor.length === 0) return false;
          const isDue =
            item.usedHours >= (item.hours ?? Infinity) || item.usedDays >= (item.days ?? Infinity);
          return isDue || (expectedOn !== null && expectedOn < addDays(civilDate(today), item.notBefore));
        }),
      );
      expect(late.length).toBeGreaterThan(0);
    });
  },
);

/** Visits that do work of a kind, as a plan made at once has them, by the tag of their machine. */
function visitsFor({ instance, machines }: SeasonPlanDto, kind: 'laysUp' | 'wakesUp') {
  return firstPlan(instance).flatMap((visits, at) => {
    const own = instance.machines[at];
    const work = (own?.items ?? []).flatMap((item, place) => (item[kind] ? [place] : []));
    const days = visits.filter(({ items }) => items.some((place) => work.includes(place)));
    return own && work.length ? [{ tag: machines[at]?.tag ?? '', own, work, days }] : [];
  });
}

describe('in autumn, on 2027-11-08', () => {
  const demonstration = plansOn('2027-11-08');

  it('machines that will rest are laid up in time, once they rest in one visit, and those that work on are not', async () => {
    const plan = await demonstration.plans.read();
    // What need not be done until the plan nearly ends is for the next one.
    const layUps = visitsFor(plan, 'laysUp').filter(
      ({ own }) => (own.layUp?.by ?? 0) < plan.instance.horizon - 28,
    );
    expect(layUps.length).toBeGreaterThan(5);
    for (const { tag, own, work, days } of layUps) {
      const done = new Set(days.flatMap(({ items }) => items));
      expect([tag, work.filter((place) => !done.has(place))]).toEqual([tag, []]);
      const atRest = days.filter(({ day }) => day >= (own.layUp?.end ?? Infinity));
      // A day of the workshop comes twice a week.
      const isInTime = (days.at(-1)?.day ?? Infinity) <= (own.layUp?.by ?? 0) + 7;
      expect([tag, atRest.length <= 1, isInTime]).toEqual([tag, true, true]);
    }
    const resting = new Set(layUps.map(({ tag }) => tag));
    expect(plan.machines.filter(({ tag }) => tag.startsWith('T-') && resting.has(tag))).toEqual([]);
  });
});

describe('before spring, on 2027-02-22', () => {
  const demonstration = plansOn('2027-02-22');

  it('machines that rest are woken up and ready before their season', async () => {
    const wakeUps = visitsFor(await demonstration.plans.read(), 'wakesUp');
    expect(wakeUps.length).toBeGreaterThan(5);
    const ready = wakeUps.filter(({ own, work, days }) => {
      const inTime = days.filter(({ day }) => day <= (own.season?.ready ?? -1));
      const done = new Set(inTime.flatMap(({ items }) => items));
      return work.every((place) => done.has(place));
    });
    expect(ready.length / wakeUps.length).toBeGreaterThanOrEqual(0.9);
  });

  it('by what the house does in spring, which may be supposed to be otherwise', async () => {
    const wakingUp = async (annual: AnnualRule | null) => {
      const { instance } = await demonstration.plans.read(12, annual);
      return instance.machines.flatMap(({ items }) => items.filter(({ wakesUp }) => wakesUp)).length;
    };
    const [spring, split, autumn] = [
      await wakingUp('spring'),
      await wakingUp('split'),
      await wakingUp('autumn'),
    ];
    expect(spring).toBeGreaterThan(split);
    expect(split).toBeGreaterThan(autumn);
    expect([spring, split, autumn]).toContain(await wakingUp(null));
  });
});
