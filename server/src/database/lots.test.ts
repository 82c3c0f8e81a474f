import { QueryTypes } from 'sequelize';
import { testDatabase } from '../testing/testDatabase.js';
import { migrator } from './migrator.js';

let database: Awaited<ReturnType<typeof testDatabase>>;
beforeAll(async () => {
  database = await testDatabase();
});
afterAll(() => database.drop());

describe('an older shelf', () => {
  it('has what came in as lots, and every movement as dear as its record says', async () => {
    const { sequelize } = database;
    const run = (sql: string) => sequelize.query(sql);
    const select = (sql: string) => sequelize.query(sql, { type: QueryTypes.SELECT });
    await migrator(sequelize).up();
    await migrator(sequelize).down({ to: '0027-lots' });
    await run(`INSERT INTO articles (id, name, kind, unit, least_on_hand, price_minor, version)
      VALUES ('a', 'Oil', 'fluid', 'litre', 0, 333, 1), ('b', 'Plug', 'part', 'piece', 0, 250, 1)`);
    const moved = (
      id: string,
      article: string,
      quantity: number,
      price: number,
      day: number,
      more = 'NULL',
    ) =>
      run(`INSERT INTO movements (id, article_id, kind, quantity, price_minor, moved_at, note, voided_at)
        VALUES ('${id}', '${article}', '${quantity > 0 ? 'received' : 'drawn'}', ${quantity}, ${price},
          '2026-04-0${day} 12:00:00', '', ${more})`);
    await moved('m1', 'a', 2.5, 333, 1);
    await moved('m2', 'a', 4, 401, 2);
    await moved('m3', 'a', -1.9, 333, 3);
    await moved('m4', 'a', -1.9, 399, 4, 'NOW()');
    await moved('m5', 'a', -1.9, 399, 5);
    // More plugs went out than ever came in.
    await moved('p1', 'b', 3, 250, 1);
    await moved('p2', 'b', -5, 260, 2);
    await migrator(sequelize).up();
    // By hand: 2.5 L for 833, of which 1.9 L 633; 0.6 L and 1.3 L of the second lot, recorded at 758 together.
    expect(
      await select(
        'SELECT movement_id AS m, n, lot_id AS lot, quantity AS q, cost_minor AS cost, lot_minor AS of FROM takes ORDER BY m, n',
      ),
    ).toEqual([
      { m: 'm3', n: 0, lot: 'm1', q: 1.9, cost: 633, of: 633 },
      { m: 'm5', n: 0, lot: 'm1', q: 0.6, cost: 239, of: 200 },
      { m: 'm5', n: 1, lot: 'm2', q: 1.3, cost: 519, of: 521 },
      { m: 'p2', n: 0, lot: 'p1', q: 3, cost: 780, of: 750 },
      { m: 'p2', n: 1, lot: null, q: 2, cost: 520, of: 0 },
    ]);
    expect(
      await select(
        'SELECT id, value_minor AS v, left_quantity AS q, left_minor AS left_v FROM movements ORDER BY id',
      ),
    ).toEqual([
      { id: 'm1', v: 833, q: 0, left_v: 0 },
      { id: 'm2', v: 1604, q: 2.7, left_v: 1083 },
      { id: 'm3', v: -633, q: null, left_v: null },
      { id: 'm4', v: -758, q: null, left_v: null },
      { id: 'm5', v: -758, q: null, left_v: null },
      { id: 'p1', v: 750, q: 0, left_v: 0 },
      { id: 'p2', v: -1300, q: null, left_v: null },
    ]);
    await migrator(sequelize).down({ to: '0027-lots' });
    expect(
      await select("SELECT price_minor AS p FROM movements WHERE id IN ('m1', 'm5') ORDER BY id"),
    ).toEqual([{ p: 333 }, { p: 399 }]);
    await migrator(sequelize).up();
    for (const table of ['takes', 'movements', 'articles']) await run(`DELETE FROM ${table}`);
  });
});
