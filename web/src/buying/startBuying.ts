import type { BuyingAsk, BuyingSaid } from './buyingWorker.js';

/** Has a worker of its own reckon; returns how it is ended at once, whatever it is about. */
export function startBuying(ask: BuyingAsk, hear: (said: BuyingSaid) => void): () => void {
  const worker = new Worker(new URL('./buyingWorker.ts', import.meta.url), { type: 'module' });
  worker.addEventListener('message', ({ data }: MessageEvent<BuyingSaid>) => hear(data));
  worker.addEventListener('error', () => hear({ kind: 'failed' }));
  worker.postMessage(ask);
  return () => worker.terminate();
}
