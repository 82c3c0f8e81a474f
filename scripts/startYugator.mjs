// Starts the program of a checkout as a person does, for measurements.
import { spawn } from 'node:child_process';

/** The program, once it has printed its address, with what it printed until then. */
export function startYugator(root, args, env = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn('./start', args, { cwd: root, env: { ...process.env, ...env } });
    let output = '';
    child.stdout.on('data', (chunk) => {
      output += chunk;
      if (output.includes('Ctrl-C stops it.')) resolve({ child, output });
    });
    child.stderr.pipe(process.stderr);
    child.once('error', reject);
    child.once('exit', () => reject(new Error(`./start did not come up:\n${output}`)));
  });
}

/** Stops it as Ctrl-C does, and waits for its end. */
export async function stopYugator(child) {
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.kill('SIGTERM');
  await ended;
}
