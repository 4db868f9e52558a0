import { expect, test } from '@jest/globals';
import { By } from 'selenium-webdriver';
import { click, find, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();
const piece = (name: string) =>
  bench.browser.driver.findElement(By.xpath(`//button[@aria-pressed and contains(., "${name}")]`));

/** Takes what prints in the demo off; late in a long run of suites it is through by itself, at any moment of this. */
async function takeOff(): Promise<void> {
  const { driver } = bench.browser;
  for (let round = 0; round < 3; round++) {
    await driver.get(`${bench.server.address}/runs/1`);
    await waitFor(
      driver,
      async () => /It is through|What came off/.test(await mainText()),
      'neither clock nor end',
    );
    if ((await mainText()).includes('What came off')) return;
    try {
      await click(driver, 'It is through');
      await click(driver, 'Off the printer');
      await waitForText(driver, 'What came off');
    } catch {
      // It ended meanwhile: the page is loaded again.
    }
  }
  await waitForText(driver, 'What came off');
}

test('on a phone: a failure noted, its deciding test made, and what it was kept', async () => {
  const { driver } = bench.browser;
  await takeOff();
  await bench.browser.resize(390, 844);
  await click(driver, 'Something failed');
  await piece('Sample vial rack').click();
  await click(driver, 'a region is missing');
  await typeOver(driver, '[name=height]', '9000');
  await waitForText(driver, 'That is no layer, height or time of this plate');
  await typeOver(driver, '[name=height]', '3.2 mm');
  await waitForText(driver, 'That is layer 64');
  await click(driver, 'Note it');
  await waitForText(driver, 'Sample vial rack: a region is missing, layer 64');
  await waitForText(driver, 'The deciding test');
  expect(await driver.executeScript('return document.documentElement.scrollWidth')).toBeLessThanOrEqual(390);
  await click(driver, 'Other tests');
  await click(driver, 'a patch is dark or uneven');
  await waitForText(driver, 'Light image on white paper: a patch is dark or uneven.');
  await waitForText(driver, 'Likely the light is uneven, or pixels are dead');
  await click(driver, 'Keep it');
  await waitForText(driver, 'Change it');
  // Straight after the tap it counts, in the ledger of the job too.
  await bench.browser.resize(1280, 900);
  await driver.get(`${bench.server.address}/jobs/5/run`);
  await waitForText(driver, 'Failed: a region is missing');
  expect(await bench.browser.errors()).toEqual([]);
});

test('a failed print is cleared before the next start, and care that is due today is done', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/`);
  await waitForText(driver, 'clearing the vat of solids');
  await driver.get(`${bench.server.address}/runs/2`);
  await waitForText(driver, 'may have left something cured in it');
  await click(driver, 'Clear it');
  await waitForText(driver, 'due, because a failure may have left something cured in the vat');
  await waitForText(driver, 'A soft spatula: a blade cuts the film');
  await click(driver, 'Done: Vat cleared of solids').catch(async () => {
    await (await find(driver, '[aria-labelledby=care-title] li button')).click();
  });
  await waitFor(
    driver,
    async () => !(await mainText()).includes('due, because a failure'),
    'it is still due',
  );
  await driver.get(`${bench.server.address}/runs/2`);
  await waitForText(driver, 'Before the start');
  expect(await mainText()).not.toContain('may have left something cured in it');
  expect(await bench.browser.errors()).toEqual([]);
});

test('half a year of prints: failures come together at one place of the plate, and nobody suspected the film', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers/machine/2`);
  await click(driver, 'Its log and care');
  await waitForText(driver, 'How often it comes out');
  await waitForText(driver, 'Failures come together at one place of the plate');
  await find(driver, '[role=img][aria-label^="Plate from above: 96 pieces printed"]');
  const newest = await find(driver, '[aria-labelledby=prints-title] li a');
  await newest.click();
  await waitForText(driver, 'What came off');
  expect(await bench.browser.errors()).toEqual([]);
});
