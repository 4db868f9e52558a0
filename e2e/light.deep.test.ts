import { expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import { click, find, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();

test('strips to a curve, by hand and on the simulated printer; another unit is refused, a slip taken back', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers/1`);
  await click(driver, 'Light: strips and exposure');
  await waitForText(driver, 'Two strips at different exposures make a curve');
  await typeOver(driver, '[name=exposure]', '1.9');
  await typeOver(driver, '[name=depthMm]', '0.25');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'one point makes no curve');
  await click(driver, 'Cure and read five on the simulated printer');
  await waitForText(driver, 'Depth of light');
  expect((await driver.findElements(By.css('[aria-labelledby=strips-title] table tbody tr'))).length).toBe(6);
  await find(driver, 'canvas[aria-label^="Thickness of strips"]');
  await click(driver, 'take it back: 1.9');
  await waitFor(
    driver,
    async () =>
      (await driver.findElements(By.css('[aria-labelledby=strips-title] table tbody tr'))).length === 5,
    'the strip is still there',
  );
  // What the exposure does to edges follows from the same strips.
  expect(await mainText()).toMatch(/Edges would be true at about/);
  expect(await mainText()).toMatch(/A trim voids the drawn sizes of .*Float-wheel bushing/);
  // One wall says little, and how little is told.
  await click(driver, 'One wall came out too thick');
  await typeOver(driver, '[name=drawnMm]', '2');
  await typeOver(driver, '[name=readMm]', '2.12');
  await waitForText(driver, 'By itself it says that edges grow by');
  await waitForText(driver, 'if three like it agreed');
  await typeOver(driver, '[name=readMm]', '0.4');
  await waitForText(driver, 'it is another size, or no wall');
  expect(await bench.browser.errors()).toEqual([]);
});

test('another layer height with every way of reckoning beside the computed one, on a phone too', async () => {
  const { driver } = bench.browser;
  await bench.browser.resize(390, 844);
  await driver.get(`${bench.server.address}/printers/1/light`);
  await typeOver(driver, '[name=toMm]', '0.03');
  await waitForText(driver, 'a tenth off for each 0.02 mm');
  const rows = await driver.findElements(By.css('[aria-label="Exposures by rule"] tbody tr'));
  expect(rows).toHaveLength(4);
  expect(await rows[0].getText()).toContain('this house’s way');
  await typeOver(driver, '[name=supplierS]', '2');
  await waitForText(driver, 'as the supplier states');
  await typeOver(driver, '[name=toMm]', '0.9');
  await waitForText(driver, 'more than four times the exposure');
  await typeOver(driver, '[name=engineTo]', 'colour');
  await waitForText(driver, 'Print three once: 7.20');
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
  await waitForText(driver, 'held, its slot is open, wall 4.02 mm');
  await click(driver, 'take it back: gauge at');
  await waitFor(driver, async () => !(await mainText()).includes('Best so far'), 'the gauge still counts');
  for (let round = 0; round < 4 && !(await mainText()).includes('Sure enough'); round++) {
    const before = (await driver.findElements(By.xpath("//button[starts-with(., 'take it back: gauge')]")))
      .length;
    await click(driver, 'Print and read these on the simulated printer');
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.xpath("//button[starts-with(., 'take it back: gauge')]"))).length >
        before,
      'the gauges are not there',
    );
  }
  expect(await mainText()).toMatch(/Sure enough: note it as the exposure/);
  expect(await bench.browser.errors()).toEqual([]);
});

test('a profile for another machine, with its bracket, and its bottom layers weighed', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers/1/light`);
  await waitForText(driver, '20.0 s, now');
  await typeOver(driver, '[name=engineTo]', 'colour');
  await typeOver(driver, '[name=printerName]', 'Old Amber');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Taken over from Long Bench, 2.4 s');
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
  await waitForText(driver, 'Which lever');
  const rows = await driver.findElements(By.css('[aria-labelledby=levers-title] tbody tr'));
  expect(rows).toHaveLength(4);
  expect(await rows[1].getText()).toMatch(/Draw the sizes the best chance for the least change/);
  expect(await rows[3].getText()).toContain('Trim the exposure to');
  // Somebody trims all the same; what the exposure changed is noted under the profile.
  await click(driver, 'The exposure is set to');
  await waitForText(driver, 'Noted.');
  await driver.get(`${bench.server.address}/printers/1`);
  await waitForText(driver, 'trimmed for Float-wheel bushing');
  // What is left is drawn.
  await driver.get(`${bench.server.address}/jobs/8/correct`);
  await typeOver(driver, '[name=reason]', 'drawn for the trimmed exposure');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Attempt 2');
  expect(await bench.browser.errors()).toEqual([]);
});
