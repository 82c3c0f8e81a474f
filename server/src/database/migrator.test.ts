import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { testDatabase } from '../testing/testDatabase.js';
import { Item } from '../models/book.model.js';
import { storedTriggers } from '../facts/scheduleItem.js';
import { Machine } from '../models/machine.model.js';
import { jsonValue } from './columns.js';
import { MODELS } from './models.js';
import { migrator } from './migrator.js';

let database: Awaited<ReturnType<typeof testDatabase>>;
beforeAll(async () => {
  database = await testDatabase();
});
afterAll(() => database.drop());

interface TableRow {
  readonly name: string;
  readonly engine: string;
  readonly collation: string;
}

function tables(sequelize: Sequelize): Promise<TableRow[]> {
  return sequelize.query<TableRow>(
    `SELECT table_name AS name, engine AS engine, table_collation AS collation
     FROM information_schema.tables WHERE table_schema = DATABASE() AND table_name <> 'migrations' ORDER BY 1`,
    { type: QueryTypes.SELECT },
  );
}

async function schema(sequelize: Sequelize): Promise<unknown[]> {
  const columns = await sequelize.query(
    `SELECT table_name, column_name, column_type, collation_name, is_nullable, column_key, extra
     FROM information_schema.columns WHERE table_schema = DATABASE() AND table_name <> 'migrations' ORDER BY 1, 2`,
    { type: QueryTypes.SELECT },
  );
  const keys = await sequelize.query(
    `SELECT table_name, column_name, referenced_table_name, referenced_column_name
     FROM information_schema.key_column_usage WHERE table_schema = DATABASE() ORDER BY 1, 2, 3, 4`,
    { type: QueryTypes.SELECT },
  );
  return [...columns, ...keys];
}

describe('the migrations', () => {
  it('go up, all the way down, and up to the same schema again', async () => {
    const { sequelize } = database;
    await migrator(sequelize).up();
    const first = await schema(sequelize);
    expect(first.length).toBeGreaterThan(80);
    await migrator(sequelize).down({ to: 0 });
    expect(await tables(sequelize)).toEqual([]);
    await migrator(sequelize).up();
    expect(await schema(sequelize)).toEqual(first);
  });

  it('give every table InnoDB, utf8mb4 and a primary key, and no counter of the database', async () => {
    const { sequelize } = database;
    const all = await tables(sequelize);
    expect(all.map(({ name }) => name).sort()).toEqual(MODELS.map((model) => model.getTableName()).sort());
    for (const { engine, collation } of all) {
      expect(engine).toBe('InnoDB');
      expect(collation).toMatch(/^utf8mb4_/);
    }
    const columns = (await schema(sequelize)) as {
      table_name: string;
      column_key?: string;
      extra?: string;
    }[];
    for (const { name } of all) {
      expect(columns.some((column) => column.table_name === name && column.column_key === 'PRI')).toBe(true);
    }
    expect(columns.filter((column) => column.extra?.includes('auto_increment'))).toEqual([]);
  });

  it('can each be begun again after an interruption', async () => {
    const { sequelize } = database;
    const before = await schema(sequelize);
    await migrator(sequelize).down({ to: 0 });
    const names = (await migrator(sequelize).pending()).map(({ name }) => name);
    expect(names).toHaveLength(36);
    for (const name of names) {
      await migrator(sequelize).up({ to: name });
      await sequelize.query(`DELETE FROM migrations WHERE name = '${name}'`);
      await migrator(sequelize).up({ to: name });
    }
    expect(await schema(sequelize)).toEqual(before);
  });

  it('mend ids in capitals, which then count for what they name', async () => {
    const { sequelize } = database;
    const run = (sql: string) => sequelize.query(sql);
    await migrator(sequelize).down({ to: '0009-binary-ids' });
    await run("INSERT INTO books (id, name, machine_class) VALUES ('abc-1', 'A book', 'zeroTurn')");
    await run(`INSERT INTO items (id, book_id, name, minutes, place, action, component, reference, note)
      VALUES ('def-2', 'ABC-1', 'Engine oil', 30, 0, 'replace', 'engine oil', '', '')`);
    await migrator(sequelize).up();
    expect((await Item.findByPk('def-2'))?.bookId).toBe('abc-1');
    expect(await Item.findByPk('DEF-2')).toBeNull();
    await expect(run("UPDATE items SET book_id = 'ABC-1'")).rejects.toThrow(/foreign key/);
    for (const table of ['items', 'books']) await run(`DELETE FROM ${table}`);
  });

  it('make every reference a foreign key, and compare ids byte by byte', async () => {
    const columns = (await schema(database.sequelize)) as {
      table_name: string;
      column_name: string;
      column_type?: string;
      collation_name?: string;
      referenced_table_name?: string | null;
    }[];
    const ids = columns.filter(({ column_type }) => column_type === 'char(36)');
    expect(ids.length).toBeGreaterThan(60);
    expect(ids.filter(({ collation_name }) => collation_name !== 'ascii_bin')).toEqual([]);
    const references = ids.filter(({ column_name }) => column_name.endsWith('_id'));
    const keys = new Set(
      columns
        .filter(({ referenced_table_name }) => referenced_table_name)
        .map(({ table_name, column_name }) => `${table_name}.${column_name}`),
    );
    const without = references.map((each) => `${each.table_name}.${each.column_name}`);
    expect(without.filter((name) => !keys.has(name))).toEqual([]);
  });

  it('take the triggers of older books over into their items, and back', async () => {
    const { sequelize } = database;
    const run = (sql: string) => sequelize.query(sql);
    await migrator(sequelize).down({ to: '0004-schedule' });
    await run("INSERT INTO books (id, name, machine_class) VALUES ('b', 'Old book', 'zeroTurn')");
    await run("INSERT INTO items (id, book_id, name, minutes, place) VALUES ('i', 'b', 'Engine oil', 30, 0)");
    await run(`INSERT INTO item_triggers (id, item_id, kind, every_hours, every_count, every_unit) VALUES
      ('t', 'i', 'everyHours', 50, NULL, NULL), ('u', 'i', 'everyCalendar', NULL, 12, 'month')`);
    await migrator(sequelize).up();
    const item = await Item.findByPk('i');
    expect(storedTriggers(item?.triggers)).toEqual(
      expect.arrayContaining([
        { kind: 'everyHours', hours: 50, meter: 'engine', grid: null },
        { kind: 'everyCalendar', count: 12, unit: 'month', inUse: null },
      ]),
    );
    expect(item?.components).toEqual(['engineOil']);
    await migrator(sequelize).down({ to: '0004-schedule' });
    const old = await sequelize.query('SELECT kind, every_count FROM item_triggers ORDER BY kind', {
      type: QueryTypes.SELECT,
    });
    expect(old).toEqual([
      { kind: 'everyCalendar', every_count: 12 },
      { kind: 'everyHours', every_count: null },
    ]);
    for (const table of ['item_triggers', 'items', 'books']) await run(`DELETE FROM ${table}`);
    await migrator(sequelize).up();
  });

  it('put components in place of words where they are sure, and the words back', async () => {
    const { sequelize } = database;
    const run = (sql: string) => sequelize.query(sql);
    await migrator(sequelize).down({ to: '0012-components' });
    await run("INSERT INTO books (id, name, machine_class) VALUES ('b', 'Old book', 'zeroTurn')");
    const lines = [
      ['i1', 'Engine oil and filter', 'replace', 'engine oil'],
      ['i2', 'Belts, battery and cooling fins: look over', 'inspect', 'belts, battery and fins'],
      ['i3', 'Gadget: look', 'inspect', 'Gadget No. 4'],
      ['i4', 'Oil', 'replace', 'Engine oil'],
    ];
    for (const [id, name, action, words] of lines)
      await run(`INSERT INTO items (id, book_id, name, minutes, place, action, component, reference, note)
        VALUES ('${id}', 'b', '${name}', 30, 0, '${action}', '${words}', '', '')`);
    const card = {
      fluids: [{ fluid: 'Engine oil', litresWithFilter: 2, litresWithoutFilter: null, grades: [] }],
      torques: [{ fastener: 'Magic nut', low: 1, high: 2 }],
      plays: [],
      fittings: [],
      filters: [],
      tools: [],
      plugs: [],
      tyres: [],
    };
    await run(`INSERT INTO machines (id, tag, name, machine_class, make, model, fuel, serial, shed, walk_order, in_service_on,
        in_service_hours, came_new, status, spec, version, facts_revision)
      VALUES ('m', 'M-1', 'Mower', 'zeroTurn', '', '', 'gasoline', '', '', 0, '2026-04-01', 0, 1, 'inService',
        ${sequelize.escape(JSON.stringify(card))}, 1, 1)`);
    const select = (sql: string) => sequelize.query(sql, { type: QueryTypes.SELECT });
    const words = () => select('SELECT id, component FROM items ORDER BY id');
    const before = await words();
    await migrator(sequelize).up();
    const items = await Item.findAll({ order: ['id'] });
    expect(items.map(({ components, oldWords }) => [components, oldWords])).toEqual([
      [['engineOil', 'engineOilFilter'], 'engine oil'],
      [['belts', 'battery', 'coolingFins'], 'belts, battery and fins'],
      [[], 'Gadget No. 4'],
      [['engineOil'], 'Engine oil'],
    ]);
    const machine = await Machine.findByPk('m');
    expect(machine?.spec).toMatchObject({
      fluids: [{ component: 'engineOil', fluid: 'Engine oil' }],
      torques: [{ component: null, fastener: 'Magic nut' }],
    });
    // What was entered since has no old words; an older version gets those of its components.
    await items[2]?.update({ components: ['engineOil', 'engineOilFilter'], oldWords: '' });
    await migrator(sequelize).down({ to: '0012-components' });
    expect(await words()).toEqual([
      ...before.slice(0, 2),
      { id: 'i3', component: 'engine oil and filter' },
      ...before.slice(3),
    ]);
    const [back] = (await select('SELECT spec FROM machines')) as { spec: unknown }[];
    expect(jsonValue(back?.spec)).toEqual(card);
    await migrator(sequelize).up();
    expect((await Item.findByPk('i3'))?.components).toEqual(['engineOil', 'engineOilFilter']);
    for (const table of ['items', 'books', 'machines']) await run(`DELETE FROM ${table}`);
  });

  it('ask for the rest voltage once in an open job, and leave a record as it stands', async () => {
    const { sequelize } = database;
    const steps = () =>
      sequelize.query<{ step: string }>(
        "SELECT CONCAT(job_id, ': ', step_key) AS step FROM job_steps ORDER BY step",
        {
          type: QueryTypes.SELECT,
        },
      );
    await migrator(sequelize).down({ to: '0015-rest-voltage' });
    const run = (sql: string) => sequelize.query(sql);
    await run(`INSERT INTO people (id, name, role, password_hash, active, version)
      VALUES ('p', 'Ansel', 'mechanic', '', 1, 1)`);
    await run(`INSERT INTO machines (id, tag, name, machine_class, make, model, fuel, serial, shed, walk_order, in_service_on,
        in_service_hours, came_new, status, version, facts_revision)
      VALUES ('m', 'M-1', 'Mower', 'zeroTurn', '', '', 'gasoline', '', '', 0, '2026-04-01', 0, 1, 'inService', 1, 1)`);
    await run(`INSERT INTO jobs (id, machine_id, state, opened_at, opened_by_id, version)
      VALUES ('j1', 'm', 'open', NOW(), 'p', 1), ('j2', 'm', 'signedOff', NOW(), 'p', 1)`);
    const ticks = [
      ['j1', 'battery.rest'],
      ['j1', 'batteryClean.rest'],
      ['j1', 'battery.charging'],
      ['j2', 'battery.rest'],
    ];
    for (const [job, step] of ticks)
      await run(`INSERT INTO job_steps (job_id, step_key, is_done, is_acknowledged, changed_at, changed_by_id, version)
        VALUES ('${job}', '${step}', 1, 1, NOW(), 'p', 1)`);
    await migrator(sequelize).up();
    expect((await steps()).map(({ step }) => step)).toEqual([
      'j1: battery.charging',
      'j1: shared.restVoltage',
      'j2: battery.rest',
    ]);
    await migrator(sequelize).down({ to: '0015-rest-voltage' });
    expect((await steps()).map(({ step }) => step)).toEqual([
      'j1: battery.charging',
      'j1: battery.rest',
      'j2: battery.rest',
    ]);
    await migrator(sequelize).up();
    for (const table of ['job_steps', 'jobs', 'machines', 'people']) await run(`DELETE FROM ${table}`);
  });

  it.each([
    ['America/Chicago', 'monthFirst'],
    ['Europe/London', 'dayFirst'],
  ])('type days at a site in %s as is usual there: %s', async (zone, order) => {
    const { sequelize } = database;
    await migrator(sequelize).down({ to: '0014-date-order' });
    await sequelize.query(`INSERT INTO sites (id, name, time_zone, currency, demonstration)
      VALUES ('s', 'Yard', '${zone}', 'GBP', 0)`);
    await migrator(sequelize).up();
    const [site] = await sequelize.query<{ dateOrder: string }>('SELECT date_order AS dateOrder FROM sites', {
      type: QueryTypes.SELECT,
    });
    expect(site?.dateOrder).toBe(order);
    await sequelize.query('DELETE FROM sites');
  });

  it('leave a schema that every model reads', async () => {
    const ours = new Set(MODELS.map((model) => model.name));
    const models = Object.values(database.sequelize.models).filter((model) => ours.has(model.name));
    expect(models).toHaveLength(ours.size);
    for (const model of models) expect(await model.findAll({ limit: 1 })).toEqual([]);
  });

  it('run in strict mode and UTC', async () => {
    const [mode] = await database.sequelize.query<{ mode: string; zone: string }>(
      'SELECT @@SESSION.sql_mode AS mode, @@SESSION.time_zone AS zone',
      { type: QueryTypes.SELECT },
    );
    expect(mode?.mode).toContain('STRICT_ALL_TABLES');
    expect(mode?.zone).toBe('+00:00');
  });
});
