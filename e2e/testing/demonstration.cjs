// Starts Yugator once on a new data folder, so that it holds the demonstration, and stops it: each test file takes a copy.
const { spawn } = require('node:child_process');
const { once } = require('node:events');
const { mkdtempSync } = require('node:fs');
const { createServer } = require('node:net');
const { tmpdir } = require('node:os');
const { join, resolve } = require('node:path');

const ROOT = resolve(__dirname, '..', '..');
/** Memory, where `scripts/test.mjs` found some. */
const SCRATCH = process.env.TEST_SCRATCH ?? tmpdir();

async function freePort() {
  const probe = createServer().listen(0, '127.0.0.1');
  await once(probe, 'listening');
  const { port } = probe.address();
  probe.close();
  await once(probe, 'close');
  return port;
}

/** Returns its folder, and leaves it where test files find it. */
exports.makeDemonstration = async function makeDemonstration() {
  const data = mkdtempSync(join(SCRATCH, 'yugator-demonstration-'));
  process.env.TEST_DEMONSTRATION = data;
  const child = spawn('./start', ['--data', data, '--port', `${await freePort()}`], { cwd: ROOT });
  let output = '';
  await new Promise((ended, failed) => {
    const hear = (chunk) => {
      output += chunk;
      if (output.includes('Ctrl-C stops it.')) child.kill('SIGTERM');
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    child.once('exit', (code) =>
      code === 0 ? ended() : failed(new Error(`The demonstration could not be made:\n${output}`)),
    );
  });
  return data;
};
