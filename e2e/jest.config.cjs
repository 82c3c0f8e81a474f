module.exports = {
  ...require('../jest.preset.cjs'),
  testEnvironment: '<rootDir>/testing/environment.cjs',
  testSequencer: '<rootDir>/testing/longestFirst.cjs',
  globalSetup: '<rootDir>/testing/prepare.cjs',
  globalTeardown: '<rootDir>/testing/tidy.cjs',
  // Some take a minute alone, and several beside others on a busy machine.
  testTimeout: 600_000,
};
