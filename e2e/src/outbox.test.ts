import type { Page } from 'puppeteer-core';
import { newVisitor, PHONE, press, sees, typeInto, violations } from './browser.js';
import { signInByForm } from './session.js';
import { openShed } from './shed.js';
import { place, read, tick } from './work.js';

const shed = openShed();

/** Until the screens, what was seen and what was typed lie on the device. */
const KEPT_MS = 1_500;
const pause = (ms: number) => new Promise((later) => setTimeout(later, ms));

async function isControlled(page: Page): Promise<void> {
  await page.waitForFunction(() => navigator.serviceWorker.controller !== null, {
    timeout: 60_000,
    polling: 200,
  });
}

/** Opens pages as somebody does who then walks out of the signal. */
async function seen(
  page: Page,
  ...pages: readonly (readonly [path: string, words: string])[]
): Promise<void> {
  for (const [path, words] of pages) {
    await page.goto(shed.yugator.address + path);
    await sees(page, words);
    await pause(KEPT_MS);
  }
}

async function waiting(page: Page, count: number): Promise<void> {
  await sees(page, `${count} waiting to be sent`);
}

async function isSent(page: Page): Promise<void> {
  await page.waitForFunction(() => !/waiting to be sent|came back/.test(document.body.innerText), {
    timeout: 60_000,
    polling: 200,
  });
}

async function report(page: Page, words: string): Promise<void> {
  await press(page, 'Report a defect');
  await typeInto(page, 'What is wrong', words);
  await press(page, 'Report it');
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'), { polling: 50 });
}

async function topUp(page: Page, litres: string): Promise<void> {
  await press(page, 'Top up');
  await page.waitForSelector('[role=dialog] input:focus');
  await page.keyboard.type(litres);
  await press(page, 'Keep');
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'), { polling: 50 });
}

async function typeHours(page: Page, hours: string): Promise<void> {
  await press(page, 'Type hours');
  await typeInto(page, 'The meter shows', hours);
  await press(page, 'Keep');
  await page.waitForFunction(() => !document.querySelector('[role=dialog]'), { polling: 50 });
}

/** The same person's phone after its tab was killed. */
async function killTab(page: Page, path: string): Promise<Page> {
  const context = page.browserContext();
  const next = await context.newPage();
  await next.setViewport(PHONE);
  await page.close();
  await next.goto(shed.yugator.address + path);
  return next;
}

interface Known {
  readonly id: string;
  readonly life: number;
}

const STEP = 'section[aria-label="Step by step"]';
/** Of cautions read and steps done. */
const TICKS = 19;
const NUMBERS = Array.from({ length: 10 }, (_, at) => at + 1);

describe('what is typed without signal', () => {
  it('forty writes of all kinds wait, outlive a killed tab, and are there once and in order', async () => {
    let { page } = await newVisitor(shed.browser, PHONE, { isKeeping: true });
    await signInByForm(page, shed.yugator.address, 'Ansel Pike');
    const machines = await read<(Known & { tag: string })[]>(page, '/api/machines');
    const machine = machines.find(({ tag }) => tag === 'T-02');
    if (!machine) throw new Error('The demonstration has no T-02.');
    await isControlled(page);
    const job = await page.evaluate(async (machineId) => {
      const visit = await fetch(`/api/machines/${machineId}/visit`).then((answer) => answer.json());
      const itemIds = visit.lines.slice(0, 8).map(({ itemId }: { itemId: string }) => itemId);
      const opened = await fetch('/api/jobs', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ machineId, itemIds }),
      });
      return (await opened.json()).id as string;
    }, machine.id);
    await seen(
      page,
      ['/m/T-02', 'From its card'],
      [`/jobs/${job}`, 'Step by step'],
      ['/outbox', 'Nothing waits'],
    );
    await shed.yugator.stop();

    await page.goto(`${shed.yugator.address}/m/T-02`);
    await sees(page, 'From its card');
    const hoursAt = (at: number) => (machine.life + at / 10).toFixed(1);
    for (const at of NUMBERS) {
      await report(page, `Defect ${at}`);
      await topUp(page, `0.${String(at).padStart(2, '0')}`);
      if (at === 5) {
        page = await killTab(page, '/m/T-02');
        await waiting(page, 10);
      }
    }
    await typeHours(page, hoursAt(1));
    await waiting(page, 21);

    // Nineteen ticks of a job, shown as done though nobody has heard of them.
    page = await killTab(page, `/jobs/${job}`);
    for (let said = 1; said <= TICKS; said += 1) {
      const caution = await page.$(`${STEP} [role=note] input[type=checkbox]:not(:checked)`);
      if (caution) await caution.click();
      else {
        const before = await place(page);
        await tick(page);
        await page.waitForFunction(
          (was) => !document.body.innerText.includes(`${was} / `),
          { polling: 50 },
          before ?? '',
        );
      }
      await waiting(page, 21 + said);
    }
    await sees(page, 'Ticks of this job wait to be sent');
    await press(page, '40 waiting to be sent');
    await sees(page, 'Waiting on this device');
    expect(await page.$$eval('ol > li', (rows) => rows.length)).toBe(40);
    expect(await violations(page)).toEqual([]);

    await shed.yugator.start();
    await press(page, 'Try now');
    await isSent(page);
    await sees(page, 'Nothing waits');
    interface Found {
      readonly id: string;
      readonly words: string;
    }
    const { defects } = await read<{ defects: Found[] }>(page, `/api/defects?machineId=${machine.id}`);
    const own = defects
      .filter(({ words }) => words.startsWith('Defect '))
      .sort((a, b) => (a.id < b.id ? -1 : 1));
    expect(own.map(({ words }) => words)).toEqual(NUMBERS.map((at) => `Defect ${at}`));
    interface Poured {
      readonly jobId: string;
      readonly litres: number;
    }
    const { topUps } = await read<{ topUps: Poured[] }>(page, `/api/machines/${machine.id}/top-ups`);
    const poured = topUps.slice(0, 10).sort((a, b) => (a.jobId < b.jobId ? -1 : 1));
    expect(poured.map(({ litres }) => litres)).toEqual(NUMBERS.map((at) => at / 100));
    expect((await read<Known>(page, `/api/machines/${machine.id}`)).life).toBeCloseTo(Number(hoursAt(1)), 6);
    const { steps } = await read<{ steps: { version: number }[] }>(page, `/api/jobs/${job}`);
    expect(steps.reduce((sum, { version }) => sum + version, 0)).toBe(TICKS);
  });

  it('comes back to its owner alone where it is refused, and is put right where it lies', async () => {
    const { page } = await newVisitor(shed.browser, PHONE, { isKeeping: true });
    await signInByForm(page, shed.yugator.address, 'Dru Halloway');
    const machines = await read<(Known & { tag: string })[]>(page, '/api/machines');
    // Not the one that was read a moment ago: no meter runs faster than the clock.
    const machine = machines.find(({ tag }) => tag === 'U-02');
    await isControlled(page);
    await seen(page, ['/m/U-02', 'From its card']);
    await page.setOfflineMode(true);
    const hours = (more: number) => ((machine?.life ?? 0) + more).toFixed(1);
    await typeHours(page, hours(0.2));
    await waiting(page, 1);
    // Meanwhile somebody reads less.
    const { page: other } = await newVisitor(shed.browser);
    await signInByForm(other, shed.yugator.address, 'Ansel Pike');
    const status = await other.evaluate(
      async (machineId, shown) => {
        const body = JSON.stringify({ readings: [{ machineId, shown, confirmed: true }] });
        const headers = { 'content-type': 'application/json' };
        return (await fetch('/api/round', { method: 'POST', headers, body })).status;
      },
      machine?.id ?? '',
      Number(hours(0.1)),
    );
    expect(status).toBe(201);
    await page.setOfflineMode(false);
    await sees(page, '1 entry came back: see why');

    // Who signs out is asked; the next person sees nothing of it.
    const signOut = async () => {
      await press(page, 'More');
      await (await page.waitForSelector('::-p-aria([name="Sign out"][role="menuitem"])'))?.click();
    };
    await signOut();
    await sees(page, '1 entry is not with Yugator yet');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Keep and sign out');
    await page.waitForSelector('input[name=name]');
    await signInByForm(page, shed.yugator.address, 'Marit Osgood');
    await sees(page, 'Overdue: see to these');
    await page.goto(`${shed.yugator.address}/outbox`);
    await sees(page, 'Nothing waits');
    await signOut();
    await page.waitForSelector('input[name=name]');
    await signInByForm(page, shed.yugator.address, 'Dru Halloway');
    await press(page, '1 entry came back: see why');
    await sees(page, `${hours(0.2)} h`.replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009'));
    expect(await violations(page)).toEqual([]);
    await typeInto(page, 'Put right: figure', hours(0.1));
    await press(page, 'Send again');
    await sees(page, 'Nothing waits');
  });

  it('is said not to be kept where the device has no room, and stays in its form', async () => {
    const { page } = await newVisitor(shed.browser, PHONE, { isKeeping: true });
    await signInByForm(page, shed.yugator.address, 'Dru Halloway');
    await isControlled(page);
    await seen(page, ['/m/T-02', 'From its card']);
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await page.setOfflineMode(true);
    await press(page, 'Report a defect');
    await typeInto(page, 'What is wrong', 'Belt squeals');
    await press(page, 'Report it');
    await sees(page, 'this device has no room to keep it');
    expect(await page.$eval('[role=dialog] textarea', (field) => field.value)).toBe('Belt squeals');
  });
});
