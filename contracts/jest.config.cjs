module.exports = {
  ...require('../jest.preset.cjs'),
  testEnvironment: 'node',
  setupFiles: ['reflect-metadata'],
  testTimeout: 240_000,
};
