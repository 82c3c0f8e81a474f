// Mutation testing of the rules in `core`: each mutant is one small change of the code, and a test has to notice it.
// What the last run found is told in docs/testing.md.
// `SUBJECT=season npm run mutate` tries one subject.
const SUBJECTS =
  process.env['SUBJECT'] ?? '{schedule,meter,season,usage,fluid,check,measurement,units,calendar}';

/** @type {import('@stryker-mutator/api/core').PartialStrykerOptions} */
export default {
  packageManager: 'npm',
  plugins: ['@stryker-mutator/jest-runner'],
  testRunner: 'jest',
  jest: { projectType: 'custom', configFile: 'core/jest.mutate.cjs', enableFindRelatedTests: true },
  coverageAnalysis: 'perTest',
  mutate: [`core/src/${SUBJECTS}/**/*.ts`, '!core/src/**/*.test.ts', '!core/src/**/{testing,backTest}/**'],
  ignorePatterns: ['/*', '!/core', '!/jest.preset.cjs', '!/tsconfig.base.json', '!/package.json', 'dist'],
  // Tables of constants are read once, as their file is loaded: each such mutant would need a process of its own.
  ignoreStatic: true,
  concurrency: 2,
  // A slow machine is no endless loop.
  timeoutMS: 10_000,
  incremental: true,
  incrementalFile: '.yugator/mutants.json',
  tempDirName: '.yugator/stryker',
  reporters: ['clear-text', 'progress-append-only', 'json'],
  jsonReporter: { fileName: '.yugator/mutation.json' },
  clearTextReporter: { allowColor: false, reportTests: false },
  thresholds: { high: 90, low: 80, break: 80 },
};
