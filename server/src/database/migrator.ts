import type { Sequelize } from 'sequelize-typescript';
import { SequelizeStorage, Umzug } from 'umzug';
import type { Migration } from './migration.js';
import { people } from './migrations/0001-people.js';
import { fleet } from './migrations/0002-fleet.js';
import { jobsAndShelf } from './migrations/0003-jobs-and-shelf.js';
import { schedule } from './migrations/0004-schedule.js';
import { meters } from './migrations/0005-meters.js';
import { sheets } from './migrations/0006-sheets.js';
import { findings } from './migrations/0007-findings.js';
import { costAndFindings } from './migrations/0008-cost-and-findings.js';

const MIGRATIONS: readonly Migration[] = [
  ...[people, fleet, jobsAndShelf, schedule, meters, sheets, findings, costAndFindings],
];

async function runAll(sequelize: Sequelize, statements: readonly string[]): Promise<void> {
  for (const statement of statements) await sequelize.query(statement);
}

/** Brings the schema of a database up (`up()`) or down (`down({ to: 0 })`). */
export function migrator(sequelize: Sequelize): Umzug<Sequelize> {
  return new Umzug({
    context: sequelize,
    storage: new SequelizeStorage({ sequelize, tableName: 'migrations' }),
    logger: undefined,
    migrations: MIGRATIONS.map(({ name, up, down }) => ({
      name,
      up: () => runAll(sequelize, up),
      down: () => runAll(sequelize, down),
    })),
  });
}
