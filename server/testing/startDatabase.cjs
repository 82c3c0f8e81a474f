// Starts one MariaDB for all server tests, on a port of its own; each test file makes its own database in it.
// Jest resolves nothing for a global set-up, so it uses the built server.
const { mkdtempSync } = require('node:fs');
const { tmpdir } = require('node:os');
const { join } = require('node:path');

module.exports = async function startDatabase() {
  const { startLocalMariaDb } = await import('../dist/launch/mariadb/localMariaDb.js');
  const folder = mkdtempSync(join(tmpdir(), 'yugator-test-'));
  const server = await startLocalMariaDb(folder, { extra: ['--innodb-flush-log-at-trx-commit=0'] });
  globalThis.testDatabase = { server, folder };
  process.env.TEST_DATABASE_URL = server.url;
};
