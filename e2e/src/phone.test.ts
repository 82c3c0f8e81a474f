import type { Page } from 'puppeteer-core';
import { newVisitor, PHONE, press, sees, signIn, violations } from './browser.js';
import { openShed } from './shed.js';
import { read, workThrough } from './work.js';

const shed = openShed();

interface Machine {
  readonly id: string;
  readonly tag: string;
  readonly version: number;
  readonly lastShown: number;
  readonly spec: object;
  readonly lines: readonly { readonly itemId: string; readonly itemName: string }[];
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

describe('on a phone', () => {
  it('a sealed oil cartridge is twisted out and in: nothing is drained and nothing poured', async () => {
    const { page, complaints } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Marit Osgood');
    const tag = 'R-04';
    const listed = (await read<Machine[]>(page, '/api/machines')).find((each) => each.tag === tag);
    const machine = await read<Machine>(page, `/api/machines/${listed?.id}`);
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
    await page.type('input[name=shown]', String(machine.lastShown));
    await press(page, 'Sign off');
    await sees(page, 'Next due');
    expect(complaints).toEqual([]);
  });

  it('a battery that breaks down under load is found by questions, and the answer outlives a reload', async () => {
    const { page } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await page.goto(`${shed.yugator.address}/bench/no-start`);
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
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await page.goto(`${shed.yugator.address}/records`);
    await page.waitForSelector('input[type=search]');
    await page.type('input[type=search]', 'spark plugs of R-03');
    expect(await page.$eval('input[type=search]', (field) => (field as HTMLInputElement).value)).toBe(
      'spark plugs of R-03',
    );
    expect(new URL(page.url()).searchParams.get('search')).toBe('spark plugs of R-03');
  });
});
