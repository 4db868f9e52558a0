import { beforeAll, expect, test } from '@jest/globals';
import type { Driver } from 'selenium-webdriver/chrome';
import { waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

/** Adds up how far visible elements have moved since a page began: area × distance as fractions of the window. */
const WATCH = `moved = 0; new PerformanceObserver((list) => list.getEntries().forEach(({ value }) => (moved += value)))
  .observe({ type: 'layout-shift', buffered: true });`;

beforeAll(async () => {
  const devtools = bench.browser.driver as Driver;
  await devtools.sendDevToolsCommand('Page.addScriptToEvaluateOnNewDocument', { source: WATCH });
  // As slow as an old tablet, so that a page comes piece by piece.
  await devtools.sendDevToolsCommand('Emulation.setCPUThrottlingRate', { rate: 4 });
});

test.each([
  ['/', 1280, 'All finished'],
  ['/', 390, 'All finished'],
  ['/jobs/5/measure', 1280, 'Save reading'],
  ['/jobs/5/correct', 1280, 'whole pixels'],
  ['/printers/machine/2/log', 390, 'Success rate'],
])('what is seen of %s at %d px stands still while the rest comes', async (view, width, last) => {
  const { browser, server } = bench;
  await browser.resize(width, 800);
  await browser.driver.get(server.address + view);
  await waitForText(browser.driver, last);
  await browser.driver.executeAsyncScript(
    'const done = arguments[0]; document.fonts.ready.then(() => requestAnimationFrame(() => requestAnimationFrame(() => done())))',
  );
  expect(await browser.driver.executeScript<number>('return moved')).toBeLessThan(0.02);
});
