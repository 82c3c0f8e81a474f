// Loaded into a server before its own code: tells over a socket how long its event loop was held since it was last asked.
import { createServer } from 'node:net';
import { monitorEventLoopDelay } from 'node:perf_hooks';
import { isMainThread } from 'node:worker_threads';

const RESOLUTION_MS = 1;
const socket = process.env.YUGATOR_LOOP_SOCKET;

// prepare.mjs, which ./start runs first, inherits this file and must not take the socket from the server.
if (socket && isMainThread && process.argv[1]?.endsWith('/wholeServer.cjs')) {
  const delay = monitorEventLoopDelay({ resolution: RESOLUTION_MS });
  delay.enable();
  createServer((asker) => {
    asker.on('data', () => {
      asker.write(`${delay.max / 1e6}\n`);
      delay.reset();
    });
    asker.on('error', () => asker.destroy());
  })
    .listen(socket)
    .unref();
}
