// Brings the driver of the browser along, loaded once for all files of a worker: a file's own sandbox would load its hundreds of modules anew.
const { TestEnvironment } = require('jest-environment-node');
const puppeteer = require('puppeteer-core');

module.exports = class BrowserEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    this.global.puppeteer = puppeteer;
  }
};
