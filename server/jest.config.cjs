module.exports = {
  ...require('../jest.preset.cjs'),
  testEnvironment: 'node',
  setupFiles: ['reflect-metadata'],
  globalSetup: '<rootDir>/testing/startDatabase.cjs',
  globalTeardown: '<rootDir>/testing/stopDatabase.cjs',
  testTimeout: 90_000,
};
