import type { Page } from 'puppeteer-core';
import { newVisitor, press, sees, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { read } from './work.js';
import { refusal } from './yugator.js';

interface JobOnWire {
  readonly machine: { readonly id: string };
  readonly items: readonly { readonly itemId: string; readonly name: string }[];
}

interface PlanOnWire {
  readonly today: string;
  readonly cards: readonly { readonly machineId: string; readonly itemIds: readonly string[] }[];
}

/** Proposes anew, publishes, opens the first card of a kind, and the job that it becomes. */
async function jobOf(page: Page, edge: 'lay-up' | 'wake-up'): Promise<JobOnWire> {
  await press(page, 'Propose again');
  await sees(page, 'Not published', 60_000);
  await press(page, 'Publish');
  await sees(page, /visits published/);
  const card = await page.waitForSelector(`::-p-xpath(//table//td//button[contains(., "${edge}")])`);
  await card?.evaluate((button) => (button as HTMLElement).click());
  await page.waitForSelector('[role=dialog]');
  expect(await page.$eval('[role=dialog]', ({ textContent }) => textContent)).toContain(`, ${edge}:`);
  expect(await violations(page)).toEqual([]);
  await press(page, 'Open the job');
  await sees(page, 'Fetch first');
  return read<JobOnWire>(page, `/api/jobs/${page.url().split('/').at(-1) ?? ''}`);
}

/** The job does what a card of its machine says. */
async function expectOfPlan(page: Page, job: JobOnWire): Promise<void> {
  const { cards } = await read<PlanOnWire>(page, '/api/season-plan?weeks=12');
  expect(
    cards.filter(({ machineId }) => machineId === job.machine.id).map(({ itemIds }) => itemIds.toSorted()),
  ).toContainEqual(job.items.map(({ itemId }) => itemId).toSorted());
}

describe('when the mowing season ends', () => {
  const shed = openShed('2027-11-08');

  it('machines are laid up: what belongs to it is planned together, and is one job', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood', '/season/plan');
    const job = await jobOf(page, 'lay-up');
    await expectOfPlan(page, job);
    expect((await read<PlanOnWire>(page, '/api/season-plan?weeks=12')).today).toBe('2027-11-08');
    // Common practice: a battery is not left alone through the winter.
    expect(job.items.map(({ name }) => name).join()).toMatch(/Battery/);
    expect(complaints).toEqual([]);
  });

  it('its records keep it from being shown on an earlier day', async () => {
    await shed.yugator.stop();
    expect(await refusal('--data', shed.yugator.data, '--demo-on', '2027-10-01')).toMatchObject({
      code: 1,
      output: expect.stringContaining('The demonstration has records until 2027-11-0'),
    });
  });
});

describe('before it begins', () => {
  const shed = openShed('2027-02-22');

  it('machines are woken up: what belongs to it is planned together, and is one job', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood', '/season/plan');
    const job = await jobOf(page, 'wake-up');
    await expectOfPlan(page, job);
    // Common practice: the battery is tried under load before the season.
    expect(job.items.map(({ name }) => name).join()).toMatch(/Battery/);
    expect(complaints).toEqual([]);
  });
});
