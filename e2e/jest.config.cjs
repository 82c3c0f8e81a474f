module.exports = { ...require('../jest.preset.cjs'), testEnvironment: 'node', testTimeout: 120_000 };
