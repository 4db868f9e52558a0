import { afterAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { writeStl } from '@/core/part/mesh';
import { loadTestKernel } from '@/testing/kernel';
import { seatedMesh } from '@/testing/printed-solids';
import { click, find, findNamed, press, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-journeys-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const mainText = () => bench.browser.driver.findElement(By.css('main')).getText();

/** The chance that the job's joint frees itself, as Fit says it. */
async function howItFrees(): Promise<string> {
  const [said] = /Chance to come free at 100 %: [^\n]+/.exec(await mainText()) ?? [];
  if (said === undefined) throw new Error('the page shows no chance');
  return `${said} ${/from \d+ steps? [^\n]+|assumed: [^\n]+/.exec(await mainText())?.[0]}`;
}

/** A new job on a printer and resin of the demo, with a test it must pass; answers with its address. */
async function startJob(name: string): Promise<string> {
  const { driver } = bench.browser;
  await driver.get(bench.server.address);
  await typeOver(driver, '[name="name"]', name);
  await click(driver, 'Create job');
  await waitForText(driver, 'Features');
  await (await find(driver, '//select[@name="profileId"]/option[contains(., "Slate General")]')).click();
  await typeOver(driver, '[name="acceptance"]', 'It does its work on the bench for a day.');
  await click(driver, 'Save requirements');
  await waitForText(driver, 'Slate General on');
  return (await driver.getCurrentUrl()).replace(/\/need.*/, '');
}

async function readTyped(...readings: string[]): Promise<void> {
  const { driver } = bench.browser;
  const shown = () => driver.findElements(By.css('[data-reading]'));
  const before = (await shown()).length;
  for (let i = 0; i < readings.length; i++) {
    await press(driver, readings[i], Key.ENTER);
    await waitFor(driver, async () => (await shown()).length > before + i, `${readings[i]} is not in`);
  }
}

test('a joint printed in place is the whole job: designed, printed, tried by hand, accepted, told', async () => {
  const { driver } = bench.browser;
  const job = await startJob('Latch of the rain gauge');
  await driver.get(`${job}/fit`);
  await click(driver, 'Add joint');
  await typeOver(driver, '[name="name"]', 'Lid hinge pin');
  await typeOver(driver, '[name="mostLateralMm"]', '0.4');
  await click(driver, 'Save joint');
  await waitForText(driver, 'Lid hinge pin');
  const before = await howItFrees();

  await driver.get(`${job}/correct`);
  await waitForText(driver, 'Joints printed in place');
  await click(driver, 'Start attempt 1');
  await waitForText(driver, 'ready to print');
  await click(driver, 'Print on the simulated printer');
  await waitForText(driver, 'Joints of print A1');
  // By the keyboard: the second key says stiff; the mouse corrects it.
  await press(driver, '2');
  await waitForText(driver, 'All joints are tested.');
  await click(driver, 'moves by hand');
  await find(driver, '//button[@aria-pressed="true"][contains(., "moves by hand")]');
  await typeOver(driver, '[name^="play-mm"]', '0.12');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'free, play 0.12 mm');

  await click(driver, 'View history');
  await waitForText(driver, 'Result of print A1 in the acceptance test');
  await click(driver, 'Record result');
  await waitForText(driver, 'Acceptance test: ');
  expect(await mainText()).toContain('Lid hinge pin');
  expect(await mainText()).toContain('play 0.12 mm');
  // What was found teaches the ladder of this printer and resin.
  await driver.get(`${job}/fit`);
  await waitForText(driver, 'Lid hinge pin');
  expect(await howItFrees()).not.toBe(before);
  expect(await bench.browser.errors()).toEqual([]);
});

test('a size picked on the model goes to its verdict, past what Check finds on the way to the print', async () => {
  const { driver } = bench.browser;
  const { Manifold } = await loadTestKernel();
  const bored = Manifold.cube([24, 20, 8]).subtract(Manifold.cylinder(12, 5, 5, 64).translate([10, 10, -2]));
  const arm = Manifold.cube([20, 6, 2])
    .translate([20, 7, 6])
    .add(Manifold.cube([3, 3, 3]).translate([36, 8.5, 3]));
  const file = path.join(folder, 'bracket.stl');
  writeFileSync(file, writeStl(seatedMesh(bored.add(arm))));

  const job = await startJob('Bracket with a bore');
  await driver.get(`${job}/check`);
  await (await find(driver, 'input[type="file"]')).sendKeys(file);
  await waitForText(driver, 'How is it supported?');
  await (await find(driver, 'input[value="plate"]')).click();
  await click(driver, 'Check the layers');
  await waitForText(driver, 'sizes found. Click a face');
  await (await findNamed(driver, 'Hole ⌀10.00')).sendKeys(Key.ENTER);
  await click(driver, 'Add as feature: Hole ⌀10.00');
  await waitForText(driver, 'Hole ⌀10.00 was added as a feature.');

  // The next step of the job is Check while its findings are open.
  await driver.get(`${job}/correct`);
  await click(driver, 'Start attempt 1');
  await waitForText(driver, 'ready to print');
  await driver.get(bench.server.address);
  const row = '//li[.//*[contains(., "Bracket with a bore")]]';
  expect(await (await find(driver, row)).getText()).toContain('Check');

  await driver.get(`${job}/measure`);
  await waitForText(driver, 'could make this print fail:');
  expect(await mainText()).toContain('Starts in mid-air');
  await click(driver, 'Print on the simulated printer');
  await waitForText(driver, 'give a reason and print anyway');
  expect(await mainText()).not.toContain('Before the first reading');
  await typeOver(driver, '[name="despite"]', 'a support stands below the peg in the slicer');
  await click(driver, 'Print on the simulated printer');
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await readTyped('10.01', '10.02', '10.01');
  await waitForText(driver, 'All sizes are within limits.');
  expect(await mainText()).not.toMatch(/out, \d/);
  await driver.get(`${job}/story`);
  await waitForText(driver, 'a support stands below the peg in the slicer');
  expect(await bench.browser.errors()).toEqual([]);
});

test('the same attempt is printed again, in two copies, and each print is measured by itself', async () => {
  const { driver } = bench.browser;
  await driver.get(bench.server.address);
  await click(driver, 'Float-wheel bushing');
  await click(driver, 'Print attempt 1 again');
  await typeOver(driver, '[name="copies"]', '2');
  await waitForText(driver, 'Measure each copy separately. Each counts as one print.');
  await click(driver, 'Print again on the simulated printer');
  await find(driver, '//nav[@aria-label="Prints of this attempt"]//a[3]');
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
  // The first print has none of these readings.
  await (await find(driver, '//nav[@aria-label="Prints of this attempt"]//a[1]')).click();
  await waitFor(
    driver,
    async () => (await driver.findElements(By.css('[data-reading]'))).length === 0,
    'the first print shows readings of another',
  );
  expect(await bench.browser.errors()).toEqual([]);
});
