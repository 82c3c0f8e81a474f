import type { Page } from 'puppeteer-core';
import { DESK, newVisitor, OF_COLOURS, PHONE, POLL_MS, press, sees, violations } from './browser.js';
import { signIn } from './session.js';
import { openShed } from './shed.js';
import { read } from './work.js';

const shed = openShed();

async function idOf(page: Page, tag: string): Promise<string> {
  const machines = await read<{ id: string; tag: string }[]>(page, '/api/machines');
  return machines.find((machine) => machine.tag === tag)?.id ?? '';
}

async function bookOf(page: Page, name: string): Promise<string> {
  const books = await read<{ id: string; name: string }[]>(page, '/api/books');
  return books.find((book) => book.name === name)?.id ?? '';
}

/** Every screen with words that show that it has arrived: the screen before does not have them. */
async function screens(page: Page): Promise<[path: string, words: string][]> {
  const machine = await idOf(page, 'M-09');
  const book = await bookOf(page, 'Dunmallet front loader');
  return [
    ['/round', 'Round the sheds'],
    ['/fleet', '24 machines, by tag'],
    [`/fleet/${machine}`, 'h a week now'],
    [`/fleet/${machine}/milestones`, 'What this machine gets at a column'],
    [`/fleet/${machine}/spec`, 'Approved grades'],
    [`/fleet/${machine}/use`, 'The last 52 weeks'],
    [`/fleet/${machine}/fits`, 'Deck belt, zero-turn'],
    [`/fleet/${machine}/parts`, 'takes in the coming twelve months'],
    [`/fleet/${machine}/readings`, 'on a round'],
    [`/fleet/${machine}/record`, 'records?'],
    [`/fleet/${machine}/details`, 'Service books it follows|In service since'],
    ['/fleet/schedule', 'Schedule of the fleet'],
    ['/season', 'Winter work'],
    ['/season/plan', 'visits from today on|see the plan'],
    ['/season/what-if', 'Plan both|tries what would be'],
    ['/season/load', 'The same in figures|see the load'],
    ['/season/workshop', 'Every week|The crew lead says'],
    [`/books/${book}`, 'Dunmallet front loader'],
    ['/shelf', 'Oil change kit, V-twin'],
    ['/shelf/lists', 'Labels for the shelf|for mechanics and the crew lead'],
    ['/records', 'records, page 1'],
    ['/setup', 'Dunmallet compact tractor'],
    ['/setup/house-rules', 'Not offered'],
    ['/setup/audit', 'Signed in|for the crew lead'],
    ['/account', 'Where you are signed in'],
    ['/outbox', 'Nothing waits'],
    ['/help/schedule#in-storage', 'Charge the battery'],
    ['/help/forecast', 'weather that lasts'],
    [`/fleet/${machine}/visit`, 'a visit'],
    [`/fleet/${machine}/walk`, 'all is well until you say otherwise'],
    [`/fleet/${machine}/paper-log`, 'marked as from paper'],
    ['/defects', 'defects are open'],
    ['/m/T-02', 'From its card'],
    ['/bench/fill', 'Pour until'],
    ['/bench/viscosity', 'SAE J300'],
    ['/bench/units', '20.337'],
    ['/bench/no-start?turns=nothing&rest=12.6&load=9.2&celsius=21', 'A new battery'],
    ['/nowhere', 'There is no such page'],
    ['/', 'Nothing due within 30 days|Overdue'],
  ];
}

/** Leads to a screen from within the app, as a link on the screen before would; words that stand there too would show nothing. */
async function follow(page: Page, path: string, words: string): Promise<void> {
  expect([path, await page.evaluate(() => document.body.innerText)]).not.toEqual([
    path,
    expect.stringMatching(words),
  ]);
  await page.evaluate((to) => {
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate'));
  }, path);
}

/** Has the device wish for light or dark, and waits until the page is so. */
async function inScheme(page: Page, scheme: 'light' | 'dark'): Promise<void> {
  const ground = () => page.evaluate(() => getComputedStyle(document.body).backgroundColor);
  const before = await ground();
  await page.emulateMediaFeatures([
    { name: 'prefers-reduced-motion', value: 'reduce' },
    { name: 'prefers-color-scheme', value: scheme },
  ]);
  await page.waitForFunction(
    (other) => getComputedStyle(document.body).backgroundColor !== other,
    { polling: POLL_MS },
    before,
  );
}

describe.each([
  ['desk, in the light and in the dark,', DESK, 'by its address'],
  ['phone', PHONE, 'from the one before'],
])('on the %s every screen', (_where, viewport, how) => {
  it(`arrives ${how}, fits, has one heading, and passes WCAG 2.2 AA`, async () => {
    const isAtDesk = viewport === DESK;
    const { page, complaints } = await newVisitor(shed.browser, viewport);
    await signIn(page, shed.yugator.address, 'Marit Osgood');
    for (const [path, words] of await screens(page)) {
      if (isAtDesk) await page.goto(shed.yugator.address + path);
      else await follow(page, path, words);
      await sees(page, new RegExp(words));
      await page.waitForSelector('h1');
      const facts = await page.evaluate(() => ({
        // A phone's window grows with what overflows it; the page's own width does not.
        overflow: document.documentElement.scrollWidth - document.documentElement.clientWidth,
        headings: document.querySelectorAll('h1').length,
      }));
      expect([path, facts.overflow > 0, facts.headings]).toEqual([path, false, 1]);
      expect([path, await violations(page)]).toEqual([path, []]);
      if (!isAtDesk) continue;
      // In the dark the colours alone are others.
      await inScheme(page, 'dark');
      expect([path, await violations(page, OF_COLOURS)]).toEqual([path, []]);
      await inScheme(page, 'light');
    }
    expect(complaints).toEqual([]);
  });
});

describe('a viewer', () => {
  it('is shown no act that the role does not include', async () => {
    const { page } = await newVisitor(shed.browser);
    await signIn(page, shed.yugator.address, 'Parks office');
    const acts =
      /Open the job|Compose a visit|Register|Came in|Count$|Void|Change|Add somebody|Enter hours|Keep|Say when|New article/;
    for (const [path, words] of await screens(page)) {
      await follow(page, path, words);
      await sees(page, new RegExp(words));
      const buttons = await page.$$eval('main button, main a', (all) => all.map((each) => each.textContent));
      expect([path, buttons.filter((word) => acts.test(word ?? ''))]).toEqual([path, []]);
    }
  });
});

describe('the connection', () => {
  it('lost in the middle of a round keeps every figure, and sends it by itself when it is back', async () => {
    const { page } = await newVisitor(shed.browser, PHONE);
    await signIn(page, shed.yugator.address, 'Dru Halloway', '/round');
    await sees(page, 'Round the sheds');
    const id = await idOf(page, 'U-02');
    const shown = await read<{ lastShown: number }>(page, `/api/machines/${id}`);
    await page.type(`#reading-${id}`, String(shown.lastShown + 1));
    await page.setOfflineMode(true);
    await page.click('button[type=submit]');
    await sees(page, '1 waiting to be sent');
    expect(await page.$eval(`#reading-${id}`, (field) => (field as HTMLInputElement).value)).toBe('');
    await page.setOfflineMode(false);
    await page.waitForFunction(() => !/waiting to be sent/.test(document.body.innerText), {
      timeout: 60_000,
      polling: 200,
    });
    const after = await read<{ lastShown: number }>(page, `/api/machines/${id}`);
    expect(after.lastShown).toBe(shown.lastShown + 1);
  });
});

describe('signing out', () => {
  it('leads to the door, and the way back in leads to where one was heading', async () => {
    const { page } = await newVisitor(shed.browser);
    await page.goto(`${shed.yugator.address}/shelf`);
    await page.waitForSelector('input[name=name]');
    await page.type('input[name=name]', 'Ansel Pike');
    await page.type('input[name=password]', 'wrong password');
    await page.keyboard.press('Enter');
    await sees(page, 'Name and password do not go together');
    await page.$eval('input[name=password]', (field) => (field as HTMLInputElement).select());
    await page.type('input[name=password]', 'larkmere-shed');
    await page.keyboard.press('Enter');
    await sees(page, 'Oil change kit, V-twin');
    await press(page, 'Ansel Pike');
    const out = await page.waitForSelector('::-p-aria([name="Sign out"][role="menuitem"])');
    await out?.click();
    await sees(page, 'Sign in');
    await page.goto(`${shed.yugator.address}/shelf`);
    await page.waitForSelector('input[name=password]');
  });
});
