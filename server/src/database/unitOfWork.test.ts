import type { JobMove, Subject } from '@yugator/contracts';
import { LiveFeed } from '../live/liveFeed.js';
import { seedCrew } from '../testing/seedCrew.js';
import type { Crew } from '../testing/seedCrew.js';
import { NOON } from '../testing/testApp.js';
import { testDatabase } from '../testing/testDatabase.js';
import { SetClock } from '../clock/clock.js';
import { Machine } from '../models/machine.model.js';
import { migrator } from './migrator.js';
import { UnitOfWork } from './unitOfWork.js';

let database: Awaited<ReturnType<typeof testDatabase>>;
let crew: Crew;
let work: UnitOfWork;
let published: Subject[];
let moved: JobMove[];

beforeAll(async () => {
  database = await testDatabase();
  await migrator(database.sequelize).up();
  crew = await seedCrew(new SetClock(NOON));
});
afterAll(() => database.drop());
beforeEach(() => {
  const feed = new LiveFeed();
  [published, moved] = [[], []];
  feed.changes().subscribe(({ subjects, jobs }) => {
    published.push(...subjects);
    moved.push(...jobs);
  });
  work = new UnitOfWork(database.sequelize, feed);
});

const rename = (id: string, name: string) => Machine.update({ name }, { where: { id } });
const nameOf = async (id: string) => (await Machine.findByPk(id))?.name;

describe('a unit of work', () => {
  it('writes all of it, and says what changed once it is committed', async () => {
    await work.run(async () => {
      await rename(crew.machine, 'A');
      work.changed('machines');
      expect(published).toEqual([]);
    });
    expect(published).toEqual(['machines']);
    expect(await nameOf(crew.machine)).toBe('A');
  });

  it('says how far an open job has come, whatever else a job is', async () => {
    const job = { id: 'j', version: 7, note: 'Not for everybody' };
    await work.run(() => Promise.resolve(work.jobMoved(job)));
    expect([published, moved]).toEqual([[], [{ id: 'j', version: 7 }]]);
    expect(() => work.jobMoved(job)).toThrow('only be noted inside a unit of work');
  });

  it('writes none of it when it fails, and says nothing', async () => {
    const failing = work.run(async () => {
      await rename(crew.machine, 'B');
      work.changed('machines');
      throw new Error('half-way');
    });
    await expect(failing).rejects.toThrow('half-way');
    expect(published).toEqual([]);
    expect(await nameOf(crew.machine)).toBe('A');
  });

  it('that is only tried out gives what would have come of it, and leaves nothing', async () => {
    const tried = work.tryOut(async () => {
      await rename(crew.machine, 'T');
      work.changed('machines');
      return nameOf(crew.machine);
    });
    expect(await tried).toBe('T');
    expect(published).toEqual([]);
    expect(await nameOf(crew.machine)).toBe('A');
    await expect(work.tryOut(() => Promise.reject(new Error('no')))).rejects.toThrow('no');
  });

  it('joins the one it runs in', async () => {
    const failing = work.run(async () => {
      await work.run(() => rename(crew.machine, 'C'));
      throw new Error('after all');
    });
    await expect(failing).rejects.toThrow('after all');
    expect(await nameOf(crew.machine)).toBe('A');
  });

  it('is run again when the database breaks a deadlock', async () => {
    let tries = 0;
    // Both take the first of their rows before either asks for the second: MariaDB must break one of them.
    let bothHoldOne: () => void = () => undefined;
    const held = new Promise<void>((resolve) => (bothHoldOne = resolve));
    let holding = 0;
    const crossing = (first: string, second: string, name: string) =>
      work.run(async () => {
        tries += 1;
        await rename(first, name);
        holding += 1;
        if (holding >= 2) bothHoldOne();
        await held;
        await rename(second, name);
      });
    await Promise.all([
      crossing(crew.machine, crew.otherMachine, 'D'),
      crossing(crew.otherMachine, crew.machine, 'E'),
    ]);
    expect(tries).toBeGreaterThanOrEqual(3);
    expect(await nameOf(crew.machine)).toBe(await nameOf(crew.otherMachine));
  });

  it('does not try for ever', async () => {
    let tries = 0;
    const deadlock = Object.assign(new Error('Deadlock found'), { errno: 1213 });
    const failing = work.run(() => {
      tries += 1;
      return Promise.reject(deadlock);
    });
    await expect(failing).rejects.toBe(deadlock);
    expect(tries).toBe(6);
  });

  it('refuses a change noted outside of it', () => {
    expect(() => work.changed('jobs')).toThrow('inside a unit of work');
  });
});
