import { mkdirSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { pathToFileURL } from 'node:url';
import ts from 'typescript';

/**
 * Loads what tests of `core` share, such as invented sites: it is left out of what is built. `path` is that of its source below
 * `core/src`; what it imports stands in its own folder, or is built.
 */
export function testingModule(root, path) {
  const from = join(root, 'core/src', dirname(path));
  const to = join(root, 'core/dist', dirname(path));
  mkdirSync(to, { recursive: true });
  for (const file of readdirSync(from).filter((name) => name.endsWith('.ts'))) {
    const { outputText } = ts.transpileModule(readFileSync(join(from, file), 'utf8'), {
      compilerOptions: { module: ts.ModuleKind.ESNext, target: ts.ScriptTarget.ES2022 },
    });
    writeFileSync(join(to, file.replace(/\.ts$/, '.js')), outputText);
  }
  return import(pathToFileURL(join(to, basename(path).replace(/\.ts$/, '.js'))).href);
}
