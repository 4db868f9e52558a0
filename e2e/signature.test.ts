import { expect, test } from '@jest/globals';
import { By } from 'selenium-webdriver';
import { click, find, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();

test('a part read green is judged as what it will be when cured, and teaches how states differ', async () => {
  const { driver } = bench.browser;
  await driver.get(bench.server.address);
  await click(driver, 'Float-wheel bushing');
  await click(driver, 'Print attempt 1 again');
  await click(driver, 'Print it again on the simulated printer');
  await find(driver, '//nav[@aria-label="Prints of this attempt"]//a[2]');
  await (await find(driver, '//select[@name="state"]/option[@value="green"]')).click();
  await waitForText(driver, 'Uncured resin is still on this part');
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  for (let reading = 1; reading <= 3; reading++) {
    await press(driver, 'c');
    await waitFor(
      driver,
      async () => (await driver.findElements(By.css('[data-reading]'))).length >= reading,
      `reading ${reading} is not in`,
    );
  }
  await waitForText(driver, 'read green; cured it comes to');
  expect(await mainText()).toMatch(/can’t tell yet|\bin\b|out, \d/);

  await driver.get(`${bench.server.address}/printers`);
  await click(driver, 'Otter Tough');
  await waitForText(driver, 'Sizes in other states, against cured');
  expect(await mainText()).toMatch(/green: [+−]\d\.\d\d ± \d\.\d\d % in the plane/);
  expect(await bench.browser.errors()).toEqual([]);
});

/** ± of the outside jaws as the signature's page has it, mm. */
async function doubtOfJaws(): Promise<number> {
  const said = /outside jaws: \S+ ± (\d\.\d+) mm/.exec(await mainText());
  if (said === null) throw new Error('no error of the outside jaws is told');
  return Number(said[1]);
}

test('a caliper checked on a gauge block is known better, and a wrong piece is asked about', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers`);
  await click(driver, 'Otter Tough');
  await waitForText(driver, 'Possible error of the calipers');
  const signature = await driver.getCurrentUrl();
  const before = await doubtOfJaws();

  await driver.get(`${bench.server.address}/house`);
  await click(driver, 'Check it on a piece of known size');
  await typeOver(driver, '[name="piece"]', '10 mm gauge block');
  await typeOver(driver, '[name="knownMm"]', '10');
  await typeOver(driver, '[name="readingMm"]', '12.01');
  await click(driver, 'Keep this reading');
  await waitForText(driver, 'is it another piece');
  for (const [reading, times] of [
    ['10.01', 'read once'],
    ['10.00', 'read 2 times'],
    ['10.01', 'read 3 times'],
  ]) {
    await typeOver(driver, '[name="readingMm"]', reading);
    await click(driver, 'Keep this reading');
    await waitForText(driver, times);
  }
  await driver.get(signature);
  await waitFor(
    driver,
    async () => {
      await driver.navigate().refresh();
      return (await doubtOfJaws()) < before / 2;
    },
    'the jaws are not known better',
  );
  expect(await bench.browser.errors()).toEqual([]);
});
