import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { ElementHandle, Page } from 'puppeteer-core';
import { choose, newVisitor, press, sees, typeInto, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { read } from './work.js';

const shed = openShed();

interface ArticleOnWire {
  readonly id: string;
  readonly name: string;
  readonly onHand: number;
  readonly sheds: readonly { readonly shed: string; readonly quantity: number }[];
}

interface JobOnWire {
  readonly id: string;
  readonly steps: readonly { readonly found: Readonly<Record<string, unknown>> | null }[];
  readonly record: { readonly left: readonly { readonly name: string }[] } | null;
}

async function write<T>(page: Page, path: string, body: unknown): Promise<T> {
  return (await page.evaluate(
    async (at, sent) => {
      const answer = await fetch(at, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(sent),
      });
      if (!answer.ok) throw new Error(await answer.text());
      return (await answer.json()) as unknown;
    },
    path,
    body,
  )) as T;
}

async function articles(page: Page): Promise<ReadonlyMap<string, ArticleOnWire>> {
  const all = await read<ArticleOnWire[]>(page, '/api/articles');
  return new Map(all.map((article) => [article.name, article]));
}

/** Brings the shelf to what a test wants to lie there: all of it in the shed in which the machines of the tests stand. */
async function stock(page: Page, wanted: Readonly<Record<string, number>>): Promise<void> {
  const known = await articles(page);
  for (const shed of ['North shed', 'Nursery yard']) {
    const lines = Object.entries(wanted).map(([name, quantity]) => {
      const article = known.get(name);
      if (!article) throw new Error(`${name} is not on the shelf.`);
      const booked = article.sheds.find((each) => each.shed === shed)?.quantity ?? 0;
      return { articleId: article.id, counted: shed === 'North shed' ? quantity : 0, booked };
    });
    await write(page, '/api/counts', { shed, lines });
  }
}

/** Opens a job of some lines of a machine, and shows it. */
async function openJob(page: Page, tag: string, items: readonly string[]): Promise<string> {
  const machines = await read<{ id: string; tag: string }[]>(page, '/api/machines');
  const id = machines.find((machine) => machine.tag === tag)?.id;
  const { lines } = await read<{ lines: { itemId: string; itemName: string }[] }>(
    page,
    `/api/machines/${id}`,
  );
  const itemIds = lines.filter(({ itemName }) => items.includes(itemName)).map(({ itemId }) => itemId);
  expect(itemIds).toHaveLength(items.length);
  const job = await write<JobOnWire>(page, '/api/jobs', { machineId: id, itemIds });
  await page.goto(`${shed.yugator.address}/jobs/${job.id}`);
  await sees(page, 'Fetch first');
  return job.id;
}

/** Says that all items are done, types the hours and signs off. */
async function signOff(page: Page, hours: number): Promise<void> {
  for (;;) {
    const button = await page.$('section[aria-label="What became of the items"] button[aria-label^="Done:"]');
    if (!button) break;
    await button.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    const before = await page.$$eval('button[aria-label^="Done:"]', (all) => all.length);
    await button.click();
    await page.waitForFunction(
      (was) => document.querySelectorAll('button[aria-label^="Done:"]').length < was,
      {},
      before,
    );
  }
  const field = await page.waitForSelector('input[name=shown]');
  await field?.type(String(hours));
  await press(page, 'Sign off');
  await sees(page, 'Next due');
}

async function lastShown(page: Page, tag: string): Promise<number> {
  const machines = await read<{ tag: string; lastShown: number }[]>(page, '/api/machines');
  return machines.find((machine) => machine.tag === tag)?.lastShown ?? 0;
}

describe('the shelf', () => {
  it('refuses oil for gasoline engines at the pour of a diesel, and takes what belongs there', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    const id = await openJob(page, 'T-04', ['Engine oil and filter']);
    // As a scanner does: the code, and Enter.
    const field = await page.waitForSelector('::-p-aria([name="What goes in"])');
    // The shelf is read by then, as on any second visit.
    await page.waitForSelector('datalist option[value="10W-30 engine oil"]');
    await field?.type('O-01\n');
    await sees(page, 'It is for gasoline engines alone; this is a diesel.');
    await sees(page, 'It is not kept');
    expect(await violations(page)).toEqual([]);
    const kept = async () =>
      (await read<JobOnWire>(page, `/api/jobs/${id}`)).steps.map(({ found }) => found?.['poured']);
    expect(await kept()).not.toContain('10W-30 engine oil');
    await field?.click({ count: 3 });
    await field?.type('O-03\n');
    await page.waitForFunction(() => !/It is not kept/.test(document.body.innerText));
    await page.waitForFunction(
      async (at) => {
        const job = (await (await fetch(at)).json()) as JobOnWire;
        return job.steps.some(({ found }) => found?.['poured'] === '15W-40 diesel engine oil');
      },
      { polling: 200 },
      `/api/jobs/${id}`,
    );
    expect(complaints).toEqual([]);
  });

  it('opens a kit for a job, and the next job is told to take what it left', async () => {
    const { page } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await stock(page, {
      'Oil change kit, V-twin': 0,
      'Yearly kit, V-twin': 1,
      'Oil filter, V-twin': 0,
      'Air filter, V-twin': 0,
      'Fuel filter, in-line': 0,
      'Spark plug, 5/8 in': 0,
      '10W-30 engine oil': 12,
    });
    const first = await openJob(page, 'M-05', ['Engine oil and filter', 'Spark plugs: replace']);
    await page.click('summary');
    await sees(
      page,
      /1 × Yearly kit, V-twin, from North shed \(leaves 1 × Air filter, V-twin, 1 × Fuel filter, in-line\)/,
    );
    await signOff(page, await lastShown(page, 'M-05'));
    const { record } = await read<JobOnWire>(page, `/api/jobs/${first}`);
    expect(record?.left.map(({ name }) => name).toSorted()).toEqual([
      'Air filter, V-twin',
      'Fuel filter, in-line',
    ]);
    const now = await articles(page);
    expect(now.get('Yearly kit, V-twin')?.onHand).toBe(0);
    expect(now.get('Air filter, V-twin')?.onHand).toBe(1);
    // The other mower takes the filter that the kit left.
    await openJob(page, 'M-10', ['Air filter: replace']);
    await page.click('summary');
    await sees(page, '1 × Air filter, V-twin');
    expect(await page.evaluate(() => document.body.innerText)).not.toMatch(/only 0 on hand/);
  });

  it('that runs out of a kit in the middle of a job proposes loose parts, and asks for a count of what is not there', async () => {
    const { page } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await stock(page, { 'Oil change kit, V-twin': 1, 'Oil filter, V-twin': 0, '10W-30 engine oil': 1 });
    await openJob(page, 'M-01', ['Engine oil and filter']);
    await page.click('summary');
    await sees(page, /1 × Oil change kit, V-twin/);
    // Meanwhile somebody else takes the kit.
    const { page: other } = await newVisitor(shed.browser);
    await signIn(other, shed.yugator.address, 'Marit Osgood');
    await stock(other, { 'Oil change kit, V-twin': 0 });
    await signOff(page, await lastShown(page, 'M-01'));
    const now = await articles(page);
    // The kit is gone; the filter that lay nowhere is on the book as used.
    expect(now.get('Oil change kit, V-twin')?.onHand).toBe(0);
    expect(now.get('Oil filter, V-twin')?.onHand).toBe(-1);
    await page.goto(`${shed.yugator.address}/shelf`);
    await sees(page, 'Count it');
    expect(await violations(page)).toEqual([]);
  });

  it('is counted by scanning, and booked at once', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await stock(page, { 'Hydro filter, zero-turn': 5 });
    await page.goto(`${shed.yugator.address}/shelf`);
    await press(page, 'Scanner');
    await press(page, 'Count the shelf');
    await sees(page, 'Say first in which shed you count');
    await choose(page, 'In which shed', 'North shed');
    await page.waitForSelector('::-p-aria([name="Scan, or look for"])');
    await typeInto(page, 'Hold before it', 'Hydro filter');
    await page.click('input[role=combobox]');
    for (const pieces of [1, 2, 3]) {
      await press(page, 'Hydro filter, zero-turn H-01');
      await page.waitForFunction(
        (wanted) =>
          document.querySelector<HTMLInputElement>('input[name="lines.0.counted"]')?.value === wanted,
        {},
        String(pieces),
      );
    }
    await sees(page, '2 fewer than booked');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Book the count');
    await sees(page, '1 article counted, 1 put right');
    expect((await articles(page)).get('Hydro filter, zero-turn')?.onHand).toBe(3);
    expect(complaints).toEqual([]);
  });

  it('takes a list of a spreadsheet in: first it says what each line does, then it does that', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood', '/shelf/lists');
    const file = join(mkdtempSync(join(tmpdir(), 'yugator-list-')), 'spring.csv');
    const choose = async (rows: readonly string[]) => {
      writeFileSync(file, ['number;name;kind;counted in;price (GBP);place', ...rows].join('\r\n'));
      const input = await page.waitForSelector('input[aria-label="Articles as CSV"]');
      await (input as ElementHandle<HTMLInputElement>).uploadFile(file);
    };
    const wrong = 'H-06;Fuel hose, 6 mm;hose;piece;4,10;Bin 12';
    await choose([wrong]);
    await sees(page, 'kind: "hose" cannot be: write kit, part, fluid.');
    expect(await violations(page)).toEqual([]);
    await choose([wrong.replace(';hose;', ';part;'), 'H-01;Hydro filter, zero-turn;part;piece;15,20;']);
    await sees(page, /1 line is new; 1 line changes something\. Nothing is written yet/);
    await sees(page, /price \(GBP\): 14\.60 → 15\.20/);
    expect((await articles(page)).get('Fuel hose, 6 mm')).toBeUndefined();
    await press(page, 'Take it in');
    await sees(page, 'spring.csv is taken in: 1 new, 1 changed.');
    expect((await articles(page)).get('Fuel hose, 6 mm')).toMatchObject({ priceMinor: 410, place: 'Bin 12' });
    expect(complaints).toEqual([]);
  });
});
