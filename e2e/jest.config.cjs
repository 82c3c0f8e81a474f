module.exports = {
  ...require('../jest.preset.cjs'),
  testEnvironment: 'node',
  globalSetup: '<rootDir>/testing/makeDemonstration.cjs',
  globalTeardown: '<rootDir>/testing/removeDemonstration.cjs',
  testTimeout: 120_000,
};
