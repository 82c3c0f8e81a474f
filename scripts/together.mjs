// Deals the test files of a package into groups that share what they load: to load the application anew for each file took a third to a half
// of the time.
import { mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';

const root = fileURLToPath(new URL('..', import.meta.url));
const GROUP = '.group.test.cjs';
/** What is replaced in one file would be replaced for those that share it. */
const REPLACES = /\bjest\.(mock|doMock)\(/;

/** The longest file first. */
function testFiles(folder) {
  return readdirSync(join(root, folder, 'src'), { recursive: true })
    .filter((name) => /\.test\.tsx?$/.test(name))
    .map((name) => join(root, folder, 'src', name))
    .map((path) => ({ path, text: readFileSync(path, 'utf8') }))
    .sort((a, b) => b.text.length - a.text.length || (a.path < b.path ? -1 : 1));
}

/** Writes at most `most` groups and returns the paths that Jest is to run: those of the groups, and of files that run by themselves. */
export function groupedTests(folder, most, isWanted) {
  const wanted = testFiles(folder).filter(({ path }) => isWanted(path));
  const isAlone = ({ text }) => REPLACES.test(text);
  const pathsOf = (files) => files.map(({ path }) => path);
  const alone = pathsOf(wanted.filter(isAlone));
  const shared = pathsOf(wanted.filter((file) => !isAlone(file)));
  const together = JSON.stringify(join(root, 'testing', 'together.cjs'));
  const into = join(root, folder, '.groups');
  rmSync(into, { recursive: true, force: true });
  mkdirSync(into);
  const count = Math.min(most, shared.length);
  const groups = Array.from({ length: count }, (_, group) => {
    const files = shared.filter((_path, at) => at % count === group);
    const path = join(into, `${group + 1}${GROUP}`);
    writeFileSync(path, `require(${together})(${JSON.stringify(files)});\n`);
    return path;
  });
  return [...groups, ...alone];
}

export function isGroup(path) {
  return path.endsWith(GROUP);
}
