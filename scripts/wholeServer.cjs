// Runs the server from its one file (scripts/bundleServer.mjs) with the code that the engine made of it at the build: to make it anew takes
// a sixth of a start. Code of another version of Node is not taken, and made anew.
const { existsSync, readFileSync } = require('node:fs');
const { createRequire } = require('node:module');
const { dirname, join } = require('node:path');
const { Script } = require('node:vm');

const FILE = join(__dirname, '..', 'server', 'dist', 'whole', 'start.cjs');
const CODE = `${FILE}.code`;

/** The file as a script, and what runs it as a module; with the code that is kept at `path`, as far as it is whole and of this engine. */
function load(path = CODE) {
  const parameters = 'exports, require, module, __filename, __dirname';
  const script = new Script(`(function (${parameters}) {${readFileSync(FILE, 'utf8')}\n})`, {
    filename: FILE,
    cachedData: existsSync(path) ? readFileSync(path) : undefined,
  });
  const module = { exports: {} };
  const run = () =>
    script.runInThisContext()(module.exports, createRequire(FILE), module, FILE, dirname(FILE));
  return { script, run };
}

module.exports = { CODE, load };
if (require.main === module) load().run();
