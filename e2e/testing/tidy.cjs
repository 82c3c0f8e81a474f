const { rmSync } = require('node:fs');

module.exports = async function tidy() {
  await Promise.all(globalThis.browsers.map((browser) => browser.close()));
  rmSync(globalThis.demonstration, { recursive: true, force: true });
};
