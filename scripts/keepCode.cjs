// Keeps the code that the engine makes of the server's one file, as far as it takes to tell its options, for its next start.
const { writeFileSync } = require('node:fs');
const { CODE, load } = require('./wholeServer.cjs');

const { script, run } = load();
process.on('exit', () => writeFileSync(CODE, script.createCachedData()));
process.argv.splice(2, Infinity, '--help');
run();
