import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import ts from 'typescript';

/**
 * Loads what tests of `core` share, such as invented sites: it is left out of what is built. `path` is that of its source below
 * `core/src`; what it imports has to be built.
 */
export function testingModule(root, path) {
  const { outputText } = ts.transpileModule(readFileSync(join(root, 'core/src', path), 'utf8'), {
    compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 },
  });
  const file = join(root, 'core/dist', path.replace(/\.ts$/, '.js'));
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, outputText);
  return import(pathToFileURL(file).href);
}
