const preset = require('../jest.preset.cjs');

module.exports = {
  ...preset,
  testEnvironment: 'jsdom',
  moduleNameMapper: {
    '\\.css$': '<rootDir>/src/testing/noStyles.cjs',
    '\\.md\\?raw$': '<rootDir>/src/testing/someWords.cjs',
    ...preset.moduleNameMapper,
  },
  testEnvironmentOptions: { customExportConditions: ['source', 'browser', 'require', 'default'] },
  setupFiles: ['reflect-metadata', '<rootDir>/src/testing/jsdomGaps.cjs'],
  setupFilesAfterEnv: ['@testing-library/jest-dom'],
};
