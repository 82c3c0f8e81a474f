const preset = require('../jest.preset.cjs');

module.exports = {
  ...preset,
  // A package that reads certificates has a class of that name of its own.
  sandboxInjectedGlobals: preset.sandboxInjectedGlobals.filter((name) => name !== 'Set'),
  testEnvironment: 'node',
  setupFiles: ['reflect-metadata'],
  setupFilesAfterEnv: ['<rootDir>/src/testing/atTheEnd.ts'],
  globalSetup: '<rootDir>/testing/startDatabase.cjs',
  globalTeardown: '<rootDir>/testing/stopDatabase.cjs',
  testTimeout: 240_000,
};
