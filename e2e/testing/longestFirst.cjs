const { basename } = require('node:path');
const { default: Sequencer } = require('@jest/test-sequencer');

/** Those that take longest, the longest first: their size, which is asked where nothing is known yet, does not show it. */
const LONGEST = ['screens', 'job', 'plan', 'outbox', 'shelf', 'offline', 'phone', 'everyDay', 'seasonEdges'];

function place({ path }) {
  const at = LONGEST.indexOf(basename(path, '.test.ts'));
  return at < 0 ? LONGEST.length : at;
}

/** Begins with what takes longest, so that none is left to run alone at the end; the others as is usual. */
module.exports = class LongestFirst extends Sequencer {
  sort(tests) {
    return super.sort(tests).sort((a, b) => place(a) - place(b));
  }
};
