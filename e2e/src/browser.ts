import { readFileSync } from 'node:fs';
import type { Browser, ElementHandle, Page, PuppeteerNode } from 'puppeteer-core';

/** Brought along by testing/environment.cjs. */
declare const puppeteer: PuppeteerNode;

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** A page that is as it should be shows it at once; on a machine that others keep busy, when its turn comes. */
export const PATIENCE_MS = 60_000;

/** How often a page is asked for its text. At every frame, as is usual, the asking would take most of its time. */
export const POLL_MS = 50;

export const DESK = { width: 1280, height: 800 };
export const PHONE = { width: 390, height: 844, isMobile: true, hasTouch: true };

/** The browser of this worker, see testing/browsers.cjs. */
export function browserOfWorker(): Promise<Browser> {
  const addresses = JSON.parse(process.env['TEST_BROWSERS'] ?? '[]') as string[];
  return puppeteer.connect({ browserWSEndpoint: addresses[Number(process.env['JEST_WORKER_ID']) - 1] });
}

/** Closes what was opened in it, and leaves it to the next file. */
export async function leaveBrowser(browser: Browser): Promise<void> {
  const own = browser.browserContexts().filter((context) => context !== browser.defaultBrowserContext());
  await Promise.all(own.map((context) => context.close()));
  await browser.disconnect();
}

interface Device {
  /** Whether it keeps the application for where there is no signal: to fetch all of it takes as long as many a test. */
  readonly isKeeping?: boolean;
}

/** A page in a context of its own (another person's browser). What goes wrong on it is collected in `complaints`. */
export async function newVisitor(
  browser: Browser,
  viewport = DESK,
  { isKeeping = false }: Device = {},
): Promise<{ page: Page; complaints: string[] }> {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  if (!isKeeping) {
    await page.evaluateOnNewDocument(() => {
      ServiceWorkerContainer.prototype.register = () => new Promise(() => {});
    });
  }
  page.setDefaultTimeout(PATIENCE_MS);
  await page.setViewport(viewport);
  // Colours are judged at rest, not half-way between two states.
  await page.emulateMediaFeatures([{ name: 'prefers-reduced-motion', value: 'reduce' }]);
  const complaints: string[] = [];
  // Refused requests are part of the tests; anything else on the console is a fault.
  page.on('console', (message) => {
    if (message.type() === 'error' && !message.text().startsWith('Failed to load resource'))
      complaints.push(message.text());
  });
  page.on('pageerror', (error) => complaints.push(String(error)));
  return { page, complaints };
}

/** Waits until the page shows `text`. */
export async function sees(page: Page, text: string | RegExp, timeout = PATIENCE_MS): Promise<void> {
  const source = text instanceof RegExp ? text.source : text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
  try {
    await page.waitForFunction(
      (pattern: string) => new RegExp(pattern).test(document.body.innerText),
      { timeout, polling: POLL_MS },
      source,
    );
  } catch (error) {
    const shown = await page.evaluate(() => document.body.innerText);
    throw new Error(`The page never showed ${String(text)}. It shows:\n${shown.slice(0, 3000)}`, {
      cause: error,
    });
  }
}

/** Clicks the button or link that is called `name`. */
export async function press(page: Page, name: string): Promise<void> {
  const named = ['button', 'link'].map((role) => `::-p-aria([name="${name}"][role="${role}"])`).join(', ');
  const found = await page.waitForSelector(named, { timeout: PATIENCE_MS });
  await found?.evaluate(async (element, pause) => {
    const isOnTop = ({ left, top, width, height }: DOMRect) =>
      element.contains(document.elementFromPoint(left + width / 2, top + height / 2));
    // Clear of what is fixed to the foot of a phone; still, as what arrives above it moves it away from under the click; and not beneath a
    // menu that is about to go.
    let before = NaN;
    for (let looks = 0; looks < 40; looks += 1) {
      element.scrollIntoView({ block: 'center' });
      const box = element.getBoundingClientRect();
      if (box.top === before && isOnTop(box)) return;
      before = box.top;
      await new Promise((passed) => setTimeout(passed, pause));
    }
  }, POLL_MS);
  await found?.click();
}

export async function typeInto(page: Page, label: string, text: string, role = 'textbox'): Promise<void> {
  const field = await page.waitForSelector(`::-p-aria([name="${label}"][role="${role}"])`);
  await field?.focus();
  await page.keyboard.down('Control');
  await page.keyboard.press('a');
  await page.keyboard.up('Control');
  await page.keyboard.type(text);
}

/** Opens a list and chooses from it; waits until the list is gone, which would take the next click for itself. */
export async function choose(page: Page, label: string, option: string): Promise<void> {
  await page.locator(`::-p-aria([name="${label}"][role="combobox"])`).click();
  await page.locator(`[role=option] ::-p-text(${option})`).click();
  await page.waitForFunction(() => !document.querySelector('[role=listbox]'), { polling: POLL_MS });
}

/** The checkbox whose label says `text`. */
export async function checkbox(page: Page, text: string): Promise<ElementHandle<HTMLInputElement>> {
  const labelled = `[ancestor::label[contains(., "${text}")] or @id = //label[contains(., "${text}")]/@for]`;
  const found = await page.waitForSelector(`::-p-xpath(//input[@type="checkbox"]${labelled})`, {
    timeout: PATIENCE_MS,
  });
  if (!found) throw new Error(`There is no checkbox for "${text}".`);
  return found as ElementHandle<HTMLInputElement>;
}

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string; readonly failureSummary?: string }[];
}

const WCAG = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];
/** What of it hangs on colours. */
export const OF_COLOURS = ['color-contrast', 'link-in-text-block'];

/** What WCAG 2.2 A and AA, or the rules that are named, find wrong with the page. */
export async function violations(page: Page, rules = WCAG): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const found = await page.evaluate(async (runOnly) => {
    const { axe } = window as unknown as {
      axe: { run(options: object): Promise<{ violations: Violation[] }> };
    };
    // No rule of these reads style sheets; to read them all over again first would take a third of the time.
    const preload = { assets: ['media'] };
    const result = await axe.run({ runOnly, preload, resultTypes: ['violations'] });
    return result.violations;
  }, rules);
  return found.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .slice(0, 3)
        .map((node) => `${node.html} ${node.failureSummary}`)
        .join(' | ')}`,
  );
}
