const { statSync } = require('node:fs');
const Sequencer = require('@jest/test-sequencer').default;

/** Small files first and what walks from day to day last: most mutants are noticed before it is their turn. */
module.exports = class MutateSequencer extends Sequencer {
  sort(tests) {
    const weight = ({ path }) => (path.includes('slowSchedule') ? Infinity : statSync(path).size);
    return [...tests].sort((a, b) => weight(a) - weight(b) || (a.path < b.path ? -1 : 1));
  }
};
