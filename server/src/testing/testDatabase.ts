import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { QueryTypes } from 'sequelize';
import type { Sequelize } from 'sequelize-typescript';
import { connect } from '../database/connect.js';

/** A machine that others keep busy is no fault of what is tested. */
const ON_BUSY_MACHINE = { connectMs: 60_000, acquireMs: 60_000, silenceMs: 80_000 };

/** Makes the schema as the migrations leave it. */
export async function makeSchema(sequelize: Sequelize): Promise<void> {
  const file = process.env['TEST_SCHEMA'];
  if (!file) throw new Error('TEST_SCHEMA is missing: run the tests through their jest.config.cjs.');
  // One connection for all of it: that tables refer to each other is not checked meanwhile.
  await sequelize.transaction(async () => {
    await sequelize.query('SET SESSION foreign_key_checks = 0');
    for (const statement of JSON.parse(readFileSync(file, 'utf8')) as string[])
      await sequelize.query(statement);
    await sequelize.query('SET SESSION foreign_key_checks = 1');
  });
}

/** Takes every row out of every table; most have none, which one question for all of them tells. */
export async function emptyTables(sequelize: Sequelize): Promise<void> {
  const names = Object.values(sequelize.models).map((model) => String(model.getTableName()));
  const withRows = await sequelize.query<{ name: string }>(
    names.map((name) => `(SELECT '${name}' AS name FROM ${name} LIMIT 1)`).join(' UNION ALL '),
    { type: QueryTypes.SELECT },
  );
  await sequelize.transaction(async () => {
    await sequelize.query('SET SESSION foreign_key_checks = 0');
    for (const { name } of withRows) await sequelize.query(`DELETE FROM ${name}`);
    await sequelize.query('SET SESSION foreign_key_checks = 1');
  });
}

/** A connection to a new, empty database; `drop` removes it. */
export async function testDatabase(): Promise<{ sequelize: Sequelize; url: string; drop(): Promise<void> }> {
  const server = process.env['TEST_DATABASE_URL'];
  if (!server) throw new Error('TEST_DATABASE_URL is missing: run the tests through their jest.config.cjs.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = connect(server, ON_BUSY_MACHINE);
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  const sequelize = connect(url.toString(), ON_BUSY_MACHINE);
  return {
    sequelize,
    url: url.toString(),
    async drop() {
      await sequelize.close();
      await admin.query(`DROP DATABASE ${name}`);
      await admin.close();
    },
  };
}
