import type { Page } from 'puppeteer-core';

/** What everybody of the demonstration signs in with. */
const PASSWORD = 'larkmere-shed';

/** Signs in as a program would. Returns the cookies that were set: name and value. */
export async function newSession(address: string, name: string): Promise<[name: string, value: string][]> {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, password: PASSWORD }),
  });
  if (!answer.ok) throw new Error(`${name} is not let in: ${answer.status} ${await answer.text()}`);
  return answer.headers.getSetCookie().map((cookie) => {
    const [pair = ''] = cookie.split(';');
    const at = pair.indexOf('=');
    return [pair.slice(0, at), pair.slice(at + 1)];
  });
}

/** The same as the header of a request. */
export async function newCookie(address: string, name: string): Promise<string> {
  return (await newSession(address, name)).map((pair) => pair.join('=')).join('; ');
}

/** Opens a page as somebody who is signed in: the form, which takes its time, is what other tests are about. */
export async function signIn(page: Page, address: string, name: string, path = '/'): Promise<void> {
  const { hostname: domain } = new URL(address);
  const cookies = await newSession(address, name);
  await page
    .browserContext()
    .setCookie(...cookies.map(([each, value]) => ({ name: each, value, domain, path: '/' })));
  await page.goto(address + path);
  await page.waitForSelector('nav');
}

/** Signs in by the form, as a person does. */
export async function signInByForm(page: Page, address: string, name: string): Promise<void> {
  await page.goto(`${address}/sign-in`);
  await page.waitForSelector('input[name=name]');
  await page.type('input[name=name]', name);
  await page.type('input[name=password]', PASSWORD);
  await page.keyboard.press('Enter');
  await page.waitForSelector('nav');
}
