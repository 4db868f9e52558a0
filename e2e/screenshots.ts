/** Takes the pictures in docs/screenshots from the demo bench: npm run screenshots (after a build). */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { Key } from 'selenium-webdriver';
import { click, find, openBrowser, press, typeOver, waitFor, waitForText } from './browser';
import { serveBench } from './bench-server';

const FOLDER = 'docs/screenshots';
const SETTLE_MS = 1500;

mkdirSync(FOLDER, { recursive: true });
const server = await serveBench('demo');
const browser = await openBrowser();
const { driver } = browser;

async function take(name: string): Promise<void> {
  await new Promise((resolve) => setTimeout(resolve, SETTLE_MS));
  await driver.executeScript('scrollTo(0, 0)');
  await browser.picture(path.join(FOLDER, `${name}.png`));
}

async function visit(address: string, name: string, width = 1280, height = 800): Promise<void> {
  await browser.resize(width, height);
  await driver.get(server.address + address);
  await find(driver, 'h1');
  await take(name);
}

async function readAll(): Promise<void> {
  for (let reading = 1; reading <= 9; reading++) {
    await press(driver, 'c');
    await waitFor(
      driver,
      async () =>
        (await driver.executeScript<number>('return document.querySelectorAll("[data-reading]").length')) >=
        reading,
      'a reading is not in',
    );
  }
}

await visit('/', 'today');
await waitForText(driver, 'All finished');
await take('today');
await visit('/jobs/8/need', 'need');
await find(driver, 'canvas');
await take('need');
await visit('/jobs/8/need/sheet', 'sheet');
await visit('/jobs/8/fit', 'fit');
await visit('/gauges?choice=hinge', 'gauges');
await waitForText(driver, 'mm high, closed');
await take('gauges');
await visit('/jobs/5/measure', 'measure-phone', 390, 844);
await browser.resize(1280, 800);
await driver.get(`${server.address}/jobs/8/measure`);
await click(driver, 'Start measuring');
await waitForText(driver, 'first of three');
await readAll();
await waitForText(driver, 'All sizes are measured');
await take('measure');
await driver.manage().addCookie({ name: 'theme', value: 'dark' });
await visit('/jobs/8/measure', 'measure-dark');
await driver.manage().addCookie({ name: 'theme', value: 'light' });
await visit('/jobs/8/correct', 'correct');
await typeOver(driver, '[name="reason"]', 'bore came out tight: edges grow');
await press(driver, Key.ENTER);
await click(driver, 'Print on the simulated printer');
await click(driver, 'Start measuring');
await waitForText(driver, 'first of three');
await readAll();
await waitForText(driver, 'All sizes are within limits.');
await visit('/jobs/8/run', 'run');
// It is measured already: the steps of the print stand behind its name.
await click(driver, 'print A');
await click(driver, 'Start, 10 min');
await waitForText(driver, 'left');
await take('run');
await visit('/jobs/5/story', 'story');
await visit('/printers/1', 'signature');
await visit('/printers/1/light', 'light');
await click(driver, 'Cure and measure five on the simulated printer');
await waitForText(driver, 'Penetration depth (Dp)');
await take('light');
await visit('/printers/machine/2/log', 'log');
await visit('/house', 'house');
await visit('/jobs/9/resin', 'resin');
await visit('/shelf', 'shelf');
await visit('/runs/2', 'plate');
await visit('/jobs/9/check', 'check');
await waitForText(driver, 'Continue to print');
await take('check');
await browser.quit();
await server.stop();
