import type { JobProgressDto } from '@yugator/contracts';
import { sheetSteps } from '@yugator/core';
import { jobActs } from '../testing/jobActs.js';
import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
  await yard.app.listen(0, '127.0.0.1');
});
afterAll(() => yard.close());

/** Listens as a viewer from now on: what is heard until `words` came. */
async function listen(): Promise<{ until(words: string): Promise<string>; stop(): void }> {
  const stop = new AbortController();
  const response = await fetch(`${await yard.app.getUrl()}/api/live`, {
    headers: { cookie: `yugator_session=${yard.crew.tokens.viewer}` },
    signal: stop.signal,
  });
  expect(response.headers.get('content-type')).toContain('text/event-stream');
  const reader = (response.body as ReadableStream<Uint8Array>).getReader();
  let heard = '';
  return {
    async until(words) {
      while (!heard.includes(words)) {
        const { value, done } = await reader.read();
        if (done) break;
        heard += new TextDecoder().decode(value);
      }
      return heard;
    },
    stop: () => stop.abort(),
  };
}

describe('the live feed', () => {
  it('tells a second person what changed, after it is saved', async () => {
    const feed = await listen();
    const saved = await yard.ask('POST', '/api/round', {
      as: 'operator',
      body: { readings: [{ machineId: yard.crew.machine, shown: 62 }] },
    });
    expect(saved.status).toBe(201);
    const heard = await feed.until('\n\n');
    feed.stop();
    expect(heard).toContain('event: changed');
    expect(heard).toContain('{"subjects":["readings"],"jobs":[]}');
  });

  it('tells of a tick how far its job has come, and makes nothing else stale', async () => {
    const { open, tick } = jobActs(() => yard);
    const { body: job } = await open([yard.crew.oil]);
    const key = sheetSteps(job.setUp)[0]?.key ?? '';
    const feed = await listen();
    const ticked = await yard.ask<JobProgressDto>('PUT', `/api/jobs/${job.id}/steps/${key}`, {
      as: 'mechanic',
      body: { isAcknowledged: true, version: 0 },
    });
    expect([ticked.status, ticked.body.version]).toEqual([200, job.version + 1]);
    const moved = (version: number) => `{"subjects":[],"jobs":[{"id":"${job.id}","version":${version}}]}`;
    await feed.until(moved(ticked.body.version));
    const { body: decided } = await tick(job);
    const heard = await feed.until(moved(decided.version));
    expect(heard.match(/"version":/g)).toHaveLength(2);
    expect(heard).not.toMatch(/"subjects":\["/);
    feed.stop();
  });
});
