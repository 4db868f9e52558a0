import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { Key } from 'selenium-webdriver';
import { click, find, openBrowser, press, typeOver, waitFor, waitForText, type Browser } from './browser';
import { serveBench, type BenchServer } from './bench-server';

const AXE = readFileSync('node_modules/axe-core/axe.min.js', 'utf8');
const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa', 'best-practice'];

let demo: BenchServer;
let empty: BenchServer;
let browser: Browser;
beforeAll(async () => {
  [demo, empty] = [await serveBench('demo'), await serveBench('empty')];
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.quit();
  await Promise.all([demo.stop(), empty.stop()]);
});

interface Violation {
  readonly id: string;
  readonly nodes: readonly { readonly html: string; readonly failureSummary: string }[];
}

/** Returns what axe finds on the page; a page that is just being refreshed gets its title back first. */
async function findViolations(): Promise<string[]> {
  await waitFor(
    browser.driver,
    async () => (await browser.driver.getTitle()) !== '',
    'the page has no title',
  );
  await browser.driver.executeScript(AXE);
  const violations = await browser.driver.executeAsyncScript<Violation[]>(
    `const done = arguments[arguments.length - 1];
     axe.run(document, { runOnly: { type: 'tag', values: ${JSON.stringify(TAGS)} } }).then((result) => done(result.violations));`,
  );
  return violations.map(
    ({ id, nodes }) => `${id}: ${nodes[0].html.slice(0, 160)} ${nodes[0].failureSummary.slice(0, 200)}`,
  );
}

async function expectClean(where: string): Promise<void> {
  expect({ where, violations: await findViolations() }).toEqual({ where, violations: [] });
}

/** The page at one size in one theme. */
async function visit(server: BenchServer, path: string, theme: string, width: number): Promise<void> {
  await browser.resize(width, width === 390 ? 844 : 800);
  await browser.driver.manage().addCookie({ name: 'theme', value: theme });
  await browser.driver.get(server.address + path);
  await find(browser.driver, 'h1');
}

const VIEWS = [
  '/',
  '/jobs/8/need',
  '/jobs/8/need/sheet',
  '/jobs/7/need/sheet',
  '/jobs/8/fit',
  '/jobs/6/fit',
  '/jobs/9/check',
  '/jobs/3/measure',
  '/jobs/9/resin',
  '/shelf',
  '/shelf/9',
  '/shelf/blend',
  '/gauges?choice=hinge',
  '/jobs/8/run',
  '/runs/1',
  '/runs/2',
  '/jobs/5/measure',
  '/jobs/8/measure',
  '/jobs/5/correct',
  '/jobs/5/story',
  '/printers',
  '/printers/1',
  '/printers/1/light',
  '/printers/machine/1',
  '/printers/machine/2/log',
  // A failed print of the half year, with its cause.
  '/runs/8',
  '/house',
  '/house/causes',
  '/strips',
];
const LOOKS = [
  ['light', 1280],
  ['dark', 1280],
  ['light', 390],
  ['dark', 390],
] as const;

test.each(LOOKS)('every view, filled, %s at %d px', async (theme, width) => {
  await browser.driver.get(demo.address);
  for (const view of VIEWS) {
    await visit(demo, view, theme, width);
    await expectClean(`${view} ${theme} ${width}`);
    const scroll = await browser.driver.executeScript<number>('return document.documentElement.scrollWidth');
    expect({ view, scroll }).toEqual({ view, scroll: width });
  }
});

test.each(LOOKS)('every view, empty, %s at %d px', async (theme, width) => {
  await browser.driver.get(empty.address);
  for (const view of ['/', '/printers', '/shelf', '/house', '/nowhere']) {
    await visit(empty, view, theme, width);
    await expectClean(`${view} empty ${theme} ${width}`);
  }
});

test.each(LOOKS)('with a dialog, with an error, %s at %d px', async (theme, width) => {
  const { driver } = browser;
  await driver.get(demo.address);
  await visit(demo, '/jobs/8/need', theme, width);
  await click(driver, 'Add feature');
  await waitForText(driver, 'Feature');
  await click(driver, 'Add feature');
  await waitForText(driver, 'This field is empty.');
  await expectClean(`dialog with an error ${theme} ${width}`);
  // A job of which nothing is on a printer: its newest print stays the one that was read.
  await visit(demo, '/jobs/1/measure', theme, width);
  await find(driver, '#reading');
  await press(driver, '0.157', Key.ENTER);
  await waitForText(driver, 'Is it in inches?');
  await expectClean(`asked about ${theme} ${width}`);
  await click(driver, 'Measure again');
  await visit(demo, '/jobs/5/correct', theme, width);
  await click(driver, 'Start attempt 4');
  await waitForText(driver, 'enter the reason in one line. The program finds what changed, but not why.');
  await expectClean(`refused attempt ${theme} ${width}`);
  await visit(demo, '/jobs/8/fit', theme, width);
  await click(driver, 'Change fit for Collar outside');
  await waitForText(driver, 'Fit of');
  await typeOver(driver, '[name="lowMm"]', '0.2');
  await click(driver, 'Save fit');
  await waitForText(driver, 'the minimum clearance must be below the maximum. Negative means interference.');
  await expectClean(`refused wish ${theme} ${width}`);
  await press(driver, Key.ESCAPE);
  await click(driver, 'Find');
  await waitForText(driver, 'Find');
  await expectClean(`find ${theme} ${width}`);
});
