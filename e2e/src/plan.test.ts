import type { Page } from 'puppeteer-core';
import { choose, newVisitor, press, sees, signIn, violations } from './browser.js';
import { openShed } from './shed.js';
import { read } from './work.js';

const shed = openShed();

interface PlanOnWire {
  readonly version: number;
  readonly cards: readonly {
    readonly machineId: string;
    readonly on: string;
    readonly itemIds: readonly string[];
    readonly isLocked: boolean;
  }[];
}

/** Notes how long the page is held up at a time, in milliseconds. */
async function watchTasks(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const longest = { ms: 0 };
    Object.assign(window, { longest });
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) longest.ms = Math.max(longest.ms, duration);
    }).observe({ type: 'longtask' });
  });
  return () => page.evaluate(() => (window as unknown as { longest: { ms: number } }).longest.ms);
}

/** Presses the first card that lies on the wall. */
async function openFirstCard(page: Page): Promise<void> {
  await page.locator('table td button').click();
  await page.waitForSelector('[role=dialog]');
}

describe('the plan of visits', () => {
  it('is proposed while the page stays quick, a card is locked, and it is published and opened as a job', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood');
    await page.goto(`${shed.yugator.address}/season`);
    await press(page, 'Visits planned');
    await sees(page, 'No plan is published yet.');
    expect(await violations(page)).toEqual([]);
    const longest = await watchTasks(page);
    await press(page, 'Propose a plan');
    await sees(page, 'Not published', 40_000);
    await sees(page, /no plan is (better|more than)/);
    // A task of the browser itself may take longer now and then; the planner's would take seconds.
    expect(await longest()).toBeLessThan(200);
    expect(await violations(page)).toEqual([]);
    await openFirstCard(page);
    expect(await violations(page)).toEqual([]);
    await press(page, 'Lock on this day');
    await press(page, 'Publish');
    await sees(page, /visits published/);
    const { cards } = await read<PlanOnWire>(page, '/api/season-plan?weeks=12');
    expect(cards.length).toBeGreaterThan(5);
    expect(cards.filter(({ isLocked }) => isLocked)).toHaveLength(1);
    // What is locked stays where it is, whatever is proposed.
    await press(page, 'Propose again');
    await sees(page, 'Not published', 40_000);
    await sees(page, /kept/);
    await press(page, 'Put it away');
    await openFirstCard(page);
    await press(page, 'Open the job');
    await sees(page, 'Fetch first');
    const id = page.url().split('/').at(-1) ?? '';
    const job = await read<{ machine: { id: string }; items: { itemId: string }[] }>(page, `/api/jobs/${id}`);
    const card = cards.find(({ machineId }) => machineId === job.machine.id);
    expect(job.items.map(({ itemId }) => itemId).toSorted()).toEqual([...(card?.itemIds ?? [])].toSorted());
    expect(complaints).toEqual([]);
  });

  it('is a list of days on a phone', async () => {
    const { page } = await newVisitor(shed.browser);
    await page.setViewport({ width: 390, height: 844, hasTouch: true, isMobile: true });
    await signIn(page, shed.yugator.address, 'Ansel Pike');
    await page.goto(`${shed.yugator.address}/season/plan`);
    await sees(page, /visits from today on/);
    await page.waitForSelector('ol > li > h2');
    const wide = await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth);
    expect(wide).toBeLessThanOrEqual(0);
    expect(await violations(page)).toEqual([]);
  });

  it('follows the days on which the workshop is open', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood');
    await page.goto(`${shed.yugator.address}/season/workshop`);
    const field = await page.waitForSelector('::-p-aria([name="Minutes of all hands on Wednesday"])');
    await field?.click({ count: 3 });
    await field?.type('300');
    const bays = await page.waitForSelector('::-p-aria([name="Machines that find room on Wednesday"])');
    await bays?.click({ count: 3 });
    await bays?.type('2');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Save the days');
    await sees(page, 'The days of the workshop are saved.');
    await press(page, 'Visits planned');
    await sees(page, /0 of 300/);
    await choose(page, 'Shown', 'twelve weeks');
    await page.waitForFunction(() => document.querySelectorAll('thead th').length === 13);
    expect(complaints).toEqual([]);
  });
});
