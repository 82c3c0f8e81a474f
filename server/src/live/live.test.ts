import { testApp } from '../testing/testApp.js';
import type { TestApp } from '../testing/testApp.js';

let yard: TestApp;
beforeAll(async () => {
  yard = await testApp();
  await yard.app.listen(0, '127.0.0.1');
});
afterAll(() => yard.close());

describe('the live feed', () => {
  it('tells a second person what changed, after it is saved', async () => {
    const address = await yard.app.getUrl();
    const stop = new AbortController();
    const response = await fetch(`${address}/api/live`, {
      headers: { cookie: `yugator_session=${yard.crew.tokens.viewer}` },
      signal: stop.signal,
    });
    expect(response.headers.get('content-type')).toContain('text/event-stream');
    const reader = (response.body as ReadableStream<Uint8Array>).getReader();
    const saved = await yard.ask('POST', '/api/round', {
      as: 'operator',
      body: { readings: [{ machineId: yard.crew.machine, shown: 62 }] },
    });
    expect(saved.status).toBe(201);
    let heard = '';
    while (!heard.includes('\n\n') || !heard.includes('readings')) {
      const { value, done } = await reader.read();
      if (done) break;
      heard += new TextDecoder().decode(value);
    }
    stop.abort();
    expect(heard).toContain('event: changed');
    expect(heard).toContain('{"subjects":["readings"]}');
  });
});
