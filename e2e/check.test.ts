import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { writeStl } from '@/core/part/mesh';
import { loadTestKernel } from '@/testing/kernel';
import { box } from '@/testing/meshes';
import { seatedMesh } from '@/testing/printed-solids';
import {
  click,
  find,
  findNamed,
  openBrowser,
  press,
  typeOver,
  waitFor,
  waitForText,
  type Browser,
} from './browser';
import { serveBench, type BenchServer } from './bench-server';

let demo: BenchServer;
let browser: Browser;
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-check-'));
beforeAll(async () => {
  demo = await serveBench('demo');
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.quit();
  await demo.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** A block of 24 × 20 × 8 with a blind bore of 10 open away from the plate and a peg that hangs from an arm. */
async function islandAndCup(): Promise<string> {
  const { Manifold } = await loadTestKernel();
  const bored = Manifold.cube([24, 20, 8]).subtract(Manifold.cylinder(6, 5, 5, 64).translate([10, 10, 2]));
  const arm = Manifold.cube([20, 6, 2])
    .translate([20, 7, 6])
    .add(Manifold.cube([3, 3, 3]).translate([36, 8.5, 3]));
  const file = path.join(folder, 'housing.stl');
  writeFileSync(file, writeStl(seatedMesh(bored.add(arm))));
  return file;
}

const mainText = () => browser.driver.findElement(By.css('main')).getText();

async function newJob(name: string): Promise<string> {
  const { driver } = browser;
  await driver.get(demo.address);
  await typeOver(driver, 'input[name="name"]', name);
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Need');
  await waitFor(driver, async () => (await driver.getCurrentUrl()).includes('/jobs/'), 'no job was made');
  return (await driver.getCurrentUrl()).replace(/\/need.*/, '');
}

/** Clicks the middle of the shown part. */
async function clickPart(): Promise<void> {
  const { driver } = browser;
  const canvas = await find(driver, 'canvas[data-engine]');
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', canvas);
  await driver.actions().move({ origin: canvas }).click().perform();
}

test('a part is dropped, its island and its cup are found, one is waived, two features picked, and Measure waits', async () => {
  const { driver } = browser;
  const job = await newJob('Logger housing');
  await driver.get(`${job}/check`);
  await waitForText(
    driver,
    'No part to check yet. Import its file. The check takes seconds; a failed print costs a night.',
  );
  await (await find(driver, 'input[type="file"]')).sendKeys(await islandAndCup());
  await waitForText(driver, 'How is it supported?');
  await (await find(driver, 'input[value="plate"]')).click();
  await click(driver, 'Check the layers');
  await waitForText(driver, 'Continue to print');
  const text = await mainText();
  // The peg begins at 3 mm, in layers of 0.05; the bore is π·5² wide.
  expect(text).toMatch(/Starts in mid-air: (8\.9|9\.0)\d mm²/);
  expect(text).toContain('layer 60, 3.03 mm high');
  expect(text).toContain('Suction cup of 78 mm²');
  expect(text).toContain('40.00 × 20.00 × 8.00');

  // Shown: its layer is the one that the slider stands at.
  await click(driver, 'Starts in mid-air');
  await waitFor(
    driver,
    async () => (await (await find(driver, 'input[type="range"]')).getAttribute('value')) === '60',
    'the slider does not go to the layer',
  );
  // A height that is typed moves it too.
  await typeOver(driver, '//label[contains(., "Height, mm")]/input', '1.02');
  await press(driver, Key.ENTER);
  await waitFor(
    driver,
    async () => (await (await find(driver, 'input[type="range"]')).getAttribute('value')) === '20',
    'a typed height does not move the slider',
  );

  // Waived only with a reason; it stays in the decisions and after a reload.
  const form = '//form[contains(@aria-label, "Decide: Starts in mid-air")]';
  await (await find(driver, `${form}//button[contains(., "Waive")]`)).click();
  await waitForText(driver, 'give a reason to print anyway. It is saved in History.');
  await typeOver(driver, `${form}//input[@name="reason"]`, 'a support stands below it in the slicer');
  await (await find(driver, `${form}//button[contains(., "Waive")]`)).click();
  await waitForText(driver, 'Waived: a support stands below it in the slicer');
  await driver.navigate().refresh();
  await waitForText(driver, 'Waived: a support stands below it in the slicer');
  expect(await mainText()).toContain('Waived: Starts in mid-air');

  await driver.get(`${job}/story`);
  await waitForText(driver, 'Decisions before printing');
  expect(await mainText()).toContain('a support stands below it in the slicer');
  await driver.get(`${job}/check`);

  // Two features by clicking: one on the face in the middle of the view, one from the list.
  await waitForText(driver, 'sizes found. Click a face');
  await clickPart();
  await waitForText(driver, 'on the selected face.');
  await click(driver, 'All ');
  for (const name of ['Hole ⌀10.00', 'Width 20.00']) {
    // By keys: the list moves while the page takes the last answer in.
    await (await findNamed(driver, name)).sendKeys(Key.ENTER);
    await click(driver, `Add as feature: ${name}`);
    await waitForText(driver, `${name} was added as a feature.`);
  }
  await driver.get(`${job}/need`);
  await waitForText(driver, 'Hole ⌀10.00');
  expect(await mainText()).toContain('Width 20.00');
  await driver.get(`${job}/check`);
  await waitForText(driver, 'Continue to print');
  await (await findNamed(driver, 'Continue to print')).sendKeys(Key.ENTER);
  await waitFor(
    driver,
    async () => (await driver.getCurrentUrl()).endsWith('/measure'),
    'Measure is not there',
  );
  expect(await browser.errors()).toEqual([]);
});

test('standing on supports the same vane is judged anew; poses are compared and the part is turned', async () => {
  const { driver } = browser;
  await driver.get(`${demo.address}/jobs/9/check`);
  await waitForText(driver, 'Continue to print');
  await waitForText(driver, 'Suction cup of 28 mm²');
  await click(driver, 'Orientation');
  await click(driver, 'Compare orientations');
  await waitForText(driver, 'found by search');
  await click(driver, 'Use this orientation: +Y up');
  // The blade stands on its long edge: 18 mm high.
  await waitForText(driver, '42.00 × 8.00 × 18.00');
  await waitForText(driver, 'Continue to print');
  expect(await mainText()).toContain('Part turned');
  expect(await mainText()).not.toContain('Suction cup of 28 mm²');
  await click(driver, 'Support: flat on the plate');
  await (await find(driver, 'input[value="supports"]')).click();
  await typeOver(driver, 'input[name="liftMm"]', '6');
  await click(driver, 'Apply');
  await waitForText(driver, 'Support: on supports, 6.0 mm high');
  // 18 mm of part above 6 mm of supports: 360 layers after 120.
  await waitForText(driver, 'Continue to print');
  await waitFor(
    driver,
    async () =>
      (await (await find(driver, '//label[contains(., "Layer")]/input')).getAttribute('value')) === '479',
    'the layers of the supports are not counted',
  );
  expect(await browser.errors()).toEqual([]);
});

test('a file in metres is asked for its unit, and a hole in a mesh is mended on a copy', async () => {
  const { driver } = browser;
  const { positions, facets } = box(0.03, 0.02, 0.01);
  const open = path.join(folder, 'metres.stl');
  writeFileSync(open, writeStl({ positions, facets: facets.slice(6) }));
  const job = await newJob('Box from elsewhere');
  await driver.get(`${job}/check`);
  await (await find(driver, 'input[type="file"]')).sendKeys(open);
  await waitForText(driver, 'states no unit. Read as millimetres, the part is');
  await click(driver, 'metres: 30.0 × 20.0 × 10.0');
  await waitForText(driver, 'How is it supported?');
  await (await find(driver, 'input[value="plate"]')).click();
  await click(driver, 'Check the layers');
  await waitForText(driver, 'The mesh is not closed');
  await waitForText(driver, 'Continue to print');
  await click(driver, 'Repair');
  await click(driver, 'Repair a copy');
  await waitForText(driver, '1 holes filled');
  await click(driver, 'Use repaired copy');
  await waitForText(
    driver,
    'No findings: no islands, no suction cups, no walls or gaps too small for this printer.',
  );
  expect(await mainText()).toContain('closed');
  expect(await browser.errors()).toEqual([]);
});
