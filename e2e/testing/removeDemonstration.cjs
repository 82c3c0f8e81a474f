const { rmSync } = require('node:fs');

module.exports = function removeDemonstration() {
  rmSync(globalThis.demonstration, { recursive: true, force: true });
};
