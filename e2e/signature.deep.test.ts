import { expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import { click, find, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();

/** Three readings of the feature that is armed, by the simulated caliper. */
async function closeJawsThrice(): Promise<void> {
  const { driver } = bench.browser;
  for (let reading = 1; reading <= 3; reading++) {
    await press(driver, 'c');
    await waitFor(
      driver,
      async () => (await driver.findElements(By.css('[data-reading]'))).length >= reading,
      `reading ${reading} is not in`,
    );
  }
}

/** Prints the bushing once more on the simulated printer and goes to the page of that print, the nth of its attempt. */
async function printBushingAgain(nth: number): Promise<void> {
  const { driver } = bench.browser;
  await driver.get(bench.server.address);
  await click(driver, 'Float-wheel bushing');
  await waitForText(driver, 'Print attempt 1 again');
  await click(driver, 'Print attempt 1 again');
  await click(driver, 'Print again on the simulated printer');
  await find(driver, `//nav[@aria-label="Prints of this attempt"]//a[${nth}]`);
}

test('a part read green is judged as what it will be when cured, and teaches how states differ', async () => {
  const { driver } = bench.browser;
  await printBushingAgain(2);
  await (await find(driver, '//select[@name="state"]/option[@value="green"]')).click();
  await waitForText(driver, 'Uncured resin is still on this part');
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await closeJawsThrice();
  await waitForText(driver, 'measured green; cured it becomes');
  expect(await mainText()).toMatch(/can’t tell yet|\bin\b|out, \d/);

  await driver.get(`${bench.server.address}/printers`);
  await click(driver, 'Otter Tough');
  await waitForText(driver, 'Sizes in other states, compared with cured');
  expect(await mainText()).toMatch(/green: [+−]\d\.\d\d ± \d\.\d\d % in plane/);
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
  await waitForText(driver, 'Estimated caliper errors');
  const signature = await driver.getCurrentUrl();
  const before = await doubtOfJaws();

  await driver.get(`${bench.server.address}/house`);
  await click(driver, 'Check on a reference piece');
  await typeOver(driver, '[name="piece"]', '10 mm gauge block');
  await typeOver(driver, '[name="knownMm"]', '10');
  await typeOver(driver, '[name="readingMm"]', '12.01');
  await click(driver, 'Save reading');
  await waitForText(
    driver,
    'mm. Check that this is the right piece and the reading is typed correctly. If both are right, tick the box and enter the reading again.',
  );
  for (const [reading, times] of [
    ['10.01', 'one reading'],
    ['10.00', 'read 2 times'],
    ['10.01', 'read 3 times'],
  ]) {
    await typeOver(driver, '[name="readingMm"]', reading);
    await click(driver, 'Save reading');
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

test('a new film voids what it touches, a size read since settles it, and a control piece is read beside the part', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers`);
  await click(driver, 'Otter Tough');
  await waitForText(driver, 'Print settings');
  const signature = await driver.getCurrentUrl();
  await click(driver, 'Create control piece');
  await click(driver, 'Create gauge');
  await waitForText(driver, 'ready to print');

  await driver.get(signature);
  await click(driver, 'Record a change');
  await click(driver, 'Save change');
  await waitForText(driver, 'tick at least one change.');
  await typeOver(driver, 'form[aria-label="Record a change"] [name="film"]', 'blue film');
  await click(driver, 'Save change');
  await waitForText(driver, 'new film (clear film → blue film)');
  await waitForText(driver, 'No readings since.');
  expect(await mainText()).toMatch(/read three times on the next print, removes \d+ % of the uncertainty/);

  // The next print: the control piece stands beside the part and comes last.
  await printBushingAgain(3);
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await press(driver, 'a');
  await waitForText(driver, 'Reading control bar 12');
  await closeJawsThrice();
  await waitForText(driver, 'as expected:');

  await driver.get(signature);
  await waitFor(
    driver,
    async () => {
      await driver.navigate().refresh();
      return (await mainText()).includes('3 readings since.');
    },
    'the readings since the change are not told',
  );
  await waitForText(driver, 'deviation, sd');
  await click(driver, 'Undo this change');
  await waitFor(driver, async () => !(await mainText()).includes('blue film'), 'the change is still there');
  expect(await bench.browser.errors()).toEqual([]);
});

test('a caliper is checked in the field that the part is read in', async () => {
  const { driver } = bench.browser;
  await printBushingAgain(4);
  await click(driver, 'Start measuring');
  await click(driver, 'Check caliper');
  const jaw = await find(driver, '//select[@name="jaw"]');
  await jaw.sendKeys('inside');
  await waitFor(
    driver,
    async () => (await jaw.getAttribute('value')) === 'inside',
    'the jaws are not chosen',
  );
  await typeOver(driver, '[name="piece"]', 'setting ring 10');
  await typeOver(driver, '[name="knownMm"]', '10');
  await click(driver, 'Start check');
  await waitForText(driver, 'Reading setting ring 10, inside jaws, first of three');
  await typeOver(driver, '#reading', '12.4');
  await press(driver, Key.ENTER);
  await waitForText(
    driver,
    'mm. Check that this is the right piece and the reading is typed correctly. If both are right, tick the box and enter the reading again.',
  );
  for (const [i, reading] of ['9.99', '9.98', '9.99'].entries()) {
    await typeOver(driver, '#reading', reading);
    await press(driver, Key.ENTER);
    await waitForText(driver, `${i + 1} of 3 saved`);
  }
  await click(driver, 'Back to the part');
  await waitForText(driver, 'Reading Collar outside, first of three');
  await driver.get(`${bench.server.address}/house`);
  await waitForText(driver, 'setting ring 10');
  expect(await bench.browser.errors()).toEqual([]);
});

test('a resin never printed on a known printer starts with what relatives lend, told apart from what is measured', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/printers`);
  await click(driver, 'New printer, resin or profile');
  await typeOver(driver, '[name="printerName"]', 'Old Amber');
  await typeOver(driver, '[name="resinName"]', 'Otter Tough');
  await typeOver(driver, '[name="profileName"]', 'first try');
  await typeOver(driver, '[name="layerMm"]', '0.05');
  await click(driver, 'Create profile');
  await waitForText(driver, 'Otter Tough on Old Amber created.');
  await (await find(driver, '//li[contains(., "first try")]//a')).click();
  await waitForText(driver, 'From related profiles');
  const text = await mainText();
  expect(text).toContain('nothing measured yet');
  expect(text).toContain('same resin');
  expect(text).toContain('from related profiles; to determine it on this printer,');
  expect(await bench.browser.errors()).toEqual([]);
});
