import { loadedHighs } from '../../solver/testing/loadedHighs.js';
import type { SolveMip } from '../../solver/mip.js';
import type { BuyingArticle, BuyingInstance, Offer } from './instance.js';
import { buyingModel } from './model.js';
import { planBuying } from './plan.js';
import { leastCost } from './testing/everyWay.js';
import { randomBuying } from './testing/randomBuying.js';
import { leastBySecondSolver } from './testing/secondSolver.js';
import { warmUpInstance } from './warmUp.js';

let solve: SolveMip;
beforeAll(async () => {
  solve = await loadedHighs();
});
const BEST = { gap: 0, seconds: 60 };

describe('what to buy costs the least', () => {
  it('of every way that it could be bought, in 300 small cases', () => {
    const size = { articles: 3, kits: 1, suppliers: 2, offers: 3, services: 3, days: 9 };
    for (let seed = 1; seed <= 300; seed += 1) {
      const instance = randomBuying(seed, size);
      const solution = solve(buyingModel(instance).mip, BEST);
      expect([seed, solution?.cost.toFixed(3)]).toEqual([seed, leastCost(instance).toFixed(3)]);
    }
  });

  it('as another solver finds it, in 50 middle cases', () => {
    const size = { articles: 8, kits: 3, suppliers: 3, offers: 12, services: 12, days: 12 };
    for (let seed = 1001; seed <= 1050; seed += 1) {
      const { mip } = buyingModel(randomBuying(seed, size));
      expect([seed, solve(mip, BEST)?.cost.toFixed(3)]).toEqual([seed, leastBySecondSolver(mip).toFixed(3)]);
    }
  });
});

/** Walks the days: what comes in, and what every service and kit takes; whether anything is ever short. */
function isEverShort(
  { articles, services }: BuyingInstance,
  plan: NonNullable<ReturnType<typeof planBuying>>,
) {
  const supply = new Map(articles.map(({ id, onHand }) => [id, Math.max(0, onHand)]));
  const add = (id: string, quantity: number) => supply.set(id, (supply.get(id) ?? 0) + quantity);
  for (const { id, arrivals } of articles) for (const { quantity } of arrivals) add(id, quantity);
  for (const { offer, packs } of plan.lines) add(offer.articleId, offer.pack * packs);
  for (const [id, kits] of plan.opened) {
    add(id, -kits);
    for (const { articleId, quantity } of articles.find((each) => each.id === id)?.contents ?? [])
      add(articleId, quantity * kits);
  }
  const taken = articles.map(({ id }, at) => (supply.get(id) ?? 0) - (plan.left[at]?.quantity ?? 0));
  // What is gone in the end is what services take, of one article each or of another.
  const most = articles.map(({ id }) =>
    services.reduce((sum, service) => {
      const own = service.articles.find(({ articleId }) => articleId === id);
      return sum + (own?.quantity ?? 0);
    }, 0),
  );
  return plan.left.some(({ quantity }, at) => quantity < 0 || (taken[at] ?? 0) > (most[at] ?? 0) + 1e-6);
}

describe('whatever is bought', () => {
  const size = { articles: 8, kits: 3, suppliers: 3, offers: 12, services: 20, days: 20 };
  const seeds = Array.from({ length: 60 }, (_, at) => 5000 + at);

  it('is paid for to the penny, with the carriage that its suppliers ask', () => {
    for (const seed of seeds) {
      const instance = randomBuying(seed, size);
      const plan = planBuying(instance, solve, BEST);
      if (!plan) throw new Error('nothing found');
      let carriage = 0;
      for (const { id, carriageMinor, freeFromMinor } of instance.suppliers) {
        const own = plan.lines.filter(({ offer }) => offer.supplierId === id);
        const worth = own.reduce((sum, { offer, packs }) => sum + offer.priceMinor * packs, 0);
        if (own.length > 0 && (freeFromMinor === null || worth < freeFromMinor)) carriage += carriageMinor;
      }
      expect([seed, plan.carriageMinor]).toEqual([seed, carriage]);
      expect(plan.costMinor).toBe(plan.goodsMinor + plan.carriageMinor);
      expect([seed, isEverShort(instance, plan)]).toEqual([seed, false]);
    }
  });

  it('is no dearer than loose parts alone or kits alone, where those do as much', () => {
    for (const seed of seeds) {
      const instance = randomBuying(seed, size);
      const free = planBuying(instance, solve, BEST);
      for (const manner of ['loose', 'kits'] as const) {
        const other = planBuying(instance, solve, BEST, { manner });
        if (free && other && free.uncovered === other.uncovered && free.waiting === other.waiting)
          expect([seed, manner, free.costMinor <= other.costMinor + 1]).toEqual([seed, manner, true]);
        const kits = new Set(instance.articles.filter(({ contents }) => contents.length).map(({ id }) => id));
        if (manner === 'loose')
          expect(other?.lines.some(({ offer }) => kits.has(offer.articleId))).toBe(false);
      }
    }
  });

  it('is as many packs as the lead has settled, of what is settled', () => {
    for (const seed of seeds) {
      const instance = randomBuying(seed, size);
      const [first, second] = instance.offers;
      if (!first || !second) continue;
      const locked = new Map([
        [first.id, 2],
        [second.id, 0],
      ]);
      const plan = planBuying(instance, solve, BEST, { locked });
      const packs = new Map(plan?.lines.map(({ offer, packs: count }) => [offer.id, count]));
      expect([seed, packs.get(first.id) ?? 0, packs.get(second.id) ?? 0]).toEqual([seed, 2, 0]);
    }
  });
});

describe('worked by hand', () => {
  const article = (id: string, over: Partial<BuyingArticle> = {}): BuyingArticle => ({
    id,
    unit: 'piece',
    onHand: 0,
    keep: 0,
    arrivals: [],
    contents: [],
    ...over,
  });
  const offer = (articleId: string, priceMinor: number, over: Partial<Offer> = {}): Offer => ({
    id: `${articleId} at ${priceMinor}`,
    articleId,
    supplierId: 's',
    pack: 1,
    priceMinor,
    leadDays: 0,
    ...over,
  });
  const take = (articleId: string, quantity: number, day = 0) => ({
    day,
    articles: [{ articleId, quantity }],
  });
  const PLAIN = [{ id: 's', carriageMinor: 0, freeFromMinor: null }];
  const KIT = [
    { articleId: 'filter', quantity: 1 },
    { articleId: 'plug', quantity: 2 },
  ];
  const shelf = [article('filter'), article('plug'), article('kit', { contents: KIT })];
  const offers = [offer('filter', 800), offer('plug', 400), offer('kit', 1300)];
  const bought = (instance: BuyingInstance) =>
    Object.fromEntries(
      planBuying(instance, solve, BEST)?.lines.map(({ offer: of, packs }) => [of.articleId, packs]) ?? [],
    );

  it('a kit is bought where all of it is used, a loose filter where its plugs would lie there', () => {
    const whole = [take('filter', 1), take('plug', 2)];
    expect(bought({ services: whole, articles: shelf, offers, suppliers: PLAIN })).toEqual({ kit: 1 });
    const filters = [take('filter', 1), take('filter', 1), take('plug', 2)];
    expect(bought({ services: filters, articles: shelf, offers, suppliers: PLAIN })).toEqual({
      kit: 1,
      filter: 1,
    });
  });

  it('plugs left of a kit are worth their price where a later service uses them', () => {
    const later = [take('filter', 1), take('filter', 1, 100), take('plug', 2, 150), take('plug', 2, 160)];
    expect(bought({ services: later, articles: shelf, offers, suppliers: PLAIN })).toEqual({ kit: 2 });
  });

  it('what lies there, and what was ordered, is used first; what is to be kept is bought back', () => {
    const there = [article('filter', { onHand: 1, keep: 1, arrivals: [{ day: 3, quantity: 1 }] })];
    const services = [take('filter', 1), take('filter', 1, 3), take('filter', 1, 9)];
    // Three are taken, one is kept, two are there or to come.
    expect(bought({ services, articles: there, offers: offers.slice(0, 1), suppliers: PLAIN })).toEqual({
      filter: 2,
    });
  });

  it('the nearer supplier is taken for what cannot wait, the cheaper for the rest', () => {
    const near = offer('filter', 900, { supplierId: 'near', leadDays: 1 });
    const far = offer('filter', 700, { supplierId: 'far', leadDays: 14 });
    const suppliers = [
      { id: 'near', carriageMinor: 0, freeFromMinor: null },
      { id: 'far', carriageMinor: 300, freeFromMinor: 3000 },
    ];
    const at = (...days: number[]) => ({
      services: days.map((day) => take('filter', 1, day)),
      articles: [article('filter')],
      offers: [near, far],
      suppliers,
    });
    const packs = (instance: BuyingInstance) =>
      planBuying(instance, solve, BEST)?.lines.map(({ offer: of, packs: count }) => [of.supplierId, count]);
    // One later: 200 cheaper, 300 carriage. Two later: 400 cheaper.
    expect(packs(at(2, 20))).toEqual([['near', 2]]);
    expect(packs(at(2, 20, 21))).toEqual([
      ['near', 1],
      ['far', 2],
    ]);
  });

  it('a fluid is bought in the containers that come cheapest, and what nobody sells is said', () => {
    const oil = [article('oil', { unit: 'litre', onHand: 0.4 }), article('belt')];
    const cans = [offer('oil', 700), offer('oil', 2500, { pack: 5 }), offer('oil', 8800, { pack: 20 })];
    const services = [...Array.from({ length: 4 }, () => take('oil', 1.9)), take('belt', 1)];
    const plan = planBuying({ services, articles: oil, offers: cans, suppliers: PLAIN }, solve, BEST);
    // 7.6 L less 0.4: 5 L and 3 × 1 L for 46.00, against 2 × 5 L for 50.00.
    expect(plan?.lines.map(({ offer: { pack }, packs }) => [pack, packs])).toEqual([
      [1, 3],
      [5, 1],
    ]);
    expect(plan).toMatchObject({ uncovered: 1, waiting: 0, goodsMinor: 4600 });
    expect(plan?.left[0]).toEqual({ articleId: 'oil', quantity: 0.8 });
  });
});

it('what the solver warms up on makes it do all that a crew makes it do: packs, kits and free carriage are bought, nothing is left out', () => {
  const plan = planBuying(warmUpInstance(), solve, { gap: 0.005, seconds: 60 });
  expect(plan).toMatchObject({ uncovered: 0 });
  expect(plan?.opened.size).toBeGreaterThan(0);
  expect(new Set(plan?.lines.map(({ offer: { pack } }) => pack))).toEqual(new Set([1, 10]));
});
