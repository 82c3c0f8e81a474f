const preset = require('../jest.preset.cjs');

module.exports = {
  ...preset,
  testEnvironment: 'jsdom',
  moduleNameMapper: { '\\.css$': '<rootDir>/src/testing/noStyles.cjs', ...preset.moduleNameMapper },
  testEnvironmentOptions: { customExportConditions: ['source', 'browser', 'require', 'default'] },
  setupFiles: ['reflect-metadata', '<rootDir>/src/testing/jsdomGaps.cjs'],
};
