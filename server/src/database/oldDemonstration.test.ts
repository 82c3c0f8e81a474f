import { readFileSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { SetClock } from '../clock/clock.js';
import { Unsettled } from '../component/unsettled.js';
import { LiveFeed } from '../live/liveFeed.js';
import { FleetFacts } from '../facts/fleetFacts.js';
import { FleetSchedule } from '../schedule/fleetSchedule.js';
import { Seasons } from '../season/seasons.js';
import { SiteCalendar } from '../site/siteCalendar.js';
import { NOON } from '../testing/testApp.js';
import { testDatabase } from '../testing/testDatabase.js';
import { migrator } from './migrator.js';
import { UnitOfWork } from './unitOfWork.js';

/** A cell of a table: JSON columns as text, bytes in base64. */
type Cell = string | number | null | { readonly bytes: string };
interface OldTable {
  readonly create: string;
  readonly columns: readonly string[];
  readonly rows: readonly (readonly Cell[])[];
}

/** The demonstration as the version of the eighth migration wrote it, with an own item in words of the crew and an open job. */
const OLD = JSON.parse(
  gunzipSync(
    readFileSync(new URL('./testing/demonstration-0008.json.gz', `file://${__filename}`)),
  ).toString(),
) as { readonly tables: Readonly<Record<string, OldTable>> };
const TABLES = Object.entries(OLD.tables);
const LAST_OF_OLD = '0008-cost-and-findings';
const FIRST_OF_NEW = '0009-binary-ids';

let database: Awaited<ReturnType<typeof testDatabase>>;
beforeAll(async () => {
  database = await testDatabase();
  await load(database.sequelize);
});
afterAll(() => database.drop());

async function load(sequelize: Sequelize): Promise<void> {
  const text = (cell: Cell) => {
    if (cell === null) return 'NULL';
    return typeof cell === 'object' ? `FROM_BASE64('${cell.bytes}')` : sequelize.escape(cell);
  };
  await sequelize.transaction(async (transaction) => {
    const run = (sql: string) => sequelize.query(sql, { transaction });
    await run('SET FOREIGN_KEY_CHECKS = 0');
    for (const [name, { create, columns, rows }] of TABLES) {
      await run(create);
      for (let from = 0; from < rows.length; from += 500) {
        const some = rows.slice(from, from + 500).map((row) => `(${row.map(text).join(', ')})`);
        await run(`INSERT INTO ${name} (${columns.join(', ')}) VALUES ${some.join(', ')}`);
      }
    }
    await run('SET FOREIGN_KEY_CHECKS = 1');
  });
}

/** All rows of the old tables in their old columns, each as text, in an order of their own. */
async function contents(sequelize: Sequelize): Promise<Record<string, string[]>> {
  const all: Record<string, string[]> = {};
  for (const [name, { columns }] of TABLES) {
    if (name === 'migrations') continue;
    const rows = await sequelize.query(`SELECT ${columns.join(', ')} FROM ${name}`, {
      type: QueryTypes.SELECT,
    });
    all[name] = rows.map((row) => JSON.stringify(row)).sort();
  }
  return all;
}

const figures = (sequelize: Sequelize) =>
  sequelize.query(
    `SELECT (SELECT COUNT(*) FROM readings) AS readings, (SELECT SUM(shown) FROM readings) AS shown,
      (SELECT COUNT(*) FROM jobs) AS jobs, (SELECT SUM(life) FROM jobs) AS life, (SELECT COUNT(*) FROM job_items) AS items,
      (SELECT COUNT(*) FROM movements) AS movements, (SELECT SUM(quantity) FROM movements) AS stock,
      (SELECT COUNT(*) FROM declarations) AS declarations, (SELECT COUNT(*) FROM defects) AS defects`,
    { type: QueryTypes.SELECT },
  );

describe('a database of an earlier version', () => {
  it('comes up to this one with every record, reading and piece of stock, and works', async () => {
    const { sequelize } = database;
    const before = await figures(sequelize);
    expect((await migrator(sequelize).executed()).at(-1)?.name).toBe(LAST_OF_OLD);
    await migrator(sequelize).up();
    expect(await figures(sequelize)).toEqual(before);
    const calendar = new SiteCalendar(new SetClock(NOON));
    const seasons = new Seasons(new UnitOfWork(sequelize, new LiveFeed()));
    const machines = await new FleetSchedule(calendar, seasons, new FleetFacts()).readAll();
    expect(machines).toHaveLength(24);
    const answers = machines.flatMap(({ schedule }) => schedule.answers);
    expect(answers.length).toBeGreaterThan(200);
    // All words of the shipped books are known; what the crew called by words of its own is theirs to settle.
    expect(answers.filter(({ item }) => item.components.length === 0).map(({ item }) => item.name)).toEqual([
      'Beacon glass: look over',
    ]);
    expect(await new Unsettled().list()).toMatchObject([
      { where: 'machine', of: 'R-03', line: 'Beacon glass: look over', words: 'beacon glass' },
    ]);
    const steps = await sequelize.query('SELECT step_key, is_done FROM job_steps ORDER BY step_key', {
      type: QueryTypes.SELECT,
    });
    expect(steps).toMatchObject([{ step_key: 'engineOil.filterOff' }, { step_key: 'oilFilter.filterOff' }]);
  });

  it('goes back to the earlier version as it was', async () => {
    const { sequelize } = database;
    await migrator(sequelize).down({ to: FIRST_OF_NEW });
    const back = await contents(sequelize);
    // The copy of a step under its newer key stays; older versions do not look at it.
    back['job_steps'] = back['job_steps']?.filter((row) => !row.includes('oilFilter.')) ?? [];
    const again = await testDatabase();
    await load(again.sequelize);
    const first = await contents(again.sequelize);
    await again.drop();
    expect(Object.keys(back)).toEqual(Object.keys(first));
    for (const name of Object.keys(first)) expect([name, back[name]]).toEqual([name, first[name]]);
  });

  it('has its records say what they mended', async () => {
    const { sequelize } = database;
    await sequelize.query(
      `UPDATE defects SET closed_by_job_id = (SELECT id FROM jobs WHERE state = 'signedOff' ORDER BY id LIMIT 1) LIMIT 1`,
    );
    await migrator(sequelize).up();
    const read = (sql: string) => sequelize.query(sql, { type: QueryTypes.SELECT });
    const mended = await read('SELECT job_id, defect_id, words FROM job_defects');
    expect(mended).toEqual(
      await read(
        'SELECT closed_by_job_id AS job_id, id AS defect_id, words FROM defects WHERE closed_by_job_id IS NOT NULL',
      ),
    );
    expect(mended).toHaveLength(1);
  });
});
