import type { Page } from 'puppeteer-core';
import { POLL_MS } from './browser.js';

/** What the API answers. */
export async function read<T>(page: Page, path: string): Promise<T> {
  return (await page.evaluate(
    (at) => fetch(at).then((answer) => answer.json() as Promise<unknown>),
    path,
  )) as T;
}

/** The number of the step on the screen, as soon as the sheet is there. */
export async function place(page: Page): Promise<string | undefined> {
  await page.waitForSelector('section[aria-label="Step by step"]');
  return page.evaluate(
    () =>
      /(\d+) \/ (\d+)/.exec(
        document.querySelector('section[aria-label="Step by step"]')?.textContent ?? '',
      )?.[1],
  );
}

/** What is picked at the guided looks: the first sight, which is good, but where `seen` names another. */
async function look(page: Page, seen: Readonly<Record<string, string>>): Promise<void> {
  const question = await page.$eval('section[aria-label="Step by step"]', (step) => step.textContent ?? '');
  const own = Object.entries(seen).find(([words]) => question.includes(words))?.[1];
  const picks = await page.$$('section[aria-label="Step by step"] button[aria-pressed]');
  for (const pick of picks) {
    const words = await pick.evaluate((button) => button.textContent ?? '');
    if (own !== undefined && words !== own) continue;
    // Clear of the navigation at the foot of a phone.
    await pick.evaluate((element) => element.scrollIntoView({ block: 'center' }));
    await pick.click();
    // What it means is said below it, and moves the button that is pressed next.
    const isPicked = (button: Element) => button.getAttribute('aria-pressed') === 'true';
    await page.waitForFunction(isPicked, { polling: POLL_MS }, pick);
    return;
  }
}

/** Ticks the step off; the button is brought clear of the navigation at the foot of a phone first, as a thumb would. */
export async function tick(page: Page): Promise<void> {
  const button = await page.waitForSelector('section[aria-label="Step by step"] ::-p-text(Done)');
  await button?.evaluate((element) => element.scrollIntoView({ block: 'center' }));
  await button?.click();
}

/** Works the step on the screen, as a mechanic does: cautions read, looks picked, ticked off. */
async function workStep(page: Page, seen: Readonly<Record<string, string>>): Promise<void> {
  const before = await place(page);
  const caution = await page.$(
    'section[aria-label="Step by step"] [role=note] input[type=checkbox]:not(:checked)',
  );
  if (caution) {
    await caution.click();
    await page.waitForFunction(
      () =>
        [...document.querySelectorAll('section[aria-label="Step by step"] button')].some(
          (button) => button.textContent === 'Done' && !(button as HTMLButtonElement).disabled,
        ),
      { polling: POLL_MS },
    );
  }
  await look(page, seen);
  await tick(page);
  try {
    await page.waitForFunction(
      (was) =>
        /worked through/.test(document.body.innerText) ||
        /(\d+) \/ \d+/.exec(
          document.querySelector('section[aria-label="Step by step"]')?.textContent ?? '',
        )?.[1] !== was,
      { polling: POLL_MS },
      before ?? '',
    );
  } catch (error) {
    const shown = await page.$eval('main', (main) => main.innerText);
    throw new Error(`Step ${before ?? ''} stays where it is. The page shows:\n${shown.slice(0, 3000)}`, {
      cause: error,
    });
  }
}

async function isWorkedThrough(page: Page): Promise<boolean> {
  return page.evaluate(() => /The sheet is worked through/.test(document.body.innerText));
}

/** Works the sheet to its end, or so many steps of it. */
export async function workThrough(
  page: Page,
  seen: Readonly<Record<string, string>>,
  steps = Infinity,
): Promise<void> {
  for (let step = 0; step < steps && !(await isWorkedThrough(page)); step += 1) await workStep(page, seen);
}
