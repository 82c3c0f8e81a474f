// The tests that mutants are tried against: all but those that repeat something thousands of times.
const config = require('./jest.config.cjs');

process.env.ORACLE_MACHINES = '25';
const { SUBJECT } = process.env;

module.exports = {
  ...config,
  // A subject by itself is tried against its own tests and those of the schedule, where all of it comes together.
  ...(SUBJECT ? { testMatch: [`<rootDir>/src/{${SUBJECT},schedule}/**/*.test.ts`] } : {}),
  testSequencer: '<rootDir>/mutateSequencer.cjs',
  testEnvironment: '@stryker-mutator/jest-runner/jest-env/node',
  testPathIgnorePatterns: [
    ...config.testPathIgnorePatterns,
    '/backTest/',
    'whateverTheMachine',
    'plan.test',
    'sheet.test',
  ],
};
