import { addDays, civilDate } from '../../calendar/civilDate.js';
import { loadedHighs } from '../../solver/testing/loadedHighs.js';
import { kitReasons } from './explain.js';
import { buyingInstance } from './fromFacts.js';
import type { BuyingFacts } from './fromFacts.js';
import { buyingOutlooks } from './outlooks.js';
import { carriageFor, planBuying } from './plan.js';

const TODAY = civilDate('2027-03-01');
const on = (days: number) => addDays(TODAY, days);
const need = (early: number, expected: number, late: number | null, articleId: string, quantity = 1) => ({
  earlyOn: on(early),
  expectedOn: on(expected),
  lateOn: late === null ? null : on(late),
  articles: [{ articleId, quantity }],
});
const article = (id: string, over: Partial<BuyingFacts['articles'][number]> = {}) => ({
  id,
  unit: 'piece' as const,
  onHand: 0,
  leastOnHand: 0,
  contents: [],
  arrivals: [],
  ...over,
});
const offer = (articleId: string, priceMinor: number) => ({ articleId, pack: 1, priceMinor, leadDays: null });
const FACTS: BuyingFacts = {
  today: TODAY,
  weeks: 8,
  works: [need(10, 30, 70, 'plug', 2), need(40, 60, null, 'plug', 2), need(50, 90, 130, 'filter')],
  articles: [article('plug', { leastOnHand: 1, arrivals: [{ on: on(-3), quantity: 1 }] }), article('filter')],
  suppliers: [
    { id: 's', leadDays: 4, carriageMinor: 500, freeFromMinor: null, offers: [offer('plug', 400)] },
  ],
};

describe('what is to be covered', () => {
  it('is what may come in the time looked at, on the day by which it may, as sure as asked', () => {
    // By the 56th day the first has come by 76 %, the second by 42 %, the third by 16 %.
    const days = (sure: number) => buyingInstance(FACTS, sure).services.map(({ day }) => day);
    // 20 %: a quarter of the way from the 10 % point to the expected day. 50 %: the expected day.
    expect(days(0.8)).toEqual([15, 45]);
    expect(days(0.5)).toEqual([30]);
    expect(days(0.9)).toEqual([10, 40, 50]);
  });

  it('reckons with what was ordered, late or not, and what is to be kept', () => {
    const { articles, offers, suppliers } = buyingInstance(FACTS, 0.8);
    expect(articles[0]).toMatchObject({ keep: 1, arrivals: [{ day: 0, quantity: 1 }] });
    expect(offers).toEqual([
      { id: 's plug 1', articleId: 'plug', supplierId: 's', pack: 1, priceMinor: 400, leadDays: 4 },
    ]);
    expect(suppliers).toEqual([{ id: 's', carriageMinor: 500, freeFromMinor: null }]);
  });
});

it('what is taken in parts of a piece is one need a week, of whole pieces and litres each its own', () => {
  const works = [
    ...[1, 3, 6, 8].map((day) => need(day, day, day, 'cartridge', 0.039)),
    need(2, 2, 2, 'plug', 2),
    need(3, 3, 3, 'plug', 1),
    need(2, 2, 2, 'oil', 0.4),
    need(3, 3, 3, 'oil', 0.4),
  ];
  const articles = [article('cartridge'), article('plug'), article('oil', { unit: 'litre' })];
  const { services } = buyingInstance({ ...FACTS, works, articles }, 0.8);
  expect(services.map(({ day, articles: [one] }) => [day, one?.articleId, one?.quantity])).toEqual([
    [2, 'plug', 2],
    [3, 'plug', 1],
    [2, 'oil', 0.4],
    [3, 'oil', 0.4],
    [1, 'cartridge', 0.117],
    [8, 'cartridge', 0.039],
  ]);
});

describe('why kits are bought, or not', () => {
  const KIT = article('kit', {
    contents: [
      { articleId: 'filter', quantity: 1 },
      { articleId: 'plug', quantity: 2 },
    ],
  });
  const prices = new Map([
    ['filter', 800],
    ['plug', 380],
  ]);
  const reasonsFor = async (works: BuyingFacts['works'], kitMinor: number) => {
    const offers = [offer('filter', 800), offer('plug', 380), offer('kit', kitMinor)];
    const facts = {
      ...FACTS,
      works,
      articles: [article('filter'), article('plug'), KIT],
      suppliers: [{ id: 's', leadDays: 0, carriageMinor: 0, freeFromMinor: null, offers }],
    };
    const instance = buyingInstance(facts, 0.8);
    const plan = planBuying(instance, await loadedHighs(), { gap: 0, seconds: 10 });
    return plan ? kitReasons(instance, plan, prices) : null;
  };

  it('a kit would leave the plugs that can stay, with what they are worth', async () => {
    expect(await reasonsFor([need(0, 0, 0, 'filter')], 1300)).toEqual([
      { kitId: 'kit', isBought: false, kits: 1, left: [{ articleId: 'plug', quantity: 2 }], leftMinor: 760 },
    ]);
  });

  it('a kit cheaper than its filter is bought all the same, and says what it leaves', async () => {
    expect(await reasonsFor([need(0, 0, 0, 'filter')], 700)).toEqual([
      { kitId: 'kit', isBought: true, kits: 1, left: [{ articleId: 'plug', quantity: 2 }], leftMinor: 760 },
    ]);
  });

  it('kits that are used up leave nothing', async () => {
    const all = [need(0, 0, 0, 'filter'), need(0, 0, 0, 'plug', 2)];
    expect(await reasonsFor(all, 1300)).toEqual([
      { kitId: 'kit', isBought: true, kits: 1, left: [], leftMinor: 0 },
    ]);
    expect(await reasonsFor([], 1300)).toEqual([]);
  });
});

describe('the outlook of each article', () => {
  const due = (days: number, articleId: string, quantity = 1) => need(days, days, days, articleId, quantity);
  const KIT = article('kit', { onHand: 1, contents: [{ articleId: 'filter', quantity: 1 }] });
  const facts = (over: Partial<BuyingFacts>): BuyingFacts => ({
    ...FACTS,
    works: [due(10, 'filter'), due(20, 'filter'), due(5, 'plug')],
    articles: [article('filter'), article('plug', { onHand: 1 }), article('belt')],
    suppliers: [],
    ...over,
  });
  const told = (of: BuyingFacts) =>
    buyingOutlooks(of, 0.8).map(({ articleId, outlook, leadDays, inKits }) => [
      articleId,
      outlook.shortOn,
      leadDays,
      inKits,
    ]);

  it('is told of what is taken alone, what is to be ordered first in front', () => {
    expect(told(facts({}))).toEqual([
      ['filter', on(10), null, 0],
      ['plug', null, null, 0],
    ]);
  });

  it('reckons with what kits hold, and kits to come', () => {
    expect(told(facts({ articles: [article('filter'), KIT] }))[0]).toEqual(['filter', on(20), null, 1]);
    const coming = { ...KIT, arrivals: [{ on: on(15), quantity: 1 }] };
    expect(told(facts({ articles: [article('filter'), coming] }))[0]).toEqual(['filter', null, null, 1]);
  });

  it('reckons with the days of the supplier that is cheapest by the piece', () => {
    const sells = (
      id: string,
      leadDays: number,
      pack: number,
      priceMinor: number,
      own: number | null = null,
    ) => ({
      id,
      leadDays,
      carriageMinor: 0,
      freeFromMinor: null,
      offers: [{ articleId: 'filter', pack, priceMinor, leadDays: own }],
    });
    const suppliers = [sells('near', 1, 1, 800), sells('far', 14, 5, 3500), sells('post', 9, 1, 700, 6)];
    const [filter] = buyingOutlooks(facts({ suppliers }), 0.8);
    // 7.00 each at two: the quicker of them, by its own days for the filter.
    expect([filter?.leadDays, filter?.outlook.orderBy]).toEqual([6, on(4)]);
  });
});

test.each([
  [0, 12_000, 0],
  [1, 12_000, 650],
  [11_999, 12_000, 650],
  [12_000, 12_000, 0],
  [99_999, null, 650],
])('goods of %s, carried free from %s, are carried for %s', (goods, freeFromMinor, carriage) => {
  expect(carriageFor({ carriageMinor: 650, freeFromMinor }, goods)).toBe(carriage);
});
