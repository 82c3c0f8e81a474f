// A simulated year takes seconds, and more on a machine that others keep busy.
module.exports = { ...require('../jest.preset.cjs'), testEnvironment: 'node', testTimeout: 60_000 };
