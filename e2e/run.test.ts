import { expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import { click, find, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();

test('with gloves on a phone: a tap a step from the plate to the caliper, and the state is there when measuring begins', async () => {
  const { driver } = bench.browser;
  await bench.browser.resize(390, 844);
  await driver.get(bench.server.address);
  await click(driver, 'Float-wheel bushing');
  await waitForText(driver, 'Before the first reading');
  const measure = (await driver.getCurrentUrl()).split('?')[0];
  await driver.get(measure.replace('/measure', '/run'));
  await waitForText(driver, 'print A1 · green');
  expect(await mainText()).toContain('Uncured resin');

  await click(driver, 'Start, 10 min');
  await find(driver, '//*[@role="timer"]');
  const steps: string[] = [];
  for (;;) {
    const [on] = await driver.findElements(
      By.xpath('//button[starts-with(normalize-space(.), "Done, next:")]'),
    );
    if (on === undefined) break;
    // Large enough for a gloved thumb, and nothing to the side of the screen.
    expect((await on.getRect()).height).toBeGreaterThanOrEqual(56);
    const label = await on.getText();
    steps.push(label);
    await on.click();
    await waitFor(
      driver,
      async () => !(await mainText()).includes(label),
      `the step after “${label}” did not begin`,
    );
  }
  expect(steps.join(' ')).toMatch(/remove from plate.*wash.*dry.*cure.*cool/);
  const wide = await driver.executeScript<number>('return document.documentElement.scrollWidth');
  expect(wide).toBeLessThanOrEqual(390);
  await waitForText(driver, 'cured');

  // Today tells of the timer that still runs; measuring begins with what the steps say.
  await driver.get(bench.server.address);
  await waitForText(driver, 'Running timers');
  expect(await mainText()).toMatch(/A1, cool/);
  await driver.get(measure);
  await waitForText(driver, 'Before the first reading');
  const state = await find(driver, '//select[@name="state"]');
  expect(await state.getAttribute('value')).toBe('cured');
  expect(await mainText()).toContain(
    '(warmer than the room according to its steps; saved, but not used for the signature)',
  );
  expect(await bench.browser.errors()).toEqual([]);
});

test('a step tapped by mistake is taken back', async () => {
  const { driver } = bench.browser;
  await bench.browser.resize(1280, 800);
  await driver.get(bench.server.address);
  await click(driver, 'Float-wheel bushing');
  await waitForText(driver, 'Decisions');
  await driver.get((await driver.getCurrentUrl()).replace(/(\/jobs\/\d+)\/.*/, '$1/run'));
  await waitForText(driver, 'Post-processing');
  await click(driver, 'Done: Cool');
  await waitForText(driver, 'Measure');
  await click(driver, 'Undo: Cool');
  await waitForText(driver, 'Start, 11 min');
  expect(await bench.browser.errors()).toEqual([]);
});

test('before the print: hours, resin and when to pour, by what stands in the vat', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/jobs/8/correct`);
  await typeOver(driver, '[name="reason"]', 'drawn by the block');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'ready to print');
  await driver.get(`${bench.server.address}/jobs/8/run`);
  await click(driver, 'Add to plate');
  await waitForText(driver, 'in 9 of 10 prints:');
  expect(await mainText()).toMatch(/\d+ layers, from the time per layer in the printer settings/);
  // What stands in the vat is another resin: it counts as none, and comes out first.
  await waitForText(driver, 'The vat holds Slate General; empty it first');
  expect(await mainText()).toMatch(/Top up \d+ ml before layer 1,/);
  const plate = await driver.getCurrentUrl();
  await driver.get(`${bench.server.address}/printers/machine/1`);
  const vat = await find(driver, 'form[aria-label^="Vat of"] select[name="resinId"]');
  await vat.sendKeys('Otter Tough');
  await driver.findElement(By.css('form[aria-label^="Vat of"] button[type=submit]')).click();
  await new Promise((resolve) => setTimeout(resolve, 1500));
  await driver.get(plate);
  await click(driver, 'Vat: 0 of 200 ml');
  await typeOver(driver, 'select[name="by"]', 'volume');
  await typeOver(driver, 'form[aria-label="Vat level"] input[name="ml"]', '25.5');
  await click(driver, 'Save level');
  await waitForText(driver, 'Without topping up, the vat runs dry in');
  expect(await mainText()).toMatch(/Top up \d+ ml before layer \d+, about \d+ min after the start/);
  await typeOver(driver, 'form[aria-label="Vat level"] input[name="ml"]', '900');
  await click(driver, 'Save level');
  await waitForText(driver, '900 ml in a vat that holds 200');
  // A refusal loses nothing: what was kept of this printer stays.
  await driver.navigate().refresh();
  await waitForText(driver, 'Vat: 26 of 200 ml');
  expect(await bench.browser.errors()).toEqual([]);
});
