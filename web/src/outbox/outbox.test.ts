import 'fake-indexeddb/auto';
import { ApiProblem, NotKept, Unreachable } from '../api/problem.js';
import type { Entry } from './entry.js';
import { fateOf } from './fate.js';
import { Outbox } from './outbox.js';
import type { NewEntry } from './outbox.js';
import { deviceStore } from './outboxStore.js';
import type { OutboxStore } from './outboxStore.js';
import { patienceFor } from './sendEntry.js';

function memory(): OutboxStore & { readonly kept: Map<string, Entry> } {
  const kept = new Map<string, Entry>();
  return {
    kept,
    all: () => Promise.resolve([...kept.values()].sort((a, b) => a.place - b.place)),
    put: (entry) => Promise.resolve(void kept.set(entry.key, entry)),
    drop: (key) => Promise.resolve(void kept.delete(key)),
  };
}

const typed = (key: string, over: Partial<NewEntry> = {}): NewEntry => ({
  key,
  personId: 'ansel',
  at: 1_000,
  method: 'POST',
  path: '/round',
  body: { readings: [{ shown: 61 }] },
  typed: { title: 'T-02', lines: ['61.0 h'] },
  subjects: ['readings'],
  ...over,
});
const problem = (status: number) =>
  new ApiProblem({ type: 'about:blank', title: 'Refused', status, detail: 'No.' });

/** A server that answers as it is told, by the key of the write; what it took, in order. */
function server(answers: Readonly<Record<string, unknown>> = {}) {
  const taken: string[] = [];
  return {
    taken,
    send: ({ key }: Entry) => {
      const answer = answers[key];
      if (answer instanceof Error) return Promise.reject(answer);
      taken.push(key);
      return Promise.resolve(answer ?? { key });
    },
  };
}
const nothing = () => undefined;

describe('the outbox', () => {
  it('sends in the order of typing, each once, and then is empty', async () => {
    const { taken, send } = server();
    const outbox = new Outbox(memory(), send);
    for (const key of ['c', 'a', 'b']) await outbox.add(typed(key));
    const sent: string[] = [];
    await Promise.all([
      outbox.sendAll('ansel', ({ key }) => void sent.push(key)),
      outbox.sendAll('ansel', nothing),
    ]);
    expect(taken).toEqual(['c', 'a', 'b']);
    expect(sent).toEqual(taken);
    expect(outbox.snapshot()).toEqual([]);
  });

  it('keeps the order of typing where the clock of the device was put back', async () => {
    const outbox = new Outbox(memory(), server().send);
    await outbox.add(typed('first', { at: 90_000 }));
    await outbox.add(typed('second', { at: 10_000 }));
    expect(outbox.of('ansel').map(({ key }) => key)).toEqual(['first', 'second']);
  });

  it('leaves nothing lying that comes in at the very end of sending', async () => {
    const { taken, send } = server();
    const outbox = new Outbox(memory(), send);
    await outbox.add(typed('a'));
    let isAdded = false;
    outbox.subscribe(() => {
      if (isAdded || outbox.snapshot().length > 0) return;
      isAdded = true;
      void outbox.add(typed('b')).then(() => outbox.sendAll('ansel', nothing));
    });
    await outbox.sendAll('ansel', nothing);
    await new Promise((later) => setTimeout(later, 20));
    expect(taken).toEqual(['a', 'b']);
  });

  it('stops where nobody answers: what comes after does not overtake', async () => {
    const { taken, send } = server({ b: new Unreachable() });
    const outbox = new Outbox(memory(), send);
    for (const key of ['a', 'b', 'c']) await outbox.add(typed(key));
    await outbox.sendAll('ansel', nothing);
    expect(taken).toEqual(['a']);
    expect(outbox.of('ansel').map(({ key }) => key)).toEqual(['b', 'c']);
  });

  it('gives back what is refused with its reason and goes on with the rest', async () => {
    const { taken, send } = server({ a: problem(422) });
    const outbox = new Outbox(memory(), send);
    for (const key of ['a', 'b']) await outbox.add(typed(key));
    await outbox.sendAll('ansel', nothing);
    expect(taken).toEqual(['b']);
    expect(outbox.of('ansel')).toMatchObject([
      { key: 'a', refused: { status: 422, detail: 'No.' }, body: { readings: [{ shown: 61 }] } },
    ]);
    // It is not sent again by itself, but put right under another key, as of when it was typed.
    await outbox.sendAll('ansel', nothing);
    await outbox.putRight('a', { readings: [{ shown: 62 }] }, { title: 'T-02', lines: ['62.0 h'] });
    const [again] = outbox.of('ansel');
    expect(again).toMatchObject({ refused: null, at: 1_000, body: { readings: [{ shown: 62 }] } });
    expect(again?.key).not.toBe('a');
    await outbox.sendAll('ansel', nothing);
    expect(taken).toEqual(['b', again?.key]);
  });

  it('sends and shows nothing of another person', async () => {
    const { taken, send } = server();
    const outbox = new Outbox(memory(), send);
    await outbox.add(typed('a', { personId: 'marit' }));
    await outbox.add(typed('b'));
    await outbox.sendAll('ansel', nothing);
    expect(taken).toEqual(['b']);
    expect(outbox.of('ansel')).toEqual([]);
    await outbox.dropAll('ansel');
    expect(outbox.of('marit')).toHaveLength(1);
  });

  it('is there again after the tab was killed, what was under way too', async () => {
    const store = memory();
    const killed = new Outbox(store, () => new Promise<never>(nothing));
    for (const key of ['a', 'b']) await killed.add(typed(key));
    void killed.sendAll('ansel', nothing);
    const { taken, send } = server();
    const opened = new Outbox(store, send);
    await opened.read();
    await opened.sendAll('ansel', nothing);
    // Its key is that of the first attempt: taken before or not, it takes effect once.
    expect(taken).toEqual(['a', 'b']);
  });

  it('says where the device cannot keep it, and has nothing then', async () => {
    const store = { ...memory(), put: () => Promise.reject(new DOMException('full', 'QuotaExceededError')) };
    const outbox = new Outbox(store, server().send);
    await expect(outbox.add(typed('a'))).rejects.toThrow(NotKept);
    expect(outbox.snapshot()).toEqual([]);
  });

  it('tells whoever looks, with the same list until it changes', async () => {
    const outbox = new Outbox(memory(), server().send);
    let told = 0;
    const leave = outbox.subscribe(() => (told += 1));
    await outbox.add(typed('a'));
    expect(told).toBe(1);
    expect(outbox.snapshot()).toBe(outbox.snapshot());
    leave();
    await outbox.drop('a');
    expect(told).toBe(1);
  });

  it('lies in IndexedDB, in the order of typing', async () => {
    const store = deviceStore();
    const outbox = new Outbox(store, server().send);
    for (const key of ['z', 'a']) await outbox.add(typed(key));
    const again = new Outbox(deviceStore(), server().send);
    await again.read();
    expect(again.snapshot()).toEqual(outbox.snapshot());
    await again.dropAll('ansel');
    expect(await store.all()).toEqual([]);
  });
});

describe('what becomes of a write that failed', () => {
  it.each([401, 408, 412, 425, 429, 500, 503, 507])('it waits where the answer was %s', (status) => {
    expect(fateOf(problem(status))).toEqual({ kind: 'later' });
  });
  it('it waits where nobody answered', () => {
    expect(fateOf(new Unreachable())).toEqual({ kind: 'later' });
  });
  it.each([400, 403, 404, 409, 413, 422])('it goes back where the answer was %s', (status) => {
    expect(fateOf(problem(status))).toEqual({ kind: 'refused', refusal: { status, detail: 'No.' } });
  });
  it('an error of the page itself is one', () => {
    expect(() => fateOf(new RangeError('oops'))).toThrow('oops');
  });
});

it('a photo is given longer than a figure', () => {
  const write = { method: 'POST', path: '/round' } as const;
  expect(patienceFor(write)).toBeGreaterThanOrEqual(15_000);
  // 3 MB at 40 kB in a second.
  expect(patienceFor({ ...write, body: 'x'.repeat(3_000_000) })).toBeGreaterThan(75_000);
});
