// A simulated year takes seconds, and more in what time other tests leave.
module.exports = { ...require('../jest.preset.cjs'), testEnvironment: 'node', testTimeout: 240_000 };
