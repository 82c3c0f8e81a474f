import { randomBytes } from 'node:crypto';
import type { Sequelize } from 'sequelize-typescript';
import { connect } from '../database/connect.js';

/** A connection to a new, empty database; `drop` removes it. */
export async function testDatabase(): Promise<{ sequelize: Sequelize; url: string; drop(): Promise<void> }> {
  const server = process.env['TEST_DATABASE_URL'];
  if (!server) throw new Error('TEST_DATABASE_URL is missing: run the tests through their jest.config.cjs.');
  const name = `test_${randomBytes(6).toString('hex')}`;
  const admin = connect(server);
  await admin.query(`CREATE DATABASE ${name} CHARACTER SET utf8mb4`);
  const url = new URL(server);
  url.pathname = `/${name}`;
  const sequelize = connect(url.toString());
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
