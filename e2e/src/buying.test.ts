import type { Page } from 'puppeteer-core';
import { newVisitor, press, sees, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { read } from './work.js';

const shed = openShed();

interface Article {
  readonly name: string;
  readonly onHand: number;
}

async function onHand(page: Page, name: string): Promise<number> {
  const articles = await read<Article[]>(page, '/api/articles');
  return articles.find((article) => article.name === name)?.onHand ?? NaN;
}

describe('buying', () => {
  it('is reckoned in the browser while the page stays quick, and beside it stands what kits or loose parts alone cost', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood');
    const policies = new Map<string, string>();
    page.on('response', (response) => {
      const [name = ''] = /buyingWorker|shelf\/buying$/.exec(response.url()) ?? [];
      if (name) policies.set(name, response.headers()['content-security-policy'] ?? '');
    });
    await page.goto(`${shed.yugator.address}/shelf/buying`);
    await sees(page, 'What will be taken');
    await sees(page, /Covers \d+ services/);
    await sees(page, /Loose parts alone: £[\d,.]+/);
    await sees(page, /A kit wherever there is one: £[\d,.]+/);
    expect(await violations(page)).toEqual([]);
    // The worker alone may compile its solver; the page may not.
    expect(policies.get('buyingWorker')).toContain("script-src 'self' 'wasm-unsafe-eval'");
    expect(policies.get('shelf/buying')).not.toContain('eval');
    // Settled to none, the oil is bought no more, and all else is reckoned anew around that.
    const field = await page.waitForSelector(
      '::-p-aria([name="Packs of Coolant, ready mixed"][role="textbox"])',
    );
    await field?.click({ count: 3 });
    await field?.type('0\n');
    await sees(page, 'Settled that none is bought:');
    await sees(page, /Covers \d+ services/);
    expect(complaints).toEqual([]);
  });

  it('receives half an order, then the rest: the shelf has it each time', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    const [air, hydro] = ['Air filter, utility vehicle', 'Hydraulic filter pair, utility vehicle'];
    const before = [await onHand(page, air), await onHand(page, hydro)];
    await page.goto(`${shed.yugator.address}/shelf/orders`);
    await sees(page, '2 orders still to come');
    const field = await page.waitForSelector(`::-p-aria([name="Arrived now of ${air}"][role="textbox"])`);
    await field?.type('3');
    await press(page, 'Book what arrived');
    await sees(page, 'It is on the shelf; the rest is still to come.');
    expect([await onHand(page, air), await onHand(page, hydro)]).toEqual([(before[0] ?? 0) + 3, before[1]]);
    expect(await violations(page)).toEqual([]);
    await press(page, 'All of it arrived');
    await press(page, 'Book what arrived');
    await sees(page, '1 order still to come');
    expect([await onHand(page, air), await onHand(page, hydro)]).toEqual([
      (before[0] ?? 0) + 4,
      (before[1] ?? 0) + 2,
    ]);
    expect(complaints).toEqual([]);
  });
});
