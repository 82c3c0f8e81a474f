module.exports = { ...require('../jest.preset.cjs'), testEnvironment: 'node' };
