import { expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import { click, find, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();

test('strips to a curve, by hand and on the simulated printer; another unit is refused, a slip taken back', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers/1`);
  await click(driver, 'Exposure strips and bracket');
  await waitForText(
    driver,
    'Two strips at different exposures give a curve, five give a good one. Until then, the penetration depth in',
  );
  await typeOver(driver, '[name=exposure]', '1.9');
  await typeOver(driver, '[name=depthMm]', '0.25');
  await press(driver, Key.ENTER);
  await waitForText(
    driver,
    'all strips had the same exposure. A curve needs at least two: cure another strip at 1.5 times the exposure.',
  );
  await click(driver, 'Cure and measure five on the simulated printer');
  await waitForText(driver, 'Penetration depth (Dp)');
  expect((await driver.findElements(By.css('[aria-labelledby=strips-title] table tbody tr'))).length).toBe(6);
  await find(
    driver,
    'canvas[aria-label^="Strip thickness by exposure. The table of strips has the same numbers"]',
  );
  await click(driver, 'Delete: 1.9');
  await waitFor(
    driver,
    async () =>
      (await driver.findElements(By.css('[aria-labelledby=strips-title] table tbody tr'))).length === 5,
    'the strip is still there',
  );
  // What the exposure does to edges follows from the same strips.
  expect(await mainText()).toMatch(/true edges\s+\d+\.\d\d/);
  expect(await mainText()).toMatch(
    /An exposure change makes the drawn sizes of .*Float-wheel bushing.* invalid/,
  );
  // One wall gives little information, and the page says how little.
  await click(driver, 'A wall printed too thick or too thin');
  await typeOver(driver, '[name=drawnMm]', '2');
  await typeOver(driver, '[name=readMm]', '2.12');
  await waitForText(driver, 'This wall alone suggests an edge growth of');
  await waitForText(driver, 'with three walls like it');
  await typeOver(driver, '[name=readMm]', '0.4');
  await waitForText(driver, 'than drawn, this is another size or not a wall. Check which one you measured.');
  expect(await bench.browser.errors()).toEqual([]);
});

test('another layer height with every way of reckoning beside the computed one, on a phone too', async () => {
  const { driver } = bench.browser;
  await bench.browser.resize(390, 844);
  await driver.get(`${bench.server.address}/printers/1/light`);
  await typeOver(driver, '[name=toMm]', '0.03');
  await waitForText(driver, '10 % less for each 0.02 mm');
  const rows = await driver.findElements(By.css('[aria-label="Exposure by rule"] tbody tr'));
  expect(rows).toHaveLength(4);
  expect(await rows[0].getText()).toContain(', shop setting');
  await typeOver(driver, '[name=supplierS]', '2');
  await waitForText(driver, 'as the supplier states');
  await typeOver(driver, '[name=toMm]', '0.9');
  await waitForText(driver, 'more than four times the exposure');
  await typeOver(driver, '[name=engineTo]', 'colour');
  await waitForText(driver, 'Print these three once: 7.20');
  expect(await driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390);
  expect(await bench.browser.errors()).toEqual([]);
});

test('a bracket from nothing: three gauges, three more, an exposure that holds and draws true', async () => {
  const { driver } = bench.browser;
  await bench.browser.resize(1280, 800);
  await driver.get(`${bench.server.address}/printers/2/light`);
  await waitForText(driver, 'Print next');
  await typeOver(driver, '[name=wallMm]', '4.02');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'printed, slot open, wall 4.02 mm');
  await click(driver, 'Undo: gauge at');
  await waitFor(
    driver,
    async () => !(await mainText()).includes('Best exposure so far'),
    'the gauge still counts',
  );
  for (
    let round = 0;
    round < 4 &&
    !(await mainText()).includes(
      'Certain enough: save it as the exposure of this profile, then print a signature block.',
    );
    round++
  ) {
    const before = (await driver.findElements(By.xpath("//button[starts-with(., 'Undo: gauge')]"))).length;
    await click(driver, 'Print and measure these on the simulated printer');
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.xpath("//button[starts-with(., 'Undo: gauge')]"))).length > before,
      'the gauges are not there',
    );
  }
  expect(await mainText()).toMatch(/Certain enough: save it as the exposure/);
  expect(await bench.browser.errors()).toEqual([]);
});

test('a profile for another machine, with its bracket, and its bottom layers weighed', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers/1/light`);
  await waitForText(driver, '20.0 s, now');
  await typeOver(driver, '[name=engineTo]', 'colour');
  await typeOver(driver, '[name=printerName]', 'Old Amber');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Copied from Long Bench, 2.4 s');
  await waitForText(driver, 'Otter Tough on other printers');
  expect(await mainText()).toContain('Print next: 7.2 s, 10.18 s, 14.4 s');
  expect(await bench.browser.errors()).toEqual([]);
});

test('a wall that came out thick to the chosen lever; the trim is noted where it is set, with what it voids', async () => {
  const { driver } = bench.browser;
  await bench.browser.resize(1280, 900);
  // The bushing is printed and not read yet.
  await driver.get(`${bench.server.address}/jobs/8/measure`);
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  for (let reading = 1; reading <= 9; reading++) {
    await press(driver, 'c');
    await waitFor(
      driver,
      async () => (await driver.findElements(By.css('[data-reading]'))).length >= reading,
      'a reading is not in',
    );
  }
  await driver.get(`${bench.server.address}/jobs/8/correct`);
  await waitForText(driver, 'Correction method');
  const rows = await driver.findElements(By.css('[aria-labelledby=levers-title] tbody tr'));
  expect(rows).toHaveLength(4);
  expect(await rows[1].getText()).toMatch(/Correct the drawn sizes best chance for the smallest change/);
  expect(await rows[3].getText()).toContain('Change the exposure to');
  // The exposure is changed anyway; the change is recorded in the profile.
  await click(driver, 'Record new exposure:');
  await waitForText(driver, 'Saved.');
  await driver.get(`${bench.server.address}/printers/1`);
  await waitForText(driver, 'adjusted for Float-wheel bushing');
  // What is left is drawn.
  await driver.get(`${bench.server.address}/jobs/8/correct`);
  await typeOver(driver, '[name=reason]', 'drawn for the trimmed exposure');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Attempt 2');
  expect(await bench.browser.errors()).toEqual([]);
});
