import type { Browser } from 'puppeteer-core';
import { browserOfWorker, leaveBrowser } from './browser.js';
import { Yugator } from './yugator.js';

interface Shed {
  readonly yugator: Yugator;
  readonly browser: Browser;
}

/** A started Yugator with its demonstration, of today or of another day, and a browser, for all tests of a block; both are gone after them. */
export function openShed(day?: string): Shed {
  let yugator: Yugator;
  let browser: Browser;
  beforeAll(async () => {
    yugator = await (day ? Yugator.on(day) : Yugator.withDemonstration());
    await yugator.start();
    browser = await browserOfWorker();
  });
  afterAll(async () => {
    await leaveBrowser(browser);
    await yugator.remove();
  });
  return {
    get yugator() {
      return yugator;
    },
    get browser() {
      return browser;
    },
  };
}
