import { addDays, civilDate, dayLoads, instant, placesOf } from '@yugator/core';
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

describe.each(['2026-11-23', '2027-01-18', '2027-03-16', '2027-05-13', '2027-08-02'])(
  'the plan of the demonstration on %s',
  (day) => {
    const made = {} as { database: Awaited<ReturnType<typeof testDatabase>>; plan: SeasonPlanDto };
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
      const plans = new SeasonPlans(work, calendar, schedule, new WorkshopDays(work), new Shelf(work, clock));
      await publishDemoPlan(plans);
      made.plan = await plans.read();
    });
    afterAll(() => made.database.drop());

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
      const over = dayLoads(instance, visits).filter(
        (load) => load.taken > load.minutes || load.visits > load.bays,
      );
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
