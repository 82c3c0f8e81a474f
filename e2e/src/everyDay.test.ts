import type { Page } from 'puppeteer-core';
import { newVisitor, PHONE, press, sees, typeInto, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { read } from './work.js';

const shed = openShed();

/** Counts taps and keys from now on, on this page and those that it leads to without loading anew. */
async function count(page: Page): Promise<void> {
  await page.evaluate(() => {
    const counted = window as unknown as { taps: number; keys: number };
    const isFirst = counted.taps === undefined;
    counted.taps = 0;
    counted.keys = 0;
    if (!isFirst) return;
    addEventListener('click', () => (counted.taps += 1), true);
    addEventListener('keydown', () => (counted.keys += 1), true);
  });
}

const counted = (page: Page) =>
  page.evaluate(() => {
    const { taps, keys } = window as unknown as { taps: number; keys: number };
    return { taps, keys };
  });

async function onPhone(name: string, path: string): Promise<{ page: Page; complaints: string[] }> {
  const visitor = await newVisitor(shed.browser, PHONE);
  await signIn(visitor.page, shed.yugator.address, name, path);
  return visitor;
}

interface Known {
  readonly id: string;
  readonly tag: string;
  readonly name: string;
}

const machines = (page: Page) => read<Known[]>(page, '/api/machines');

describe('every day, counted on a phone', () => {
  it('Today shows all 24 machines and their walk-rounds within three screens', async () => {
    const { page } = await onPhone('Marit Osgood', '/');
    await sees(page, 'Nothing due within 30 days');
    const bottom = await page.$eval(
      'section[aria-label="Fine"]',
      (last) => last.getBoundingClientRect().bottom,
    );
    expect(
      await page.$$eval(
        'main section a[href^="/fleet/"] > span',
        (plates) => new Set(plates.map((plate) => plate.textContent)).size,
      ),
    ).toBe(24);
    expect(bottom).toBeLessThanOrEqual(3 * PHONE.height);
    // A row opens for more.
    const opener = await page.waitForSelector('button[aria-label^="More about"]');
    await opener?.click();
    await sees(page, 'last done');
    expect(await violations(page)).toEqual([]);
  });

  it('a dust valve that is due is done in two taps from Today, and undone in a third', async () => {
    const { page, complaints } = await onPhone('Dru Halloway', '/');
    await sees(page, 'Walk-rounds that wait');
    await count(page);
    await press(page, 'Done: checks of T-02 Loader tractor, 1 check waits');
    await page.waitForSelector('[role=dialog] button[aria-label^="Done: Air cleaner dust valve"]');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Done: Air cleaner dust valve: squeeze out');
    await sees(page, 'dust valve: squeeze out: done');
    expect(await counted(page)).toEqual({ taps: 2, keys: 0 });
    await page.waitForSelector('.MuiDialog-root', { hidden: true });
    await press(page, 'Undo');
    await sees(page, 'Undone.');
    await sees(page, /Loader tractor\s*1 check waits/);
    expect(complaints).toEqual([]);
  });

  it('a top-up is at most four taps and the digits, and can be taken back', async () => {
    const { page } = await onPhone('Ansel Pike', '/m/T-02');
    await sees(page, 'From its card');
    await count(page);
    await press(page, 'Top up');
    await page.waitForSelector('[role=dialog] input:focus');
    await page.keyboard.type('0.3');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Keep');
    await sees(page, 'engine oil topped up');
    const { taps, keys } = await counted(page);
    expect([taps <= 4, keys]).toEqual([true, 3]);
  });

  it('a defect is three taps and the words, from anywhere', async () => {
    const { page } = await onPhone('Dru Halloway', '/round');
    await sees(page, 'Round the sheds');
    await count(page);
    await press(page, 'Defects');
    await press(page, 'Report a defect: R-04 Orchard mower');
    await page.waitForSelector('[role=dialog] textarea:focus');
    await page.keyboard.type('Chute cracked');
    await press(page, 'Report it');
    await sees(page, 'R-04: defect taken down');
    expect((await counted(page)).taps).toBe(3);
    await sees(page, 'Chute cracked');
  });

  it('24 meters are read with fewer than 200 keys and three taps', async () => {
    const { page } = await onPhone('Dru Halloway', '/round');
    await sees(page, 'Round the sheds');
    const round = await read<{
      meters: { readings: { shown: number }[]; meter: string }[];
    }>(page, '/api/round');
    const figures = round.meters.slice(0, 24).map(({ readings }) => readings.at(-1)?.shown ?? 0);
    await count(page);
    const first = await page.waitForSelector('main input[inputmode=decimal]');
    await first?.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    await first?.click();
    for (const [at, shown] of figures.entries()) {
      await page.keyboard.type(shown.toFixed(1).replace(/\.0$/, ''));
      if (at + 1 < figures.length) await page.keyboard.press('Enter');
    }
    await press(page, `Keep ${figures.length} readings`);
    await sees(page, /readings? kept|kept/);
    const { taps, keys } = await counted(page);
    expect([taps <= 3, keys < 200]).toEqual([true, true]);
  });
});

describe('the code on a machine', () => {
  it('leads who is signed out to the sign-in, and then to the machine', async () => {
    const { page, complaints } = await newVisitor(shed.browser, PHONE);
    await page.goto(`${shed.yugator.address}/m/U-05`);
    await page.waitForSelector('input[name=name]');
    await page.type('input[name=name]', 'Dru Halloway');
    await page.type('input[name=password]', 'larkmere-shed');
    await page.keyboard.press('Enter');
    await sees(page, 'Nursery cart');
    expect(new URL(page.url()).pathname).toBe('/m/U-05');
    await sees(page, 'From its card');
    expect(await violations(page)).toEqual([]);
    const known = (await machines(page)).find(({ tag }) => tag === 'U-05');
    const walk = await page.$eval('main a[href$="/walk"]', (link) => link.getAttribute('href'));
    expect(walk).toBe(`/fleet/${known?.id}/walk`);
    expect(complaints).toEqual([]);
  });

  it('of a machine that is gone says so', async () => {
    const { page } = await onPhone('Dru Halloway', '/m/Z-99');
    await sees(page, 'There is no such machine');
  });
});

describe('a device that the crew shares', () => {
  it('asks for a name and four digits, takes a walk-round, and shows nothing that is not for it', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood', '/account');
    await typeInto(page, 'Four digits', '4719');
    await typeInto(page, 'Your password, to be sure', 'larkmere-shed');
    await press(page, 'Set the code');
    await sees(page, 'You have one');
    await page.goto(`${shed.yugator.address}/setup`);
    await press(page, 'Make this device one of the shed');
    await typeInto(page, 'What it is called', 'Tablet at the door');
    await press(page, 'Make it one');
    await sees(page, 'This is a device of the shed now');
    // It fades, and catches clicks until it is gone.
    await page.waitForSelector('.MuiDialog-root', { hidden: true });
    await press(page, 'Marit Osgood');
    await (await page.waitForSelector('::-p-aria([name="Sign out"][role="menuitem"])'))?.click();

    await sees(page, 'Who is it?');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Marit Osgood');
    await typeInto(page, 'Your four digits', '4719');
    await page.keyboard.press('Enter');
    await sees(page, 'at Tablet at the door: readings and walk-rounds');
    const machine = (await machines(page)).find(({ tag }) => tag === 'M-08');
    await page.goto(`${shed.yugator.address}/fleet/${machine?.id}`);
    await sees(page, 'h a week now');
    expect(await violations(page)).toEqual([]);
    expect(await page.$('::-p-aria([name="Top up"][role="button"])')).toBeNull();
    await press(page, 'Walk round');
    await sees(page, 'all is well until you say otherwise');
    const { life } = await read<{ life: number }>(page, `/api/machines/${machine?.id}`);
    await page.waitForSelector('main input:focus');
    await page.keyboard.type((life + 0.1).toFixed(1));
    await press(page, 'All well');
    await sees(page, 'M-08: walk kept');
    await press(page, 'I am done');
    await sees(page, 'Who is it?');
    expect(complaints).toEqual([]);
  });
});
