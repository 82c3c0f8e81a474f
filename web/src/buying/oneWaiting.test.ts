import type { BuyingSaid } from './buyingWorker.js';
import { oneWaiting } from './oneWaiting.js';

class Hand extends EventTarget {
  readonly asked: unknown[] = [];
  isEnded = false;
  postMessage(ask: unknown) {
    this.asked.push(ask);
  }
  terminate() {
    this.isEnded = true;
  }
  say(said: BuyingSaid) {
    this.dispatchEvent(new MessageEvent('message', { data: said }));
  }
}

const DONE: BuyingSaid = { kind: 'done', plan: null, loose: null, kits: null };
const ASK = { instance: { services: [], articles: [], offers: [], suppliers: [] }, locked: new Map() };

function shop() {
  const hands: Hand[] = [];
  const { prepare, start } = oneWaiting(() => {
    const hand = new Hand();
    hands.push(hand);
    return hand;
  });
  const heard: string[] = [];
  return { hands, prepare, heard, ask: () => start(ASK, ({ kind }) => heard.push(kind)) };
}

it('the worker that warmed up is asked, and once it has answered asked again', () => {
  const { hands, prepare, ask, heard } = shop();
  prepare();
  ask();
  hands[0]?.say({ kind: 'better', costMinor: 5 });
  hands[0]?.say(DONE);
  ask();
  hands[0]?.say(DONE);
  expect([hands.length, hands[0]?.asked.length, heard]).toEqual([1, 2, ['better', 'done', 'done']]);
});

it('a worker that is stopped is ended, is heard no more, and the next question goes to another', () => {
  const { hands, ask, heard } = shop();
  const stop = ask();
  stop();
  hands[0]?.say(DONE);
  ask();
  expect([heard, hands.map(({ isEnded }) => isEnded)]).toEqual([[], [true, false]]);
});

it('stopping what has answered ends nothing that waits', () => {
  const { hands, ask } = shop();
  const stop = ask();
  hands[0]?.say(DONE);
  stop();
  ask();
  expect([hands.length, hands[0]?.isEnded]).toEqual([1, false]);
});

it('one waits, no more, and none once the page is left', () => {
  const { hands, prepare, ask } = shop();
  ask();
  const leave = prepare();
  hands[0]?.say(DONE);
  expect(hands.map(({ isEnded }) => isEnded)).toEqual([true, false]);
  leave();
  expect(hands.map(({ isEnded }) => isEnded)).toEqual([true, true]);
});

it('a worker that fails says so and is not asked again', () => {
  const { hands, ask, heard } = shop();
  ask();
  hands[0]?.dispatchEvent(new Event('error'));
  ask();
  expect([heard, hands.length, hands[0]?.isEnded]).toEqual([['failed'], 2, true]);
});
