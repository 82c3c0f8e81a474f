import type { Page } from 'puppeteer-core';
import { newVisitor, PHONE, POLL_MS, press, sees, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { place, read, tick, workThrough } from './work.js';

const shed = openShed();

interface MachineOnWire {
  readonly id: string;
  readonly tag: string;
  readonly status: string;
  readonly lastShown: number;
}

async function machine(page: Page, tag: string): Promise<MachineOnWire> {
  const found = (await read<MachineOnWire[]>(page, '/api/machines')).find((each) => each.tag === tag);
  if (!found) throw new Error(`${tag} is not in the fleet.`);
  return found;
}

/** Composes a visit with every item of the machine, and opens the job. */
async function openAnnual(page: Page, { id }: MachineOnWire): Promise<void> {
  await page.goto(`${shed.yugator.address}/fleet/${id}/visit`);
  await sees(page, 'a visit');
  expect(await violations(page)).toEqual([]);
  await page.$$eval('main li input[type=checkbox]:not(:checked)', (boxes) =>
    boxes.forEach((box) => (box as HTMLInputElement).click()),
  );
  await sees(page, 'min alone');
  await press(page, 'Open the job');
  await sees(page, 'Walk round');
}

/** Says of an item that it was found defective. */
async function findDefect(page: Page, item: string, words: string): Promise<void> {
  await page.click(`button[aria-label="Otherwise: ${item}"]`);
  await page.waitForSelector('[role=dialog]');
  await page.click('[role=dialog] [role=combobox]');
  await page.locator('[role=option] ::-p-text(Found defective)').click();
  await page.waitForSelector('[role=listbox]', { hidden: true });
  expect(await violations(page)).toEqual([]);
  await page.type('[role=dialog] textarea[name=note]', words);
  await page.locator('[role=dialog] ::-p-text(Keep)').click();
  await sees(page, `found defective, mend it soon: ${words}`);
  // It fades, and catches clicks until it is gone.
  await page.waitForSelector('[role=dialog]', { hidden: true });
  await page.waitForSelector('.MuiDialog-root', { hidden: true });
}

/** Types what the meter shows once the sign-off is there: it waits for who may have done it. */
async function typeHours(page: Page, { lastShown }: MachineOnWire): Promise<void> {
  const hours = await page.waitForSelector('input[name=shown]');
  await hours?.type(String(lastShown));
}

const recordsOf = (page: Page, id: string) =>
  read<{ total: number; records: { items: string[]; others: { name: string; outcome: string }[] }[] }>(
    page,
    `/api/records?machineId=${id}`,
  );

/** What the page says of the time that the job still takes. */
async function workLeft(page: Page): Promise<string> {
  await sees(page, /about .* of work left/);
  return page.evaluate(() => /about .*? of work left/.exec(document.body.innerText)?.[0] ?? '');
}

describe('a mechanic with a phone', () => {
  it('works a year of a riding mower through, and a cracked blade becomes a defect', async () => {
    const { page, complaints } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    const mower = await machine(page, 'R-06');
    const before = (await recordsOf(page, mower.id)).total;
    await openAnnual(page, mower);
    expect(await violations(page)).toEqual([]);
    const seen = { 'edge and tips': 'Cracked' };
    await workThrough(page, seen, 6);

    // Closed in the middle, the job opens again where it stood.
    const stood = await place(page);
    await page.reload();
    await sees(page, 'Step by step');
    await sees(page, `${stood} / `);
    expect(await place(page)).toBe(stood);
    expect(await violations(page)).toEqual([]);
    await workThrough(page, seen);

    await findDefect(page, 'Blades: sharpen and balance', 'Crack at the star of the left blade');
    await typeHours(page, mower);
    await press(page, 'Sign off');
    await sees(page, 'Next due');
    const { total, records } = await recordsOf(page, mower.id);
    expect(total).toBe(before + 1);
    expect(records[0]?.items).toContain('Engine oil and filter');
    expect(records[0]?.others).toMatchObject([{ name: 'Blades: sharpen and balance', outcome: 'defect' }]);
    const defects = await read<{ words: string }[]>(page, `/api/machines/${mower.id}/defects`);
    expect(defects.map(({ words }) => words)).toContain('Crack at the star of the left blade');
    expect(complaints).toEqual([]);
  });

  it('works a year of a diesel tractor through a lost server, and two who finish it leave one record', async () => {
    const { page } = await newVisitor(shed.browser, PHONE);
    const { page: second } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await signIn(second, shed.yugator.address, 'Marit Osgood');
    const tractor = await machine(page, 'T-01');
    const before = (await recordsOf(page, tractor.id)).total;
    await openAnnual(page, tractor);
    // Who looks on sees how far the other has come, without doing anything.
    await second.goto(page.url());
    const left = await workLeft(second);
    await workThrough(page, {}, 4);
    await second.waitForFunction(
      (was) =>
        /about .* of work left/.test(document.body.innerText) && !document.body.innerText.includes(was),
      { polling: POLL_MS },
      left,
    );

    await shed.yugator.kill();
    await tick(page);
    await sees(page, '1 waiting to be sent');
    await shed.yugator.start();
    await page.reload();
    await sees(page, 'Step by step');
    await workThrough(page, { 'filter or the bowl': 'Water' });
    // A thumb is faster than what waited is sent; until then its ticks change what the item was.
    await page.waitForFunction(() => !/waiting to be sent/.test(document.body.innerText), { polling: 200 });
    await findDefect(page, 'Fuel filter: clean, bleed', 'Water in the bowl');
    await second.goto(page.url());
    await sees(second, 'The sheet is worked through');
    for (const each of [page, second]) {
      await typeHours(each, tractor);
    }
    await Promise.all([press(page, 'Sign off'), press(second, 'Sign off')]);
    await Promise.all([sees(page, 'Next due'), sees(second, 'Next due')]);
    expect((await recordsOf(page, tractor.id)).total).toBe(before + 1);
  });
});
