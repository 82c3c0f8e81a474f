// The tests that mutants are tried against: all but those that repeat something thousands of times.
const config = require('./jest.config.cjs');

process.env.ORACLE_MACHINES = '60';
module.exports = {
  ...config,
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  testPathIgnorePatterns: [
    ...config.testPathIgnorePatterns,
    '/backTest/',
    'whateverTheMachine',
    'plan.test',
    'sheet.test',
  ],
};
