import type { BuyingAsk, BuyingSaid } from './buyingWorker.js';

/** As much as is used of a worker. */
export type BuyingWorker = Pick<Worker, 'addEventListener' | 'postMessage' | 'terminate'>;

/** Workers of which one may wait for its question with its solver warm; `begin` makes a new one. */
export function oneWaiting(begin: () => BuyingWorker) {
  let waiting: BuyingWorker | null = null;
  return {
    /** Has a worker warm up while the facts are read; returns how the one that waits is ended. */
    prepare(): () => void {
      waiting ??= begin();
      return () => {
        waiting?.terminate();
        waiting = null;
      };
    },

    /** Asks the worker that waits, else a new one; returns how it is ended at once, whatever it is about. */
    start(ask: BuyingAsk, hear: (said: BuyingSaid) => void): () => void {
      const worker = waiting ?? begin();
      waiting = null;
      const ears = new AbortController();
      const { signal } = ears;
      const end = () => {
        if (signal.aborted) return;
        ears.abort();
        worker.terminate();
      };
      // What has answered waits for the next question, unless another does already.
      const rest = () => {
        if (waiting) return end();
        ears.abort();
        waiting = worker;
      };
      const onMessage = ({ data }: MessageEvent<BuyingSaid>) => {
        if (data.kind !== 'better') rest();
        hear(data);
      };
      const onError = () => {
        end();
        hear({ kind: 'failed' });
      };
      worker.addEventListener('message', onMessage as EventListener, { signal });
      worker.addEventListener('error', onError, { signal });
      worker.postMessage(ask);
      return end;
    },
  };
}
