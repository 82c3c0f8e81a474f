import { codeOf } from './startError.js';

/** Whoever read the output may go away (`./start | head -2`); that ends nothing. */
for (const stream of [process.stdout, process.stderr]) {
  stream.on('error', (error: Error) => {
    if (codeOf(error) !== 'EPIPE') throw error;
  });
}

/** Tells the person at the keyboard. */
export function say(line: string): void {
  process.stdout.write(`${line}\n`);
}

/** Tells the person at the keyboard what is out of order. */
export function warn(line: string): void {
  process.stderr.write(`${line}\n`);
}
