module.exports = {
  ...require('../jest.preset.cjs'),
  testEnvironment: 'node',
  globalSetup: '<rootDir>/testing/makeDemonstration.cjs',
  globalTeardown: '<rootDir>/testing/removeDemonstration.cjs',
  // Some take a minute alone, and several beside others on a busy machine.
  testTimeout: 600_000,
};
