import { expect, test } from '@jest/globals';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { checkMesh, readStl, weldCorners } from '@/core/part/mesh';
import { expectOk } from '@/core/kit';
import { click, find, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

async function startJob(name: string): Promise<void> {
  const { driver } = bench.browser;
  await driver.get(bench.server.address);
  await typeOver(driver, '[name="name"]', name);
  await click(driver, 'Create job');
  await waitForText(driver, 'Features');
}

/** The page of another step of the job that is open. */
async function goTo(step: string): Promise<void> {
  const address = await bench.browser.driver.getCurrentUrl();
  await bench.browser.driver.get(address.replace(/(\/jobs\/\d+)\/.*/, `$1/${step}`));
}

async function countOf(selector: string): Promise<number> {
  return (await bench.browser.driver.findElements(By.css(selector))).length;
}

/** Types a reading into the sheet's armed field and waits until it is in. */
async function readBody(text: string): Promise<void> {
  const { driver } = bench.browser;
  const before = await countOf('[aria-label^="Delete"]');
  await (await find(driver, '#body-reading')).click();
  await press(driver, text, Key.ENTER);
  await waitFor(driver, async () => (await countOf('[aria-label^="Delete"]')) > before, `${text} is not in`);
}

function downloaded(ending: string): string | undefined {
  const name = readdirSync(bench.browser.downloads).find((each) => each.endsWith(ending));
  return name && path.join(bench.browser.downloads, name);
}

async function waitForDownload(ending: string): Promise<Uint8Array> {
  await waitFor(
    bench.browser.driver,
    async () => downloaded(ending) !== undefined,
    `no ${ending} was downloaded`,
  );
  return readFileSync(downloaded(ending)!);
}

test('an old ring: measured by its sheet from the keyboard, wished, taken over, and out as STL and DXF', async () => {
  const { driver } = bench.browser;
  await startJob('Old ring');
  await click(driver, 'Start measuring sheet');
  await click(driver, 'Ring or bushing');
  await waitForText(driver, 'near its mouth, in any direction');
  await driver.wait(
    async () => (await driver.switchTo().activeElement().getAttribute('id')) === 'body-reading',
  );
  await readBody('12.06');
  await readBody('12,05');
  await press(driver, '120.5', Key.ENTER);
  await waitForText(driver, 'is off by a factor of ten. Is the decimal point misplaced? That would be');
  await click(driver, 'Use 12.05');
  await waitFor(driver, async () => (await countOf('[aria-label^="Delete"]')) === 3, 'the third is not in');
  await readBody('12.05');
  await waitForText(driver, 'Shaft in it');
  for (const text of ['6.98', '6.99', '6.98', '6.98']) await readBody(text);
  for (const text of ['5', '5']) await readBody(text);
  await waitForText(
    driver,
    'Every size of this sheet is measured. Choose one in the drawing to measure it again.',
  );

  await typeOver(driver, '[name="wish_shaft"]', 'slide');
  await waitForText(driver, 'moves by hand without play');
  await click(driver, 'Apply sizes to the job');
  await waitForText(driver, 'Sizes for your CAD program');
  const drawn = await (
    await find(driver, '//section[@aria-labelledby="modeller-title"]//tr[th[contains(., "Outside")]]/td[1]')
  ).getText();
  await click(driver, 'Part as STL');
  const check = checkMesh(weldCorners(expectOk(readStl(await waitForDownload('.stl'))).corners));
  expect(check.watertight).toBe(true);
  // Shafts are drawn inside their circle: the corner on X reaches it to the thousandth that was typed.
  expect(check.bounds.max[0] - check.bounds.min[0]).toBeCloseTo(Number(drawn), 3);
  await click(driver, 'Profile as DXF');
  expect(new TextDecoder().decode(await waitForDownload('.dxf'))).toContain('LWPOLYLINE');

  await click(driver, 'Continue to Fit');
  await waitForText(driver, 'All 2 within limits in one print');
  expect(await bench.browser.errors()).toEqual([]);
});

test('a ring whose bore is smaller than its shaft gets its sentence, and nothing is taken over', async () => {
  const { driver } = bench.browser;
  await startJob('Crossed ring');
  await click(driver, 'Start measuring sheet');
  await click(driver, 'Ring or bushing');
  await waitForText(driver, 'near its mouth');
  for (let i = 0; i < 4; i++) await readBody('7.00');
  for (let i = 0; i < 4; i++) await readBody('9.00');
  for (let i = 0; i < 2; i++) await readBody('5');
  await waitForText(driver, 'is not larger than the shaft in it');
  expect(await countOf('main')).toBe(1);
  expect(await driver.findElement(By.css('main')).getText()).not.toContain('Apply sizes to the job');
});

test('a hinge: its ladder built and tapped rung by rung, and the gap used at once under Fit', async () => {
  const { driver } = bench.browser;
  await driver.get(`${bench.server.address}/gauges?choice=hinge`);
  await waitForText(driver, 'mm high, closed');
  await typeOver(driver, '[name="pinMm"]', '90');
  await waitForText(driver, 'of 90.00 mm is out of range. Enter 2 to 30 mm');
  await typeOver(driver, '[name="pinMm"]', '4');
  await waitForText(driver, 'mm high, closed');
  await click(driver, 'Create gauge');
  await waitForText(driver, 'File as STL');
  await click(driver, 'Print on the simulated printer');
  await waitForText(driver, 'No step tested yet. The values assume an unknown printer.');
  // From the widest down: free, free, free, free, free, stiff, fused, fused, fused.
  const taps = ['4', '3', '3', '3', '3', '2', '1', '1', '1'];
  for (let i = 0; i < taps.length; i++) {
    await press(driver, taps[i]);
    await waitFor(
      driver,
      async () => (await countOf('li [aria-pressed=true]')) === i + 1,
      `tap ${i + 1} is not in`,
    );
  }
  // Every tap has been sent; the page is loaded again, so that every tap is in.
  await waitFor(
    driver,
    async () =>
      driver.executeScript<boolean>(
        "return Object.entries(localStorage).every(([name, kept]) => !name.startsWith('mellow-rungs-') || kept === '[]')",
      ),
    'the taps were not sent',
  );
  await driver.navigate().refresh();
  const gap = await (await find(driver, '//h2[contains(., "mm per side")]/span')).getText();
  expect(Number(gap)).toBeGreaterThan(0.3);
  expect(Number(gap)).toBeLessThan(0.5);

  await startJob('Lid of the rain gauge');
  await goTo('fit');
  await click(driver, 'Add joint');
  await typeOver(driver, '[name="scalePercent"]', '0');
  await click(driver, 'Save joint');
  await waitForText(driver, 'Enter a value from 10 to 1000 %');
  await typeOver(driver, '[name="scalePercent"]', '160');
  await click(driver, 'Save joint');
  await waitForText(driver, 'from 9 steps of this joint on this printer and resin');
  await waitForText(driver, `${gap} in plane`);
  await click(driver, 'Show as table');
  await waitForText(driver, 'wobble');
  expect(await bench.browser.errors()).toEqual([]);
});

/** Reads every size of the print three times with the simulated caliper. */
async function readAll(sizes: number): Promise<void> {
  const { driver } = bench.browser;
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  for (let reading = 1; reading <= 3 * sizes; reading++) {
    await press(driver, 'c');
    await waitFor(
      driver,
      async () => (await countOf('[data-reading]')) >= reading,
      `reading ${reading} is not in`,
    );
  }
}

async function startAttempt(number: number, reason: string): Promise<void> {
  const { driver } = bench.browser;
  if (reason !== '') await typeOver(driver, '[name="reason"]', reason);
  await click(driver, `Start attempt ${number}`);
  await click(driver, 'Print on the simulated printer');
}

async function drawnOf(name: string): Promise<number> {
  const cell = await find(
    bench.browser.driver,
    `//tr[th[contains(., "${name}")]]//button//span[contains(@class, "num")]`,
  );
  return Number(await cell.getText());
}

test('a comb over three attempts: by words, by the caliper, and answered at the end', async () => {
  const { driver } = bench.browser;
  await startJob('Short comb');
  await click(driver, 'Pushes in by thumb and stays in place when shaken upside down');
  const kelp = await find(driver, '//select[@name="profileId"]/option[contains(., "Kelp")]');
  await kelp.click();
  await click(driver, 'Save requirements');
  await waitForText(driver, 'Kelp Flex on Old Amber');
  await goTo('need/sheet');
  await click(driver, 'Panel with a row of pockets');
  await waitForText(driver, 'holds bought parts side by side');
  await typeOver(driver, '[name="option_count"]', '2');
  await click(driver, 'Save fits and values');
  await waitFor(
    driver,
    async () => (await countOf('[aria-label="Readings of this sheet"] > li')) === 2,
    'not two',
  );
  while ((await countOf('#body-reading')) > 0) {
    const second = (await driver.findElement(By.css('label[for="body-reading"]')).getText()).includes('2');
    await readBody(second ? '4.77' : '2.37');
  }
  for (const id of ['1', '2']) {
    const open = await find(driver, `//div[.//select[@name="wish_item${id}"]]/details/summary`);
    await open.click();
    await typeOver(driver, `[name="least_item${id}"]`, '-0.03');
    await typeOver(driver, `[name="most_item${id}"]`, '0.09');
  }
  await press(driver, Key.ENTER);
  await waitForText(driver, 'clearance −0.03 to +0.09');
  await click(driver, 'Apply sizes to the job');
  await waitForText(driver, 'Sizes for your CAD program');

  await goTo('correct');
  await waitForText(driver, 'New drawn sizes');
  const first = await drawnOf('Pocket 1');
  await startAttempt(1, '');
  await click(driver, 'Start measuring');
  await find(driver, '#reading');
  await click(driver, 'won’t enter');
  await waitForText(driver, 'hand fit: won’t enter');
  await goTo('correct');
  await waitForText(driver, 'won’t enter at');
  const second = await drawnOf('Pocket 1');
  expect(second).toBeGreaterThan(first);
  await startAttempt(2, 'the hand says the first pocket is too tight');
  await readAll(4);
  await goTo('correct');
  await startAttempt(3, 'read by caliper now');
  await readAll(4);
  await goTo('story');
  await waitForText(driver, 'Result of print A3 in the acceptance test');
  await typeOver(driver, '[name="answer"]', 'passed');
  await typeOver(driver, '[name="note"]', 'both stay in');
  await click(driver, 'Record result');
  await waitForText(driver, 'acceptance test passed: both stay in');
  const story = await driver.findElement(By.css('main')).getText();
  expect(story).toContain('Attempt 3');
  expect(story).toContain('the hand says the first pocket is too tight');
  expect(await bench.browser.errors()).toEqual([]);
});
