import { QueryClient, QueryObserver } from '@tanstack/react-query';
import type { Subject } from '@yugator/contracts';
import { makeStale, seeOwnChange } from './makeStale.js';

let client: QueryClient;
let answers: ((value: string) => void)[];

/** A screen that shows jobs, and has been answered once. */
async function shown(subjects: readonly Subject[] = ['jobs']): Promise<void> {
  const queryFn = () => new Promise<string>((answer) => answers.push(answer));
  const observer = new QueryObserver(client, {
    queryKey: ['shown'],
    queryFn,
    staleTime: Infinity,
    meta: { subjects },
  });
  observer.subscribe(() => undefined);
  answers[0]?.('as it was');
  await client.getQueryCache().find({ queryKey: ['shown'] })?.promise;
}

beforeEach(() => {
  client = new QueryClient();
  answers = [];
});
afterEach(() => client.clear());

describe('what changed', () => {
  it('is asked for again by what shows it, and by nothing else', async () => {
    await shown();
    void makeStale(client, ['shelf', 'readings']);
    expect(answers).toHaveLength(1);
    void makeStale(client, ['shelf', 'jobs']);
    expect(answers).toHaveLength(2);
  });

  it('a second time while the answer is on its way is asked for anew: it may have been asked before', async () => {
    await shown();
    void makeStale(client, ['jobs']);
    void makeStale(client, ['jobs']);
    expect(answers).toHaveLength(3);
  });

  it('by a write of one’s own is waited for where the feed had it asked for, and asked for where it had not', async () => {
    await shown();
    void makeStale(client, ['jobs']);
    const seen = seeOwnChange(client, ['jobs']);
    expect(answers).toHaveLength(2);
    answers[1]?.('as it is');
    await seen;
    expect(client.getQueryData(['shown'])).toBe('as it is');
    void seeOwnChange(client, ['jobs']);
    expect(answers).toHaveLength(3);
  });
});
