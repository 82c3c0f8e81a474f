// Reads what Jest reports of a run, where a group of test files (scripts/together.mjs) counts as the files that it holds.
import { isGroup } from './together.mjs';

const isFailed = ({ status }) => status === 'failed';

/** Each test with the file that it stands in. */
function testsOf({ testResults }) {
  return testResults.flatMap(({ name, assertionResults }) =>
    assertionResults.map(({ status, ancestorTitles }) => ({
      status,
      file: isGroup(name) ? ancestorTitles[0] : name,
    })),
  );
}

/** The files that failed; null where a group died, which does not tell on which of its files. */
export function failedFiles(report) {
  const died = report.testResults.filter((file) => isFailed(file) && !file.assertionResults.some(isFailed));
  if (died.some(({ name }) => isGroup(name))) return null;
  const failed = testsOf(report).filter(isFailed);
  return [...new Set([...failed.map(({ file }) => file), ...died.map(({ name }) => name)])];
}

/** How many tests passed, those of `files` left out. */
export function passedBeside(report, files) {
  return testsOf(report).filter(({ status, file }) => status === 'passed' && !files.includes(file)).length;
}

/** A report's failures; one that ran nothing, or failed without saying where, counts as one. */
export function failures({ numFailedTests, numRuntimeErrorTestSuites, numPassedTests, success }) {
  return numFailedTests + numRuntimeErrorTestSuites || (success && numPassedTests > 0 ? 0 : 1);
}
