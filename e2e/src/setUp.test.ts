import type { Page } from 'puppeteer-core';
import { newVisitor, press, sees, typeInto, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';

const shed = openShed();

interface Line {
  readonly itemName: string;
  readonly limits: readonly { kind: string; at: number | null; on: string | null }[];
}

/** The schedule of a machine, as the API has it. */
async function linesOf(page: Page, tag: string): Promise<Line[]> {
  const machines = (await page.evaluate(() =>
    fetch('/api/machines').then((answer) => answer.json() as Promise<unknown>),
  )) as { tag: string; lines: Line[] }[];
  return machines.find((machine) => machine.tag === tag)?.lines ?? [];
}

describe('a crew lead who sets up', () => {
  it('enters a book as a chart by keyboard, registers a machine on it, and reads its tape', async () => {
    const { page, complaints } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood', '/books/new');

    // The book: two lines, marks by key, the rule in words beside each.
    await sees(page, 'A new service book');
    await typeInto(page, 'Book', 'Hobbin snow blower');
    await typeInto(page, 'Name of line 1', 'Engine oil');
    await typeInto(page, 'Done to: Engine oil', 'engine oil', 'combobox');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Tab');
    await sees(page, /steps, \d+ min; looks at the oil/);
    await page.focus('[data-row="0"][data-column="0"]');
    await page.keyboard.press('f');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('e');
    await sees(page, 'first at 25 h, then every 50 h');
    await page.keyboard.press('ArrowRight');
    await page.keyboard.press('e');
    // 100 is a multiple of 50: the rule stays.
    await sees(page, 'first at 25 h, then every 50 h');
    await press(page, 'Add a line');
    await typeInto(page, 'Name of line 2', 'Shear bolts');
    await page.focus('[data-row="1"][data-column="4"]');
    await page.keyboard.press('e');
    await sees(page, 'every year');
    expect(await violations(page)).toEqual([]);

    // A line without a component is refused at its place, and what was entered stays.
    await press(page, 'Save the book');
    await sees(page, 'Choose what it is done to, such as engine oil.');
    await typeInto(page, 'Done to: Shear bolts', 'shear', 'combobox');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Tab');
    await sees(page, 'One step: as its book says');
    await press(page, 'Save the book');
    await sees(page, 'Hobbin snow blower is saved.');

    // The machine, in under two minutes: by its form, with the power in the unit at hand.
    await page.goto(`${shed.yugator.address}/fleet/new`);
    await sees(page, 'Service books it follows');
    await typeInto(page, 'Tag', 'S-01');
    await typeInto(page, 'Name', 'Path blower');
    await typeInto(page, 'Engine power', 'strong');
    await typeInto(page, 'Shed', 'North shed');
    await press(page, 'Register');
    await sees(page, 'Give the engine power, such as 18 kW or 24 hp.');
    await typeInto(page, 'Engine power', '24 hp');
    const book = await page.waitForSelector(
      '::-p-aria([name="Hobbin snow blower (2 items)"][role="checkbox"])',
    );
    await book?.click();
    await press(page, 'Register');
    await sees(page, 'S-01 is registered.');
    await sees(page, 'Shear bolts');
    const lines = await linesOf(page, 'S-01');
    expect(lines.find(({ itemName }) => itemName === 'Engine oil')?.limits.map(({ at }) => at)).toEqual([25]);
    expect(await violations(page)).toEqual([]);

    // The flag of a lane tells why, by keyboard, and lets go again.
    const flag = await page.waitForSelector('button[aria-label^="Engine oil: in 25.0 h"]');
    await flag?.focus();
    await page.keyboard.press('Enter');
    await sees(page, '0 % of the interval is used up');
    await page.keyboard.press('Escape');
    expect(complaints.filter((line) => !line.includes('422'))).toEqual([]);
  });

  it('puts a machine on a season, and sees it laid up outside of it', async () => {
    const { page } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Marit Osgood', '/season');
    await sees(page, 'Add a season');
    await press(page, 'Add a season');
    await sees(page, 'Name the season in 1 to 30 letters, such as Mowing.');
    const names = await page.$$('input[name^="seasons."][name$=".name"]');
    await names.at(-1)?.type('Leap days');
    await press(page, 'Save the seasons');
    await sees(page, 'Seasons saved.');
    const first = await page.$$eval('section[aria-label]', (all) =>
      all.map((each) => each.getAttribute('aria-label')),
    );
    expect(first).toContain('Leap days');
    expect(await violations(page)).toEqual([]);
    // Its first day is typed by its parts, day first as in Britain.
    const [day] = await page.$$('section[aria-label="Leap days"] [role=spinbutton]');
    await day?.click();
    await page.keyboard.type('1504');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Save the seasons');
    await page.waitForFunction(async () => {
      const { seasons } = await (await fetch('/api/seasons')).json();
      return seasons.some(
        (each: { name: string; years: { firstDay: string }[] }) =>
          each.name === 'Leap days' && each.years[0]?.firstDay.endsWith('-04-15'),
      );
    });
  });

  it('pastes readings, is told line by line what will happen, and keeps nothing before it is said', async () => {
    const { page } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Dru Halloway', '/round');
    await sees(page, 'Paste readings');
    await press(page, 'Paste readings');
    await sees(page, 'Two columns, tag and hours');
    await page.type('textarea', 'T-03; 1\nX-99; 10\nT-04; 99999');
    await sees(page, 'Runs backwards');
    await sees(page, 'No meter of the fleet goes by "X-99".');
    await sees(page, 'Faster than the clock');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Take over 2 readings');
    await sees(page, '1 line cannot be read; correct or take them out.');
  });
});
