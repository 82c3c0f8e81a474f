import type { Page } from 'puppeteer-core';
import { newVisitor, PHONE, press, sees, violations } from './browser.js';
import { signInByForm } from './session.js';
import { openShed } from './shed.js';
import { read } from './work.js';

const shed = openShed();

const KEPT_MS = 2_000;

/** Waits until the application itself is on the device, and what was seen as well. */
async function isKept(page: Page): Promise<void> {
  await page.waitForFunction(
    async () => {
      const worker = await navigator.serviceWorker.getRegistration();
      return worker?.active?.state === 'activated' && (await caches.has('page'));
    },
    { timeout: 60_000, polling: 200 },
  );
  await new Promise((later) => setTimeout(later, KEPT_MS));
}

async function idOf(page: Page, tag: string): Promise<string> {
  const machines = await read<{ id: string; tag: string }[]>(page, '/api/machines');
  return machines.find((machine) => machine.tag === tag)?.id ?? '';
}

describe('without signal', () => {
  it('the screens open as they were last seen and say from when; with the signal they are as new', async () => {
    const { page } = await newVisitor(shed.browser, PHONE, { isKeeping: true });
    await signInByForm(page, shed.yugator.address, 'Ansel Pike');
    const id = await idOf(page, 'T-02');
    // The first page of all is kept with the second visit to one.
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null, {
      timeout: 60_000,
      polling: 200,
    });
    const seen: [path: string, words: string][] = [
      ['/', 'Overdue: see to these'],
      ['/round', 'Round the sheds'],
      ['/fleet', '24 machines, by tag'],
      [`/fleet/${id}`, 'Loader tractor'],
      [`/fleet/${id}/spec`, 'Approved grades'],
      [`/fleet/${id}/walk`, 'all is well until you say otherwise'],
      ['/m/T-02', 'From its card'],
      ['/defects', 'defects are open'],
    ];
    for (const [path, words] of seen) {
      await page.goto(shed.yugator.address + path);
      await sees(page, words);
      // As long as somebody takes to read it.
      await new Promise((later) => setTimeout(later, KEPT_MS));
    }
    await isKept(page);
    await shed.yugator.stop();

    for (const [path, words] of seen) {
      await page.goto(shed.yugator.address + path);
      await sees(page, words);
      await sees(page, /Not connected\. What you see is as it stood/);
    }
    expect(await violations(page)).toEqual([]);
    // What was never seen says so, with a way out.
    await page.goto(`${shed.yugator.address}/m/U-01`);
    await sees(page, 'Yugator cannot be reached');

    await shed.yugator.start();
    await page.goto(shed.yugator.address);
    await sees(page, 'Overdue: see to these');
    await page.waitForFunction(() => !document.body.innerText.includes('Not connected'), {
      timeout: 60_000,
      polling: 200,
    });
  });

  it('whoever signs out leaves nothing behind, and the next person sees nothing of theirs', async () => {
    const { page } = await newVisitor(shed.browser, PHONE, { isKeeping: true });
    await signInByForm(page, shed.yugator.address, 'Marit Osgood');
    await page.waitForFunction(() => navigator.serviceWorker.controller !== null, {
      timeout: 60_000,
      polling: 200,
    });
    await page.goto(`${shed.yugator.address}/setup`);
    await sees(page, 'Signed in now');
    await page.goto(shed.yugator.address);
    await sees(page, 'Overdue: see to these');
    await isKept(page);
    // Who is signed in where is not kept at all.
    expect(await stored(page)).toContain('Lakeside zero-turn');
    expect(await stored(page)).not.toContain('192.0.2');
    await press(page, 'More');
    const out = await page.waitForSelector('::-p-aria([name="Sign out"][role="menuitem"])');
    await out?.click();
    await page.waitForSelector('input[name=name]');
    await new Promise((later) => setTimeout(later, KEPT_MS));
    expect(await stored(page)).not.toContain('Lakeside zero-turn');
    await signInByForm(page, shed.yugator.address, 'Dru Halloway');
    await sees(page, 'Walk-rounds that wait');
    await isKept(page);
    await shed.yugator.stop();
    await page.goto(`${shed.yugator.address}/setup`);
    await sees(page, 'Not connected');
    expect(await page.evaluate(() => document.body.innerText)).not.toMatch(/Marit Osgood|Signed in now/);
    await shed.yugator.start();
  });
});

/** All that is kept on the device of what was seen, as text. */
function stored(page: Page): Promise<string> {
  return page.evaluate(
    () =>
      new Promise<string>((told, failed) => {
        const opening = indexedDB.open('yugator');
        opening.onerror = () => failed(opening.error ?? new Error('no database'));
        opening.onsuccess = () => {
          const all = opening.result.transaction('seen').objectStore('seen').getAll();
          all.onsuccess = () => {
            opening.result.close();
            told(JSON.stringify(all.result));
          };
        };
      }),
  );
}
