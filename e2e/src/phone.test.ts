import type { Page } from 'puppeteer-core';
import { checkbox, newVisitor, PHONE, press, sees, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { read, workThrough } from './work.js';

const shed = openShed();

interface Machine {
  readonly id: string;
  readonly tag: string;
  readonly version: number;
  readonly lastShown: number;
  readonly spec: object;
  readonly life: number;
  readonly lines: readonly {
    readonly itemId: string;
    readonly itemName: string;
    readonly baseline: { readonly on: string | null };
  }[];
}

const send = (page: Page, method: string, path: string, body: object) =>
  page.evaluate(
    async (how, at, text) => {
      const headers = { 'content-type': 'application/json', 'idempotency-key': crypto.randomUUID() };
      const answer = await fetch(at, { method: how, headers, body: text });
      return { status: answer.status, body: (await answer.json()) as { id: string } };
    },
    method,
    path,
    JSON.stringify(body),
  );

const FUEL_FILTER = 'Fuel filter: clean, bleed';

async function machineOf(page: Page, tag: string): Promise<Machine> {
  const listed = (await read<Machine[]>(page, '/api/machines')).find((each) => each.tag === tag);
  return read<Machine>(page, `/api/machines/${listed?.id}`);
}

/** Composes a visit of these items alone, and opens its job. */
async function openVisit(page: Page, { id }: Machine, items: readonly string[]): Promise<void> {
  await page.goto(`${shed.yugator.address}/fleet/${id}/visit`);
  await sees(page, 'a visit');
  await page.$$eval('main li input[type=checkbox]:checked', (boxes) =>
    boxes.forEach((box) => (box as HTMLInputElement).click()),
  );
  for (const item of items) {
    const box = await checkbox(page, item);
    await box.evaluate((element) => element.click());
  }
  await sees(page, 'min alone');
  await press(page, 'Open the job');
  await sees(page, 'Walk round');
  expect(await violations(page)).toEqual([]);
}

/** Says of an item that it is put off until so many hours. */
async function putOff(page: Page, item: string, untilLife: number, why: string): Promise<void> {
  await press(page, `Otherwise: ${item}`);
  await page.waitForSelector('[role=dialog]');
  await page.click('[role=dialog] [role=combobox]');
  await page.locator('[role=option] ::-p-text(Put off)').click();
  await page.waitForSelector('[role=listbox]', { hidden: true });
  await page.type('[role=dialog] input[name=untilLife]', String(untilLife));
  await page.type('[role=dialog] textarea[name=note]', why);
  await page.locator('[role=dialog] ::-p-text(Keep)').click();
  await sees(page, `${why}`);
  await page.waitForSelector('.MuiDialog-root', { hidden: true });
}

/** The civil date so many days before another. */
function dayBefore(day: string, days: number): string {
  return new Date(Date.parse(day) - days * 86_400_000).toISOString().slice(0, 10);
}

/** Signs off at the hours that the meter shows, so many days ago. */
async function signOff(page: Page, shown: number, daysAgo: number): Promise<void> {
  const hours = await page.waitForSelector('input[name=shown]');
  await hours?.type(String(shown));
  if (daysAgo > 0) {
    const { today, site } = await read<{ today: string; site: { dateOrder: string } }>(page, '/api/session');
    const [day] = await page.$$('section[aria-label="Sign off"] [role=spinbutton]');
    await day?.click();
    const [year, month, date] = dayBefore(today, daysAgo).split('-');
    const text = { yearFirst: [year, month, date], monthFirst: [month, date, year] }[site.dateOrder];
    await page.keyboard.type((text ?? [date, month, year]).join(''));
  }
  await press(page, 'Sign off');
}

const recordsOf = (page: Page, id: string) =>
  read<{
    total: number;
    records: { doneOn: string; items: string[]; others: { name: string; outcome: string }[] }[];
  }>(page, `/api/records?machineId=${id}`);

describe('on a phone', () => {
  it('a sealed oil cartridge is twisted out and in: nothing is drained and nothing poured', async () => {
    const { page, complaints } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Marit Osgood');
    const machine = await machineOf(page, 'R-04');
    const service = { oilDrain: 'cartridge', oilFilter: 'none', fuelFilter: 'inLine' };
    const said = await send(page, 'PUT', `/api/machines/${machine.id}/spec`, {
      spec: { ...machine.spec, service },
      version: machine.version,
    });
    expect(said.status).toBe(200);
    const oil = machine.lines.find(({ itemName }) => itemName.startsWith('Engine oil'));
    const opened = await send(page, 'POST', '/api/jobs', { machineId: machine.id, itemIds: [oil?.itemId] });
    await page.goto(`${shed.yugator.address}/jobs/${opened.body.id}`);
    await sees(page, 'Step by step');
    expect(await violations(page)).toEqual([]);
    const sheet = await page.evaluate(() => document.body.textContent ?? '');
    expect(sheet).not.toMatch(/drain plug|Pan under|pour the first part/i);
    await workThrough(page, {});
    await (await page.waitForSelector('input[name=shown]'))?.type(String(machine.lastShown));
    await press(page, 'Sign off');
    await sees(page, 'Next due');
    expect(complaints).toEqual([]);
  });

  it('a loader tractor is serviced at 100 h in two visits on two days: what was put off on the first is done on the second', async () => {
    const { page, complaints } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    const tractor = await machineOf(page, 'T-02');
    const before = (await recordsOf(page, tractor.id)).total;

    await openVisit(page, tractor, [
      'Grease all points',
      'Wheel bolts: to torque',
      FUEL_FILTER,
      'Battery: test',
    ]);
    await workThrough(page, {});
    await putOff(page, FUEL_FILTER, tractor.life + 8, 'No filter on the shelf');
    await signOff(page, tractor.lastShown, 1);
    await sees(page, 'Next due');

    await openVisit(page, tractor, [FUEL_FILTER, 'Loader: grease', 'Loader bolts: to torque']);
    await workThrough(page, {});
    await signOff(page, tractor.lastShown + 1, 0);
    await sees(page, 'Next due');

    const { total, records } = await recordsOf(page, tractor.id);
    expect(total).toBe(before + 2);
    const [second, first] = records;
    expect(first?.doneOn).toBe(dayBefore(second?.doneOn ?? '', 1));
    expect(first?.items).toEqual(['Grease all points', 'Wheel bolts: to torque', 'Battery: test']);
    expect(first?.others).toMatchObject([{ name: FUEL_FILTER, outcome: 'deferred' }]);
    expect(second?.items).toEqual([FUEL_FILTER, 'Loader: grease', 'Loader bolts: to torque']);
    const { lines } = await read<Machine>(page, `/api/machines/${tractor.id}`);
    const lastOf = (name: string) => lines.find(({ itemName }) => itemName === name)?.baseline.on;
    expect(lastOf('Grease all points')).toBe(first?.doneOn);
    expect(lastOf(FUEL_FILTER)).toBe(second?.doneOn);
    expect(complaints).toEqual([]);
  });

  it('a walk round that finds all well is two taps and the figure, for an operator', async () => {
    const { page, complaints } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Dru Halloway');
    await sees(page, 'Walk-rounds that wait');
    expect(await violations(page)).toEqual([]);
    const { rounds } = await read<{ rounds: { id: string; tag: string; name: string }[] }>(
      page,
      '/api/today',
    );
    const [first] = rounds;
    if (!first) throw new Error('No walk-round waits.');
    const { lastShown } = await read<Machine>(page, `/api/machines/${first.id}`);
    await page.evaluate(() => {
      const counted = window as unknown as { taps: number };
      counted.taps = 0;
      addEventListener('click', () => (counted.taps += 1), true);
    });
    await press(page, `Walk round ${first.tag} ${first.name}`);
    await sees(page, 'all is well until you say otherwise');
    await page.waitForSelector('input[name=shown]:focus');
    await page.keyboard.type(String(lastShown));
    await press(page, 'All well');
    await sees(page, 'walk kept');
    expect(await page.evaluate(() => (window as unknown as { taps: number }).taps)).toBe(2);
    const { rounds: left } = await read<{ rounds: { id: string }[] }>(page, '/api/today');
    expect(left.map(({ id }) => id)).not.toContain(first.id);
    expect(complaints).toEqual([]);
  });

  it('a battery that breaks down under load is found by questions, and the answer outlives a reload', async () => {
    const { page } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Ansel Pike', '/bench/no-start');
    const answer = async (label: string, figure: string) => {
      const field = await page.waitForSelector(`::-p-aria([name="${label}"][role="textbox"])`);
      await field?.type(figure);
    };
    await (await page.waitForSelector('input[type=radio][value=slow]'))?.click();
    await answer('At rest, V', '12.1');
    await answer('After the charge, V', '12.7');
    await answer('Under load, V', '8.9');
    await answer('Battery, °C', '21');
    // Every letter arrived, in every field.
    expect(new URL(page.url()).searchParams.get('rest')).toBe('12.1');
    expect(new URL(page.url()).searchParams.get('load')).toBe('8.9');
    await sees(page, 'A new battery');
    expect(await violations(page)).toEqual([]);
    await page.reload();
    await sees(page, 'A new battery');
  });

  it('no letter is lost of what is typed fast into a search that stands in the address', async () => {
    const { page } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Ansel Pike', '/records');
    await page.waitForSelector('input[type=search]');
    await page.type('input[type=search]', 'spark plugs of R-03');
    expect(await page.$eval('input[type=search]', (field) => (field as HTMLInputElement).value)).toBe(
      'spark plugs of R-03',
    );
    expect(new URL(page.url()).searchParams.get('search')).toBe('spark plugs of R-03');
  });
});
