import type { Page } from 'puppeteer-core';
import { checkbox, newVisitor, press, sees, violations } from './browser.js';
import { signInByForm } from './session.js';
import { openShed } from './shed.js';

const shed = openShed();

interface Api {
  readonly machines: readonly { id: string; tag: string; name: string; lastShown: number; lines: Line[] }[];
}
interface Line {
  readonly itemName: string;
  readonly state: string;
  readonly limits: readonly { kind: string; at: number; on: string }[];
}

async function machine(page: Page, tag: string): Promise<Api['machines'][number]> {
  const all = await page.evaluate(() =>
    fetch('/api/machines').then((answer) => answer.json() as Promise<unknown>),
  );
  const found = (all as Api['machines']).find((candidate) => candidate.tag === tag);
  if (!found) throw new Error(`${tag} is not in the fleet.`);
  return found;
}

async function kits(page: Page): Promise<number> {
  const all = await page.evaluate(() =>
    fetch('/api/articles').then((answer) => answer.json() as Promise<unknown>),
  );
  return (
    (all as { name: string; onHand: number }[]).find(({ name }) => name === 'Oil change kit, V-twin')
      ?.onHand ?? NaN
  );
}

describe('the whole path of a crew lead', () => {
  it('leads from Today over the round and a job to the record, and outlives a restart', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    const { page: second, complaints: secondComplaints } = await newVisitor(shed.browser);
    await signInByForm(page, shed.yugator.address, 'Marit Osgood');
    await signInByForm(second, shed.yugator.address, 'Parks office');

    // 1: Today, worst first, each with its reason.
    await sees(page, /machines? (is|are) overdue\./);
    await sees(page, /last done \d+ \w+( \d+)? at [\d\u2009.]+ h/);
    expect(await violations(page)).toEqual([]);

    // 2: the round by keyboard only: two machines in a row, a slip seen at once.
    const [first, next] = [await machine(page, 'R-03'), await machine(page, 'R-04')];
    await press(page, 'Round');
    await sees(page, 'Round the sheds');
    await page.focus(`#reading-${first.id}`);
    await page.keyboard.type(String(first.lastShown - 1));
    await sees(page, 'Runs backwards');
    await page.keyboard.press('Enter');
    expect(await page.evaluate(() => document.activeElement?.id)).toBe(`reading-${next.id}`);
    await page.keyboard.type('99999');
    await sees(page, 'Faster than the clock');
    expect(await violations(page)).toEqual([]);
    await page.keyboard.down('Control');
    await page.keyboard.press('a');
    await page.keyboard.up('Control');
    await page.keyboard.type(String(next.lastShown + 2));
    await page.keyboard.press('ArrowUp');
    await page.keyboard.type(String(first.lastShown + 3));
    await sees(page, '+3.0 h');
    await page.keyboard.press('ArrowDown');
    await sees(page, 'Keep 2 readings');
    // Enter in the last figure reaches the button; from anywhere else Tab does.
    await page.focus('button[type=submit]');
    await page.keyboard.press('Enter');
    await sees(page, '2 readings kept.');

    // 3 and the second person: both see Today changed, the other one without reloading, within two seconds.
    const life = (first.lastShown + 3).toFixed(1).replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009');
    await sees(second, life, 2000);
    await press(page, 'Today');
    await sees(page, life);

    // 4: the machine, its items, the job.
    const before = await kits(page);
    const oil = 'Engine oil and filter';
    await page.goto(`${shed.yugator.address}/fleet/${first.id}`);
    await sees(page, oil);
    await (await page.waitForSelector('::-p-text(Compose a visit)'))?.click();
    await sees(page, 'Open the job');
    const choice = await checkbox(page, oil);
    if (!(await choice.evaluate((box) => box.checked))) await choice.click();
    expect(await violations(page)).toEqual([]);
    await press(page, 'Open the job');
    await sees(page, 'Before you begin');
    await sees(page, 'Say first what became of the items.');
    await page.click(`button[aria-label="Done: ${oil}"]`);
    await sees(page, /1 of \d+ items? settled/);
    expect(await violations(page)).toEqual([]);

    // Bad input gives the field and the reason, and what was typed stays.
    await page.$eval('input[name=minutes]', (field) => (field as HTMLInputElement).select());
    await page.type('input[name=minutes]', 'long');
    await press(page, 'Sign off');
    await sees(page, 'Give the minutes as a whole number.');
    expect(await page.$eval('input[name=minutes]', (field) => (field as HTMLInputElement).value)).toBe(
      'long',
    );
    await page.$eval('input[name=minutes]', (field) => (field as HTMLInputElement).select());
    await page.type('input[name=minutes]', '35');
    // The hours are read at the machine; nothing stands there beforehand.
    await page.waitForSelector('input[name=shown]');
    expect(await page.$eval('input[name=shown]', (field) => (field as HTMLInputElement).value)).toBe('');
    await page.type('input[name=shown]', String(first.lastShown + 3));
    await press(page, 'Sign off');
    await sees(page, 'Next due');

    // 5: stock down, record written, next due computed afresh.
    await sees(
      page,
      `next at ${(first.lastShown + 53).toFixed(1).replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009')} h`,
    );
    const after = await kits(page);
    expect(after).toBe(before - 1);
    await press(page, 'Shelf');
    await sees(page, 'Oil change kit, V-twin');
    expect(await violations(page)).toEqual([]);
    await page.goto(`${shed.yugator.address}/fleet/${first.id}/record`);
    await sees(page, oil);
    await sees(page, 'Marit Osgood, 35 min');
    expect(await violations(page)).toEqual([]);

    // 6: stopped and started, everything is there.
    const ended = await shed.yugator.stop('SIGINT');
    expect(ended.code).toBe(0);
    await sees(page, 'Not connected');
    await shed.yugator.start();
    await page.goto(`${shed.yugator.address}/fleet/${first.id}/record`);
    await sees(page, 'Marit Osgood, 35 min');
    const now = await machine(page, 'R-03');
    expect(
      now.lines.find((line) => line.itemName === oil)?.limits.find((limit) => limit.kind === 'hours')?.at,
    ).toBe(Number((first.lastShown + 53).toFixed(2)));
    expect(await kits(page)).toBe(after);
    expect([...complaints, ...secondComplaints].filter((line) => !line.includes('ERR_'))).toEqual([]);
  });
});
