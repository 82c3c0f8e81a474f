const { makeDemonstration } = require('./demonstration.cjs');
const { startBrowsers } = require('./browsers.cjs');

module.exports = async function prepare({ maxWorkers }) {
  globalThis.demonstration = await makeDemonstration();
  globalThis.browsers = await startBrowsers(maxWorkers);
};
