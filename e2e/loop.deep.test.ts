import { afterAll, afterEach, beforeAll, expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { checkMesh, readStl, weldCorners } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { click, find, openBrowser, press, typeOver, waitFor, waitForText, type Browser } from './browser';
import { serveBench, type BenchServer } from './bench-server';

let server: BenchServer;
let browser: Browser;
beforeAll(async () => {
  browser = await openBrowser();
});
afterEach(async () => server.stop());
afterAll(async () => browser.quit());

/** How many readings the page shows, so that the next reading starts after the last one arrived. */
async function countReadings(): Promise<number> {
  return browser.driver.executeScript<number>('return document.querySelectorAll("[data-reading]").length');
}

async function readNine(closeJaws: () => Promise<void>): Promise<void> {
  for (let reading = 1; reading <= 9; reading++) {
    await closeJaws();
    await waitFor(
      browser.driver,
      async () => (await countReadings()) >= reading,
      `reading ${reading} is not in`,
    );
  }
}

async function waitForDownload(): Promise<string> {
  let found: string | undefined;
  await waitFor(
    browser.driver,
    async () => {
      found = readdirSync(browser.downloads).find((name) => name.endsWith('.stl'));
      return found !== undefined;
    },
    'nothing was downloaded',
  );
  return path.join(browser.downloads, found!);
}

test('by mouse: measure, learn, draw, download, print, measure again, read the story', async () => {
  server = await serveBench('demo');
  const { driver } = browser;
  await driver.get(server.address);
  await click(driver, 'Float-wheel bushing');
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await readNine(() => click(driver, 'Close the jaws of the simulated caliper'));
  await waitForText(driver, 'All sizes are measured');
  const verdicts = await driver.findElement(By.css('main')).getText();
  expect(verdicts).toMatch(/out, 0\.\d\d under/);
  await click(driver, 'Correct the sizes');
  await waitForText(driver, 'New drawn sizes');
  await waitForText(driver, 'measured');

  await click(driver, 'Part with these sizes, STL');
  const check = checkMesh(weldCorners(expectOk(readStl(readFileSync(await waitForDownload()))).corners));
  const drawn = await (
    await find(driver, '//tr[th[contains(., "Collar outside")]]//button//span[contains(@class, "num")]')
  ).getText();
  expect(check.watertight).toBe(true);
  expect(check.bounds.max[0] - check.bounds.min[0]).toBeCloseTo(Number(drawn), 3);

  await typeOver(driver, '[name="reason"]', 'bore tight: edges grow');
  await click(driver, 'Start attempt 2');
  await click(driver, 'Print on the simulated printer');
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await readNine(() => click(driver, 'Close the jaws of the simulated caliper'));
  await waitForText(driver, 'All sizes are within limits.');
  await click(driver, 'View history');
  await waitForText(driver, 'Changes');
  const story = await driver.findElement(By.css('main')).getText();
  expect(story).toContain('bore tight: edges grow');
  expect(story).toContain('out: Sleeve bore');
  expect(story).toContain('all in limits');
  expect(story).toContain('9.558 → ');
  expect(await browser.errors()).toEqual([]);
});

interface Focus {
  readonly label: string;
  readonly visible: boolean;
}

/** What holds the focus, and whether its outline can be seen. */
async function focus(): Promise<Focus> {
  return browser.driver.executeScript<Focus>(`
    const element = document.activeElement;
    const style = getComputedStyle(element);
    const box = element.getBoundingClientRect();
    const label = element.getAttribute('aria-label') ?? (element.labels && element.labels[0] ? element.labels[0].innerText : element.innerText) ?? '';
    return {
      label: label.trim(),
      visible: style.outlineStyle !== 'none' && parseFloat(style.outlineWidth) >= 2 && box.width > 0 && box.bottom > 0 && box.top < innerHeight,
    };
  `);
}

/** Tabs on until this holds the focus; the focus must be seen at every step. */
async function tabTo(label: string): Promise<void> {
  for (let step = 0; step < 60; step++) {
    const now = await focus();
    if (now.label.startsWith(label)) {
      await waitFor(browser.driver, async () => (await focus()).visible, `“${label}” is not seen`);
      return;
    }
    await press(browser.driver, Key.TAB);
    const next = await focus();
    // A list that is longer than the window comes along a moment after the focus.
    if (next.label !== '' && !next.visible)
      await waitFor(
        browser.driver,
        async () => (await focus()).visible,
        `the focus on “${next.label}” is not seen`,
      );
  }
  throw new Error(`Tab never came to “${label}”`);
}

async function openSession(): Promise<void> {
  await waitForText(browser.driver, 'Before the first reading');
  await tabTo('Start measuring');
  await press(browser.driver, Key.ENTER);
  await waitForText(browser.driver, 'first of three');
  await waitFor(
    browser.driver,
    async () => (await focus()).label.startsWith('Reading'),
    'the field is not armed',
  );
}

test('by keys alone, from page load to the story', async () => {
  server = await serveBench('demo');
  const { driver } = browser;
  await driver.get(server.address);
  // A font that comes late moves everything a little.
  await driver.executeScript('return document.fonts.ready.then(() => true)');
  await tabTo('Float-wheel bushing');
  await press(browser.driver, Key.ENTER);
  await openSession();
  await readNine(() => press(browser.driver, 'c'));
  await waitForText(driver, 'All sizes are measured');
  await press(browser.driver, Key.PAGE_DOWN);
  await waitForText(driver, 'New drawn sizes');
  await tabTo('Reason');
  await press(browser.driver, 'edges grow', Key.ENTER);
  await waitForText(driver, 'ready to print');
  await tabTo('Print on the simulated printer');
  await press(browser.driver, Key.ENTER);
  await openSession();
  await readNine(() => press(browser.driver, 'c'));
  await waitForText(driver, 'All sizes are within limits.');
  await press(browser.driver, 'g', '8');
  await waitForText(driver, 'Changes');
  expect(await driver.findElement(By.css('main')).getText()).toContain('all in limits');

  await press(browser.driver, '?');
  await waitForText(driver, 'Keyboard shortcuts');
  await press(browser.driver, Key.ESCAPE);
  await press(browser.driver, '/');
  await waitForText(driver, 'Find');
  await press(browser.driver, 'slate');
  await waitForText(driver, 'Slate with a quarter Kelp');
  await press(browser.driver, Key.ENTER);
  await waitForText(driver, 'Effect on drawn sizes');
});
