const { rmSync } = require('node:fs');

module.exports = async function stopDatabase() {
  const { server, folder } = globalThis.testDatabase;
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
};
