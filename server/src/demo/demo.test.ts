import {
  civilDate,
  instant,
  isInUse,
  itemStandsStill,
  machineSchedule,
  scheduleContext,
} from '@yugator/core';
import type { CivilDate, DueAnswer, DueState, Instant, ScheduleContext, ScheduleItem } from '@yugator/core';
import { SetClock } from '../clock/clock.js';
import { Book } from '../models/book.model.js';
import { Job } from '../models/job.model.js';
import { Machine } from '../models/machine.model.js';
import { MeterSegmentRow, ReadingRow } from '../models/meter.model.js';
import { LiveFeed } from '../live/liveFeed.js';
import type { MachineParts } from '../machine/machineParts.js';
import { Evidence } from '../evidence/evidence.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Seasons } from '../season/seasons.js';
import { Shelf } from '../shelf/shelf.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { makeSchema, testDatabase } from '../testing/testDatabase.js';
import { UnitOfWork } from '../database/unitOfWork.js';
import { loadDemonstration } from './loadDemonstration.js';
import { MACHINES } from './larkmere.js';
import { machineHistory } from './machineHistory.js';
import { random } from './random.js';

/** The schedules of the fleet on a day. */
function fleetOn(now: Instant): FleetSchedule {
  const work = new UnitOfWork({} as never, new LiveFeed());
  return new FleetSchedule(new SiteCalendar(new SetClock(now)), new Seasons(work), new FleetFacts());
}

/** A database that holds the demonstration of a moment for the tests of a block. */
function demonstrationOn(now: Instant) {
  const made = {} as { database: Awaited<ReturnType<typeof testDatabase>> };
  beforeAll(async () => {
    made.database = await testDatabase();
    await makeSchema(made.database.sequelize);
    await loadDemonstration(made.database.sequelize, now);
  });
  afterAll(() => made.database.drop());
  return made;
}

describe.each(['2026-11-23T12:00:00Z', '2027-05-13T12:00:00Z', '2028-02-29T00:30:00Z'])(
  'the demonstration on %s',
  (day) => {
    const now: Instant = instant(day);
    const demonstration = demonstrationOn(now);

    it('has something true to show in every state', async () => {
      const machines = await fleetOn(now).read();
      const states = new Set<DueState>(
        machines.flatMap(({ schedule }) => schedule.answers.map((answer) => answer.state)),
      );
      expect(machines).toHaveLength(24);
      for (const state of ['coming', 'fine', 'noRecord', 'overdue', 'ripe']) expect(states).toContain(state);
      expect(machines.filter(({ schedule }) => schedule.answers[0]?.state === 'overdue').length).toBeLessThan(
        16,
      );
    });

    it('has written down what checks found, so that some are proposed less often and some more', async () => {
      const kinds = new Set<string>();
      const fleet = fleetOn(now);
      const calendar = new SiteCalendar(new SetClock(now));
      const evidence = new Evidence(
        new UnitOfWork({} as never, new LiveFeed()),
        calendar,
        fleet,
        {} as MachineParts,
      );
      for (const { machine } of await fleet.read()) {
        for (const { kind } of await evidence.of(machine.id)) kinds.add(kind);
      }
      expect([...kinds].sort()).toEqual(['longer', 'shorter']);
    });

    it('tells a past that could have been: no reading runs backwards or lies ahead', async () => {
      const machines = await fleetOn(now).read();
      for (const { machine, schedule } of machines) {
        const lives = schedule.readings.map((reading) => reading.life);
        expect([machine.tag, lives]).toEqual([machine.tag, lives.toSorted((a, b) => a - b)]);
        expect(schedule.lastReading?.at).toBeLessThan(now);
      }
      expect(await ReadingRow.count({ where: { voidReason: 'A digit too many' } })).toBe(1);
      expect(await MeterSegmentRow.count()).toBe((await Machine.count()) + 2);
      expect(await Job.count()).toBeGreaterThan(500);
    });

    it('has a shelf that never went below nothing', async () => {
      const shelf = new Shelf(
        new UnitOfWork(demonstration.database.sequelize, new LiveFeed()),
        new SetClock(now),
      );
      const articles = await shelf.list();
      expect(articles).toHaveLength(50);
      for (const { name, onHand } of articles) expect([name, onHand >= 0]).toEqual([name, true]);
      expect((await Book.findAll()).length).toBe(7);
    });
  },
);

describe.each(['2026-11-25T12:00:00Z', '2027-02-10T12:00:00Z'])('Today in winter, on %s', (day) => {
  const now: Instant = instant(day);
  demonstrationOn(now);

  /** Lines that count nothing but days in use. */
  const isOfUse = ({ item }: DueAnswer) => item.triggers.every((trigger) => isInUse(trigger, item));

  it('asks nothing of daily and weekly care of machines that rest, and all of it on the first day back', async () => {
    const resting = (await fleetOn(now).read()).filter(({ schedule }) => !schedule.works);
    let [lines, back] = [0, 0];
    for (const { schedule, facts } of resting) {
      const ofUse = schedule.answers.filter(isOfUse);
      lines += ofUse.length;
      expect(ofUse.map(({ state }) => state).filter((state) => state !== 'resting')).toEqual([]);
      const firstDay = schedule.working.kind === 'laidUp' ? schedule.working.until : null;
      if (firstDay === null || facts.status.kind !== 'inService') continue;
      const context = await contextOn(firstDay);
      for (const answer of machineSchedule(facts, context).answers.filter(isOfUse)) {
        back += 1;
        expect(['ripe', 'noRecord']).toContain(answer.state);
        if (answer.state === 'ripe') expect(answer.expectedOn).toBe(firstDay);
      }
    }
    // Winter is for snow and leaves as well: not every machine rests.
    expect(resting.length).toBeGreaterThan(3);
    expect([lines > 0, back > 0]).toEqual([true, true]);
  });

  it('leads with what can be lost in winter, not with what waits for spring', async () => {
    const machines = await fleetOn(now).read();
    const leading = machines
      .filter(({ schedule }) => !schedule.works)
      .flatMap(({ schedule }) => schedule.answers.slice(0, 1));
    for (const answer of leading.filter(({ state }) => state === 'overdue')) {
      expect(itemStandsStill(answer.item, () => undefined)).toBe(false);
    }
  });
});

async function contextOn(on: CivilDate): Promise<ScheduleContext> {
  const seasons = await new Seasons(new UnitOfWork({} as never, new LiveFeed())).all();
  return scheduleContext({ timeZone: 'Europe/London', seasons, grid: 'sinceDone' }, on);
}

describe('the history of a demonstration machine', () => {
  it('is the same for the same day and seed', () => {
    const items: ScheduleItem[] = [
      {
        id: 'oil',
        name: 'Oil',
        action: 'replace',
        components: ['engineOil'],
        oldWords: '',
        renews: [],
        dutyFactor: 1,
        triggers: [{ kind: 'everyHours', hours: 50, meter: 'engine', grid: null }],
        window: { hours: null, days: null },
        consequence: null,
      },
    ];
    const site = { timeZone: 'Europe/London', seasons: [], grid: 'sinceDone' } as const;
    const [machine] = MACHINES;
    if (!machine) throw new Error('There is no demonstration machine.');
    const tell = () =>
      machineHistory(machine, items, civilDate('2027-05-13'), random(1), (on) => scheduleContext(site, on));
    expect(tell()).toEqual(tell());
    expect(tell().readings.length).toBeGreaterThan(60);
  });
});
