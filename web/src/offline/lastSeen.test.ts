import { QueryClient, dehydrate } from '@tanstack/react-query';
import { asSeen, isKept } from './lastSeen.js';

async function seenOf(key: string, ...asked: (() => Promise<unknown>)[]) {
  const client = new QueryClient({ defaultOptions: { queries: { retry: false } } });
  for (const queryFn of asked)
    await client.fetchQuery({ queryKey: [key], queryFn, staleTime: 0 }).catch(() => undefined);
  const clientState = dehydrate(client, { shouldDehydrateQuery: isKept });
  return asSeen({ timestamp: 0, buster: '', clientState }).clientState.queries;
}
const answers = () => Promise.resolve('T-02');
const fails = () => Promise.reject(new Error('cut'));

describe('what is kept to be looked at without signal', () => {
  it('stays as it was seen where it could not be asked for again', async () => {
    expect(await seenOf('fleet', answers, fails)).toMatchObject([
      { state: { data: 'T-02', status: 'success', error: null, fetchStatus: 'idle' } },
    ]);
  });
  it('is nothing that was never seen', async () => {
    expect(await seenOf('fleet', fails)).toEqual([]);
  });
  it.each(['sessions', 'audit', 'welcome', 'visits'])('is never of %s', async (key) => {
    expect(await seenOf(key, answers)).toEqual([]);
  });
});
