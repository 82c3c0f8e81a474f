import { act, screen, waitFor, within } from '@testing-library/react';
import type { BuyingFactsDto } from '@yugator/contracts';
import type { BuyingPlan } from '@yugator/core';
import { choose, press, type } from '../testing/user.js';
import { showTo, wire } from '../testing/wire.js';
import { pageWorkers } from '../testing/workers.js';
import { BuyingPage } from './BuyingPage.js';
import type { BuyingAsk, BuyingSaid } from './buyingWorker.js';

const reckoners = pageWorkers<BuyingAsk, BuyingSaid>();

const ID = (end: number) => `00000000-0000-7000-8000-0000000000${end}`;
const [OIL, FILTER, KIT, SUPPLIER] = [ID(11), ID(12), ID(13), ID(21)];
const offer = (articleId: string, pack: number, priceMinor: number) => ({
  articleId,
  number: 'B-7',
  pack,
  priceMinor,
  leadDays: null,
});
const work = (machineTag: string, articleId: string, quantity: number, expectedOn: string) => ({
  machineId: machineTag,
  machineTag,
  earlyOn: expectedOn,
  expectedOn,
  lateOn: expectedOn,
  articles: [{ articleId, quantity }],
});
const known = { leastOnHand: 0, contents: [], arrivals: [] };
const FACTS: BuyingFactsDto = {
  today: '2027-05-13',
  weeks: 26,
  works: [
    work('M-07', OIL, 1.9, '2027-05-20'),
    work('M 08', OIL, 1.9, '2027-06-10'),
    work('M-07', FILTER, 1, '2027-05-20'),
  ],
  articles: [
    { id: OIL, name: 'Oil 10W-30', kind: 'fluid', unit: 'litre', onHand: 0.5, priceMinor: 640, ...known },
    { id: FILTER, name: 'Oil filter', kind: 'part', unit: 'piece', onHand: 0, priceMinor: 790, ...known },
    {
      ...known,
      id: KIT,
      name: 'Oil change kit',
      kind: 'kit',
      unit: 'piece',
      onHand: 0,
      priceMinor: 2000,
      contents: [
        { articleId: OIL, quantity: 2 },
        { articleId: FILTER, quantity: 1 },
      ],
    },
  ],
  suppliers: [
    {
      id: SUPPLIER,
      name: 'Larch Supplies',
      leadDays: 3,
      carriageMinor: 650,
      freeFromMinor: 10_000,
      offers: [offer(OIL, 5, 2600), offer(FILTER, 1, 790), offer(KIT, 1, 2000)],
    },
  ],
};
const bought = (articleId: string, pack: number, packs: number, priceMinor: number) => ({
  offer: {
    id: `${SUPPLIER} ${articleId} ${pack}`,
    articleId,
    supplierId: SUPPLIER,
    pack,
    priceMinor,
    leadDays: 3,
  },
  packs,
});
const PLAN: BuyingPlan = {
  lines: [bought(OIL, 5, 1, 2600), bought(FILTER, 1, 1, 790)],
  opened: new Map(),
  goodsMinor: 3390,
  carriageMinor: 650,
  costMinor: 4040,
  waiting: 0,
  uncovered: 0,
  left: [
    { articleId: OIL, quantity: 1.7 },
    { articleId: FILTER, quantity: 0 },
    { articleId: KIT, quantity: 0 },
  ],
  gap: 0,
};
const done = {
  kind: 'done' as const,
  plan: PLAN,
  loose: { ...PLAN, costMinor: 4100 },
  kits: { ...PLAN, costMinor: 5150 },
};
const say = (said: BuyingSaid) => act(() => reckoners.say(said));

async function show(facts: BuyingFactsDto = FACTS) {
  const server = wire(
    { '/api/buying?weeks=26': facts, '/api/buying?weeks=13': { ...facts, weeks: 13 } },
    () => ({}),
  );
  showTo('crewLead', <BuyingPage />);
  await screen.findByRole('region', { name: 'What will be taken' });
  return server;
}

describe('what to buy', () => {
  it('is said with what it costs beside kits alone and loose parts alone, and why', async () => {
    await show();
    expect(screen.getByRole('status', { name: 'Reckoning' })).toHaveTextContent(/for 3 services/);
    say({ kind: 'better', costMinor: 5000 });
    expect(screen.getByRole('status', { name: 'Reckoning' })).toHaveTextContent(/So far £50.00/);
    say(done);
    const sums = within(screen.getByRole('region', { name: 'What it comes to' }));
    expect(sums.getByText('£40.40').parentElement).toHaveTextContent('£40.40 with £6.50 of carriage');
    expect(sums.getByText('£51.50').parentElement).toHaveTextContent('A kit wherever there is one: £51.50');
    expect(within(sums.getByRole('list', { name: 'Why' })).getByRole('listitem')).toHaveTextContent(
      'No Oil change kit: its parts come cheaper loose',
    );
    const oil = within(screen.getByRole('region', { name: 'Larch Supplies' })).getByRole('row', {
      name: /Oil 10W-30/,
    });
    expect(oil).toHaveTextContent('For M-07 about 20 May, M 08 about 10 Jun');
    expect(oil.textContent).toMatch(/1.7.L$/);
  });

  it('is stopped, and begun again', async () => {
    await show();
    const before = reckoners.ended;
    await press('Stop');
    expect(reckoners.ended).toBe(before + 1);
    expect(screen.getByText('Nothing was chosen.')).toBeVisible();
    const asked = reckoners.asked.length;
    await press('Reckon again');
    expect(reckoners.asked).toHaveLength(asked + 1);
    say({ kind: 'failed' });
    expect(screen.getByText('It could not be reckoned')).toBeVisible();
  });

  it('is reckoned anew around what the lead settles, and freely again', async () => {
    await show();
    say(done);
    await type('Packs of Oil filter', '3');
    await press('Settle: Oil 10W-30');
    const locked = () => Object.fromEntries(reckoners.asked.at(-1)?.locked ?? []);
    // Leaving the field settled the filters; then the oil, as it stood: what was reckoned before stands there until the new is.
    const oil = { [`${SUPPLIER} ${OIL} 5`]: 1 };
    await waitFor(() => expect(locked()).toEqual({ ...oil, [`${SUPPLIER} ${FILTER} 1`]: 3 }));
    expect(screen.getByRole('status', { name: 'Reckoning' })).toBeVisible();
    say({ ...done, plan: { ...PLAN, lines: [bought(OIL, 5, 1, 2600), bought(FILTER, 1, 3, 790)] } });
    await press('Reckon freely: Oil filter');
    await waitFor(() => expect(locked()).toEqual(oil));
    say(done);
    await type('Packs of Oil filter', '1,5');
    expect(screen.getByText('A whole number')).toBeVisible();
  });

  it('is written down as ordered with the supplier, its numbers and the day it comes', async () => {
    const { sent } = await show();
    say(done);
    await press('Mark ordered: Larch Supplies');
    await press('It is ordered');
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toEqual({
      method: 'POST',
      path: '/api/orders',
      body: {
        supplierId: SUPPLIER,
        carriageMinor: 650,
        expectedOn: '2027-05-16',
        note: '',
        lines: [
          { articleId: OIL, number: 'B-7', pack: 5, packs: 1, priceMinor: 2600 },
          { articleId: FILTER, number: 'B-7', pack: 1, packs: 1, priceMinor: 790 },
        ],
      },
    });
  });

  it('looks as far ahead as is chosen, and as sure', async () => {
    const inAutumn = work('M-09', FILTER, 1, '2027-10-01');
    // Half a year ahead it has come in 4 of 10 cases.
    const perhaps = {
      ...inAutumn,
      machineId: 'M-10',
      earlyOn: '2027-08-01',
      expectedOn: '2027-12-01',
      lateOn: null,
    };
    await show({ ...FACTS, works: [...FACTS.works, inAutumn, perhaps] });
    const services = () => screen.getByRole('status', { name: 'Reckoning' }).textContent;
    expect(services()).toMatch(/for 5 services/);
    await choose('Enough for', 'what is likely');
    expect(services()).toMatch(/for 4 services/);
    await choose('Looking ahead', 'a quarter');
    await waitFor(() => expect(services()).toMatch(/for 3 services/));
  });
});

describe('what will be taken', () => {
  it('says what runs out before an order is here, and by when to order', async () => {
    await show();
    const table = within(screen.getByRole('region', { name: 'What will be taken' }));
    const rows = table.getAllByRole('row').map((row) => row.textContent);
    // The filter is taken on the 20th, and three days come before: the 17th.
    expect(rows.find((row) => row.startsWith('Oil filter'))).toBe('Oil filter0–1none017 May');
    expect(rows.find((row) => row.startsWith('Oil 10W-30'))?.replaceAll('\u00a0', ' ')).toBe(
      'Oil 10W-300.5 L–3.8 Lnone0 L17 May',
    );
  });

  it('reckons with kits that lie there and with what is to come', async () => {
    const articles = FACTS.articles.map((article) => ({
      ...article,
      onHand: article.id === KIT ? 1 : article.onHand,
      arrivals: article.id === OIL ? [{ on: '2027-05-30', quantity: 5 }] : [],
    }));
    await show({ ...FACTS, articles });
    await press('And 2 articles of which there is enough');
    const rows = screen.getAllByRole('row').map((row) => row.textContent);
    expect(rows.find((row) => row.startsWith('Oil filter'))).toBe('Oil filter01 in kits–1none0enough');
    expect(rows.find((row) => row.startsWith('Oil 10W-30'))).toMatch(/enough$/);
  });

  it('is shown where nobody sells anything yet', async () => {
    await show({ ...FACTS, suppliers: [] });
    expect(screen.getByText('Nobody to buy from yet.')).toBeVisible();
    expect(screen.getAllByText(/nobody sells it; short about 20 May/)).toHaveLength(2);
    expect(reckoners.asked).toEqual([]);
  });
});
