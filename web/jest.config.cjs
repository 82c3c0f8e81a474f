const preset = require('../jest.preset.cjs');

module.exports = {
  ...preset,
  testEnvironment: 'jsdom',
  // Typing as a person does takes its time, more so beside other tests.
  testTimeout: 120_000,
  moduleNameMapper: {
    '\\.css$': '<rootDir>/src/testing/noStyles.cjs',
    '\\.md\\?raw$': '<rootDir>/src/testing/someWords.cjs',
    ...preset.moduleNameMapper,
  },
  testEnvironmentOptions: { customExportConditions: ['source', 'browser', 'require', 'default'] },
  setupFiles: ['reflect-metadata', '<rootDir>/src/testing/jsdomGaps.cjs'],
  setupFilesAfterEnv: ['@testing-library/jest-dom', '<rootDir>/src/testing/patience.ts'],
};
