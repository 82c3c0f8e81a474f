// Asks a server for an address that is none, every few milliseconds; for each line read, writes how long the slowest answer took.
import { Agent, get } from 'node:http';

const EVERY_MS = 4;
const [, , port] = process.argv;
const agent = new Agent({ keepAlive: true, maxSockets: 4 });
let slowest = 0;
/** when each request under way began */
const open = new Set();

function ping() {
  const began = performance.now();
  open.add(began);
  const done = () => {
    open.delete(began);
    slowest = Math.max(slowest, performance.now() - began);
  };
  get({ host: '127.0.0.1', port, agent, path: '/api/nothing' }, (answer) =>
    answer.resume().on('end', done),
  ).on('error', done);
}

setInterval(() => open.size < 4 && ping(), EVERY_MS);
process.stdin.on('data', () => {
  const now = performance.now();
  console.log(Math.max(slowest, ...[...open].map((began) => now - began)));
  slowest = 0;
});
