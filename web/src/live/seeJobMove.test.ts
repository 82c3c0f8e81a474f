import { QueryClient, QueryObserver } from '@tanstack/react-query';
import type { JobDto } from '@yugator/contracts';
import { jobQueries } from '../job/jobQueries.js';
import { job } from '../testing/jobs.js';
import { seeJobMove } from './seeJobMove.js';

let client: QueryClient;
let asked: number;
const { queryKey } = jobQueries.one(job().id);
const known = (version: number) => client.setQueryData<JobDto>(queryKey, job({ version }));

/** Somebody looks at the page of the job. */
function look(): void {
  const queryFn = () => {
    asked += 1;
    return Promise.resolve(job({ version: 9 }));
  };
  const { meta } = jobQueries.one(job().id);
  new QueryObserver<JobDto>(client, { queryKey, queryFn, staleTime: Infinity, meta }).subscribe(
    () => undefined,
  );
}

beforeEach(() => {
  jest.useFakeTimers();
  client = new QueryClient();
  asked = 0;
});
afterEach(() => {
  client.clear();
  jest.useRealTimers();
});

describe('an open job that moved on', () => {
  it('is asked for again by who looks at it', async () => {
    known(4);
    look();
    seeJobMove(client, { id: job().id, version: 5 });
    await jest.advanceTimersByTimeAsync(1_000);
    expect(asked).toBe(1);
    expect(client.getQueryData<JobDto>(queryKey)?.version).toBe(9);
  });

  it('is not by who moved it: the answer to the tick has come meanwhile', async () => {
    known(4);
    look();
    seeJobMove(client, { id: job().id, version: 5 });
    known(5);
    await jest.advanceTimersByTimeAsync(1_000);
    expect(asked).toBe(0);
  });

  it('is when its page is opened the next time, and where nobody saw it nothing is asked', async () => {
    known(4);
    seeJobMove(client, { id: job().id, version: 5 });
    seeJobMove(client, { id: 'another', version: 5 });
    await jest.advanceTimersByTimeAsync(1_000);
    expect(client.getQueryState(queryKey)?.isInvalidated).toBe(true);
    expect(client.getQueryCache().getAll()).toHaveLength(1);
    look();
    await jest.advanceTimersByTimeAsync(1_000);
    expect(asked).toBe(1);
  });
});
