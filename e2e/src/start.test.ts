import { execFileSync, spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join, resolve } from 'node:path';
import { gzipSync } from 'node:zlib';
import type { Browser } from 'puppeteer-core';
import {
  browserOfWorker,
  checkbox,
  leaveBrowser,
  newVisitor,
  PHONE,
  press,
  sees,
  violations,
} from './browser.js';
import { freePort, refusal, Yugator } from './yugator.js';

let yugator: Yugator;
let browser: Browser;
beforeAll(async () => {
  yugator = await Yugator.empty();
  await yugator.start();
  browser = await browserOfWorker();
});
afterAll(async () => {
  await leaveBrowser(browser);
  await yugator.remove();
});

const REACHED_FIRST = 300 * 1024;

describe('an empty Yugator', () => {
  it('makes its first visitor crew lead, who registers the first machine on a phone', async () => {
    const { page, complaints } = await newVisitor(browser, PHONE);
    await page.goto(`${yugator.address}/sign-in#set-up=${yugator.setUpCode}`);
    await sees(page, 'Whose machines are these?');
    await press(page, 'Begin');
    await sees(page, 'Name the site with 2 to 80 letters.');
    await page.type('input[name=siteName]', 'Hillside');
    await page.type('input[name=name]', 'Tamsin Vale');
    await page.type('input[name=password]', 'too short');
    await press(page, 'Begin');
    await sees(page, 'Give a password of 12 to 200 characters');
    expect(await page.$eval('input[name=siteName]', (field) => (field as HTMLInputElement).value)).toBe(
      'Hillside',
    );
    await page.type('input[name=password]', ', now long');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Begin');
    await sees(page, 'There is no machine in the fleet yet.');
    expect(await violations(page)).toEqual([]);
    await press(page, 'Register the first machine');
    await sees(page, 'Service books it follows');
    await press(page, 'Register');
    await sees(page, 'Give the tag as it stands on the machine');
    await page.type('input[name=tag]', 'R-1');
    await page.type('input[name=name]', 'Front lawn');
    await page.type('input[name=shed]', 'Barn');
    await (await checkbox(page, 'Quillon riding mower')).click();
    await press(page, 'Register');
    await sees(page, 'R-1 is registered.');
    await sees(page, 'Engine oil and filter');
    expect(
      await page.evaluate(() => document.documentElement.scrollWidth - window.innerWidth),
    ).toBeLessThanOrEqual(0);
    expect(complaints).toEqual([]);
  });
});

describe('./start', () => {
  it('takes what the build kept of its code, and does without where that is broken', () => {
    const cwd = resolve(__dirname, '..', '..');
    const folder = mkdtempSync(join(tmpdir(), 'yugator-code-'));
    const half = join(folder, 'half');
    const whole = join(cwd, 'server', 'dist', 'whole', 'start.cjs.code');
    writeFileSync(half, readFileSync(whole).subarray(0, 1_000_000));
    const usage = `const { load } = require('./scripts/wholeServer.cjs');
      const { script, run } = load(process.argv[1]);
      console.log('refused:', script.cachedDataRejected);
      process.argv = [...process.argv.slice(0, 2), '--help'];
      run();`;
    const said = (code: string) =>
      execFileSync(process.execPath, ['-e', usage, code], { cwd, encoding: 'utf8' });
    expect(said(whole)).toMatch(/^refused: false\nUsage: \.\/start/);
    expect(said(half)).toMatch(/^refused: true\nUsage: \.\/start/);
    rmSync(folder, { recursive: true });
  });

  it('says in one sentence what is in its way, and ends with a failure', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'yugator-refused-'));
    const taken = createServer();
    await new Promise<void>((ready) => taken.listen(0, '127.0.0.1', ready));
    const address = taken.address();
    const busy = String(typeof address === 'object' && address ? address.port : 0);
    try {
      expect(await refusal('--data', folder, '--port', busy)).toMatchObject({
        code: 1,
        output: expect.stringContaining(`Port ${busy} is busy.`),
      });
      expect(await refusal('--data', yugator.data, '--port', '1')).toMatchObject({
        code: 1,
        output: expect.stringContaining(`already runs on ${yugator.data}, at ${yugator.address}`),
      });
      expect(await refusal('--data', '/dev/null/data')).toMatchObject({
        code: 1,
        output: expect.stringContaining('Give another with --data'),
      });
      expect(
        await refusal('--data', folder, '--port', String(await freePort()), '--reset-demo'),
      ).toMatchObject({
        code: 1,
        output: expect.stringContaining('Add --yes'),
      });
      expect(await refusal('--wrong')).toMatchObject({
        code: 1,
        output: expect.stringContaining('Usage: ./start'),
      });
    } finally {
      taken.close();
      rmSync(folder, { recursive: true, force: true });
    }
  });
});

describe('the address', () => {
  it('serves health, a whole OpenAPI document, and a page to browse it', async () => {
    expect(await (await fetch(`${yugator.address}/api/health`)).json()).toEqual({ status: 'ok' });
    expect((await fetch(`${yugator.address}/api/openapi.json`)).status).toBe(401);
    const signedIn = await fetch(`${yugator.address}/api/session`, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ name: 'Tamsin Vale', password: 'too short, now long' }),
    });
    const headers = { cookie: signedIn.headers.get('set-cookie')?.split(';')[0] ?? '' };
    const document = (await (await fetch(`${yugator.address}/api/openapi.json`, { headers })).json()) as {
      paths: Record<string, unknown>;
      components: {
        schemas: Record<string, { properties?: Record<string, { maximum?: number; nullable?: boolean }> }>;
      };
    };
    expect(Object.keys(document.paths)).toEqual(
      expect.arrayContaining(['/api/today', '/api/round', '/api/jobs/{id}/sign-off']),
    );
    expect(document.components.schemas['RoundReadingDto']?.properties).toHaveProperty('shown');
    expect(document.components.schemas['SignOffDto']?.properties?.['minutes']?.maximum).toBe(6000);
    expect(document.components.schemas['LimitDto']?.properties?.['at']?.nullable).toBe(true);
    expect((await fetch(`${yugator.address}/api/docs`, { headers })).status).toBe(200);
    expect((await fetch(`${yugator.address}/api/docs`)).status).toBe(401);
  });

  it('sends a content security policy that lets in nothing foreign', async () => {
    const page = await fetch(`${yugator.address}/fleet/deep/link`, { headers: { accept: 'text/html' } });
    expect(page.status).toBe(200);
    const policy = page.headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(policy).not.toMatch(/unsafe-inline|unsafe-eval|\*|https?:/);
    const nonce = /style-src 'self' 'nonce-(\w+)'/.exec(policy)?.[1];
    expect(await page.text()).toContain(`content="${nonce}"`);
  });

  it('keeps scripts for good, compressed, and has nothing where none is nor outside of them', async () => {
    const assets = resolve(__dirname, '..', '..', 'web', 'dist', 'assets');
    const at = (name: string) =>
      fetch(`${yugator.address}/assets/${name}`, {
        headers: { accept: 'text/html', 'accept-encoding': 'br' },
      });
    const script = readdirSync(assets).find((name) => /^planWorker-.*\.js$/.test(name)) ?? '';
    const { status, headers } = await at(script);
    expect([status, headers.get('content-encoding')]).toEqual([200, 'br']);
    expect(headers.get('cache-control')).toBe('public, max-age=31536000, immutable');
    expect(headers.get('content-security-policy')).toContain("'wasm-unsafe-eval'");
    for (const name of ['index-of-yesterday.js', '..%2f..%2f..%2fpackage.json', '..%2findex.html'])
      expect([name, (await at(name)).status]).toEqual([name, 404]);
  });
});

describe('the first load', () => {
  it('of Today stays within 300 kB of JavaScript, gzipped', async () => {
    const { page } = await newVisitor(browser);
    const loaded = new Set<string>();
    page.on('response', (response) => {
      if (response.url().endsWith('.js')) loaded.add(new URL(response.url()).pathname);
    });
    await page.goto(yugator.address);
    await page.waitForSelector('input[name=name]');
    await page.type('input[name=name]', 'Tamsin Vale');
    await page.type('input[name=password]', 'too short, now long');
    await page.keyboard.press('Enter');
    await page.waitForSelector('nav');
    await sees(page, /Nothing is overdue|overdue/);
    const dist = resolve(__dirname, '..', '..', 'web', 'dist');
    const bytes = [...loaded].reduce((sum, path) => sum + gzipSync(readFileSync(join(dist, path))).length, 0);
    expect(loaded.size).toBeGreaterThan(1);
    expect(bytes).toBeLessThanOrEqual(REACHED_FIRST);
    expect(readdirSync(join(dist, 'assets')).filter((name) => name.endsWith('.js')).length).toBeGreaterThan(
      10,
    );
  });

  it('of every route and every tab of a machine as well, by all that it needs before it can be read', () => {
    const root = resolve(__dirname, '..', '..');
    const { status, stdout } = spawnSync(process.execPath, ['scripts/benchLoads.mjs'], {
      cwd: root,
      encoding: 'utf8',
    });
    expect(stdout.match(/first load of/g)?.length).toBeGreaterThan(40);
    expect([status, stdout.split('\n').filter((row) => Number(/(\d+) kB/.exec(row)?.[1]) > 300)]).toEqual([
      0,
      [],
    ]);
  });
});
