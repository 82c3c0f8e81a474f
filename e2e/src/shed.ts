import type { Browser } from 'puppeteer-core';
import { launch } from './browser.js';
import { Yugator } from './yugator.js';

interface Shed {
  readonly yugator: Yugator;
  readonly browser: Browser;
}

/** A started Yugator with its demonstration and a browser, for all tests of a file; both are gone after them. */
export function openShed(): Shed {
  let yugator: Yugator;
  let browser: Browser;
  beforeAll(async () => {
    yugator = await Yugator.withDemonstration();
    await yugator.start();
    browser = await launch();
  });
  afterAll(async () => {
    await browser.close();
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
