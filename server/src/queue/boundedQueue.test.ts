import { setTimeout as wait } from 'node:timers/promises';
import { BoundedQueue } from './boundedQueue.js';
import { mapGently } from './breather.js';

const full = () => new Error('full');

describe('a bounded queue', () => {
  it('does no more at once than it may, in order, and turns away who comes too late', async () => {
    const queue = new BoundedQueue(2, 3, full);
    let [now, most] = [0, 0];
    const order: number[] = [];
    const job = (index: number) =>
      queue.run(async () => {
        now += 1;
        most = Math.max(most, now);
        await wait(5);
        order.push(index);
        now -= 1;
      });
    const results = await Promise.allSettled(Array.from({ length: 8 }, (_, index) => job(index)));
    expect(most).toBe(2);
    expect(order).toEqual([0, 1, 2, 3, 4]);
    expect(results.map(({ status }) => status).slice(5)).toEqual(['rejected', 'rejected', 'rejected']);
  });

  it('goes on after work that failed', async () => {
    const queue = new BoundedQueue(1, 2, full);
    await expect(queue.run(() => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await expect(queue.run(() => Promise.resolve('done'))).resolves.toBe('done');
  });
});

describe('mapping gently', () => {
  it('comes to the same as mapping, and lets timers have their turn', async () => {
    const list = Array.from({ length: 40 }, (_, index) => index);
    let turns = 0;
    const timer = setInterval(() => (turns += 1), 1);
    const slow = (value: number) => {
      const until = performance.now() + 2;
      while (performance.now() < until);
      return value * 2;
    };
    expect(await mapGently(list, slow)).toEqual(list.map((value) => value * 2));
    clearInterval(timer);
    expect(turns).toBeGreaterThan(3);
  });
});
