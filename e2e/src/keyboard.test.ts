import type { Page } from 'puppeteer-core';
import { DESK, newVisitor, sees } from './browser.js';
import { signInByForm } from './session.js';
import { openShed } from './shed.js';

const shed = openShed();

/** A weak mobile network: 400 kbit/s both ways, and nearly half a second to the server and back. */
const WEAK = { download: 50 * 1024, upload: 50 * 1024, latency: 400 };
/** More presses than any screen here has things to stop at. */
const MOST_STOPS = 120;

/** What has the focus: its name as it is read aloud, near enough. */
const inFocus = (page: Page) =>
  page.evaluate(() => {
    const element = document.activeElement as HTMLInputElement | null;
    const label = element?.getAttribute('aria-label') ?? element?.labels?.[0]?.textContent;
    return (label ?? element?.textContent ?? '').trim();
  });

/** Goes on with the tabulator until what has the focus is called `name`; gives the stops that it took. */
async function tabTo(page: Page, name: string): Promise<number> {
  for (let stops = 1; stops <= MOST_STOPS; stops += 1) {
    await page.keyboard.press('Tab');
    if ((await inFocus(page)).startsWith(name)) return stops;
  }
  throw new Error(`The keyboard never came to "${name}". It stands at "${await inFocus(page)}".`);
}

async function hasFocus(page: Page, words: RegExp): Promise<void> {
  try {
    await page.waitForFunction(
      (source: string) => new RegExp(source).test(document.activeElement?.textContent ?? ''),
      { timeout: 60_000 },
      words.source,
    );
  } catch (cause) {
    throw new Error(`The focus never came to ${String(words)}. It is at "${await inFocus(page)}".`, {
      cause,
    });
  }
}

const total = (page: Page, machineId: string) =>
  page.evaluate(async (id) => {
    const answer = await fetch(`/api/records?machineId=${id}`);
    return ((await answer.json()) as { total: number }).total;
  }, machineId);

describe('somebody with a keyboard only, on a weak network', () => {
  it('composes a visit, works it step by step and signs it off, each once though pressed twice', async () => {
    const { page, complaints } = await newVisitor(shed.browser, DESK, { isKeeping: true });
    await signInByForm(page, shed.yugator.address, 'Ansel Pike');
    const machineId = await page.evaluate(async () => {
      const fleet = (await (await fetch('/api/machines')).json()) as { id: string; tag: string }[];
      return fleet.find(({ tag }) => tag === 'M-02')?.id ?? '';
    });
    const before = await total(page, machineId);
    await page.emulateNetworkConditions(WEAK);

    await page.goto(`${shed.yugator.address}/fleet/${machineId}/visit`);
    await page.waitForSelector('main li input[type=checkbox]', { timeout: 60_000 });
    await hasFocus(page, /a visit/);
    while (await page.$('main li input[type=checkbox]:checked')) {
      await page.keyboard.press('Tab');
      const isChosen = await page.evaluate(
        () => document.activeElement?.matches('li input:checked') ?? false,
      );
      if (isChosen) await page.keyboard.press('Space');
    }
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await tabTo(page, 'Tyre pressures');
    await page.keyboard.press('Space');
    await tabTo(page, 'Open the job');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');

    // The job opens with the reader at its head, and the first step two stops on.
    await sees(page, 'Walk round', 20_000);
    await hasFocus(page, /Cricket outfield/);
    await tabTo(page, 'Step by step');
    await page.keyboard.press('Enter');
    await page.waitForSelector('section[aria-label="Step by step"]', { timeout: 60_000 });
    await tabTo(page, 'Done');
    await page.keyboard.press('Enter');
    await hasFocus(page, /2 \/ 5/);
    await tabTo(page, 'Done');
    await page.keyboard.press('Enter');
    await hasFocus(page, /3 \/ 5/);

    // What can burst is read first: the caution is the first stop of its step.
    expect(await tabTo(page, 'I have read this')).toBe(1);
    await page.keyboard.press('Space');
    expect(await tabTo(page, 'Left')).toBe(1);
    await page.keyboard.type('11 psi');
    await page.keyboard.press('Tab');
    await page.keyboard.type('9 psi');
    await sees(page, 'Too little: pump up');
    await tabTo(page, 'Done');
    await page.keyboard.press('Enter');
    await hasFocus(page, /4 \/ 5/);
    for (const next of [/5 \/ 5/, /worked through/]) {
      await tabTo(page, 'Done');
      await page.keyboard.press('Enter');
      await hasFocus(page, next);
    }

    // Nothing stands in the field beforehand: the hours are read at the machine.
    await page.waitForSelector('input[name=shown]');
    expect(await page.$eval('input[name=shown]', (field) => (field as HTMLInputElement).value)).toBe('');
    const last = await page.evaluate(async (id) => {
      const machine = (await (await fetch(`/api/machines/${id}`)).json()) as { lastShown: number };
      return String(machine.lastShown);
    }, machineId);

    // A slip in the hours is named at its field, with the focus in it.
    await tabTo(page, 'Hours on the meter');
    await page.keyboard.type('1');
    await tabTo(page, 'Sign off');
    await page.keyboard.press('Enter');
    await sees(page, /before|less than|slip/i, 15_000);
    expect(await inFocus(page)).toBe('Hours on the meter');
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.type(last);
    await tabTo(page, 'Sign off');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await hasFocus(page, /Next due/);
    await sees(page, 'left 76 kPa, right 62 kPa');
    expect(await total(page, machineId)).toBe(before + 1);
    expect(complaints).toEqual([]);
  });
});
