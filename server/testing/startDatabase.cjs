// Starts one MariaDB for all server tests; each test file makes its own databases in it, from the schema as the migrations leave
// it, read here once. Jest resolves nothing for a global set-up, so it uses the built server.
require('reflect-metadata');
const { mkdtempSync, writeFileSync } = require('node:fs');
const { tmpdir } = require('node:os');
const { join } = require('node:path');

/** Memory, where `scripts/test.mjs` found some: the tables of a hundred databases come and go, none has to last. */
const SCRATCH = process.env.TEST_SCRATCH ?? tmpdir();

/** The statements that make the schema at once: a migration each time would take most of the tests' time. */
async function schemaOf(url) {
  const { connect } = await import('../dist/database/connect.js');
  const { migrator } = await import('../dist/database/migrator.js');
  const sequelize = connect(url);
  await migrator(sequelize).up();
  const rows = (sql) => sequelize.query(sql, { type: 'SELECT' });
  const tables = await rows(
    "SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE() AND table_type = 'BASE TABLE'",
  );
  const statements = [];
  for (const { name } of tables) {
    const [made] = await rows(`SHOW CREATE TABLE ${name}`);
    statements.push(made['Create Table']);
  }
  const done = await rows('SELECT name FROM migrations');
  await sequelize.close();
  return [...statements, ...done.map(({ name }) => `INSERT INTO migrations (name) VALUES ('${name}')`)];
}

module.exports = async function startDatabase() {
  const { startLocalMariaDb } = await import('../dist/launch/mariadb/localMariaDb.js');
  const folder = mkdtempSync(join(SCRATCH, 'yugator-test-'));
  const server = await startLocalMariaDb(folder, {
    extra: ['--innodb-flush-log-at-trx-commit=0'],
    databases: ['test\\_%'],
  });
  globalThis.testDatabase = { server, folder };
  const schema = join(folder, 'schema.json');
  writeFileSync(schema, JSON.stringify(await schemaOf(server.url)));
  process.env.TEST_DATABASE_URL = server.url;
  process.env.TEST_SCHEMA = schema;
};
