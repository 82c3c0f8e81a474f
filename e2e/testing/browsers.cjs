// A Chromium for each worker: a test file takes contexts of its own in it.
const puppeteer = require('puppeteer-core');

const ARGS = [
  ...['--no-sandbox', '--disable-gpu', '--disable-quic', '--no-first-run', '--disable-background-networking'],
  ...['--disable-component-update', '--disable-sync'],
];

/** Starts them, and leaves their addresses where test files find them, in order of the workers. */
exports.startBrowsers = async function startBrowsers(count) {
  const browsers = await Promise.all(
    Array.from({ length: count }, () =>
      // Without the windows that nobody sees: it takes half the time to start and to open a page.
      puppeteer.launch({
        executablePath: '/usr/bin/chromium-headless-shell',
        headless: 'shell',
        args: ARGS,
      }),
    ),
  );
  process.env.TEST_BROWSERS = JSON.stringify(browsers.map((browser) => browser.wsEndpoint()));
  return browsers;
};
