import { seeded } from '../usage/backTest/seeded.js';
import { firstPlan } from './greedy.js';
import { dayLoads, isTooFull, visitsJudge } from './judge.js';
import { planSums } from './planSums.js';
import { suppose, unpublished } from './suppose.js';
import { inventedSite } from './testing/invented.js';
import { walked } from './testing/walked.js';

const site = (seed: number) => unpublished(inventedSite({ machines: 8, weeks: 12, seed, load: 0.7 }));

describe('what a plan comes to', () => {
  it.each([1, 2, 3, 4])('is what its machines cost, and what a walk day by day comes to: site %i', (seed) => {
    const instance = site(seed);
    const plan = firstPlan(instance);
    const sums = planSums(instance, plan);
    const costs = plan.map((visits, at) => visitsJudge(instance, at)(visits) ?? NaN);
    const away = instance.machines.reduce(
      (sum, { awayCost }, at) =>
        sum + (plan[at] ?? []).reduce((own, { day }) => own + (awayCost[day] ?? 0), 0),
      0,
    );
    expect(sums.total + away).toBeCloseTo(
      costs.reduce((sum, cost) => sum + cost, 0),
      4,
    );
    const walk = walked(instance, plan);
    expect([sums.minutes, sums.total + away]).toEqual([
      expect.closeTo(walk.minutes, 4),
      expect.closeTo(walk.cost, 4),
    ]);
    expect(sums.visits).toBe(plan.flat().length);
    expect(dayLoads(instance, plan).some(isTooFull)).toBe(false);
  });

  it('without any visit is late work and what is carried on', () => {
    const instance = site(1);
    const none = instance.machines.map(() => []);
    const sums = planSums(instance, none);
    expect(sums).toMatchObject({ visits: 0, minutes: 0, thrownAway: 0 });
    expect(sums.late).toBeGreaterThan(planSums(instance, firstPlan(instance)).late);
  });
});

describe('what is supposed', () => {
  const instance = site(2);
  const random = seeded(5);

  it('more hours: everything falls due sooner', () => {
    const more = suppose(instance, { kind: 'hours', factor: 1.2 });
    for (const [at, { hoursBy }] of more.machines.entries())
      expect(hoursBy.at(-1)).toBeCloseTo(1.2 * (instance.machines[at]?.hoursBy.at(-1) ?? 0), 6);
    const idle = instance.machines.map(() => []);
    expect(planSums(more, idle).late).toBeGreaterThan(planSums(instance, idle).late);
  });

  it('dust: only what was named lasts half as long', () => {
    const id = instance.machines[0]?.items.find(({ hours }) => hours !== null)?.id ?? '';
    const dusty = suppose(instance, { kind: 'dust', itemIds: new Set([id]) });
    for (const [at, { items }] of dusty.machines.entries())
      for (const [place, item] of items.entries()) {
        const before = instance.machines[at]?.items[place];
        const factor = item.id === id && before?.hours ? 0.5 : 1;
        expect(item).toEqual({ ...before, hours: before?.hours ? before.hours * factor : null });
      }
  });

  it('a mechanic away: fewer minutes on those days alone', () => {
    const [from, until] = [10, 30];
    const away = suppose(instance, { kind: 'away', share: 0.5, from, until });
    for (const [at, { day, minutes }] of away.days.entries()) {
      const there = instance.days[at]?.minutes ?? 0;
      expect(minutes).toBe(day >= from && day <= until ? Math.round(there / 2) : there);
    }
  });

  it('another machine: one more like it, with nothing due and nothing settled', () => {
    const at = Math.floor(random() * instance.machines.length);
    const another = suppose(instance, { kind: 'another', machine: at });
    expect(another.machines).toHaveLength(instance.machines.length + 1);
    const own = another.machines.at(-1);
    expect(own?.items.every(({ usedHours, usedDays }) => usedHours === 0 && usedDays === 0)).toBe(true);
    expect(own?.hoursBy).toEqual(instance.machines[at]?.hoursBy);
    expect(suppose(instance, { kind: 'another', machine: 99 })).toBe(instance);
  });

  it('late parts: what waits for them waits longer, all else does not wait', () => {
    const machines = instance.machines.map((machine) => ({
      ...machine,
      items: machine.items.map((item, place) => ({ ...item, notBefore: place === 0 ? 9 : 0 })),
    }));
    const late = suppose({ ...instance, machines }, { kind: 'lateParts', days: 14 });
    for (const { items } of late.machines)
      expect(items.map(({ notBefore }) => notBefore)).toEqual(
        items.map((_item, place) => (place === 0 ? 23 : 0)),
      );
  });
});
