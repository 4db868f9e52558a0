import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { By } from 'selenium-webdriver';
import { write3mf, writeStl } from '@/core/part/mesh';
import { box } from '@/testing/meshes';
import { click, find, openBrowser, typeOver, waitFor, waitForText, type Browser } from './browser';
import { serveBench, type BenchServer } from './bench-server';

let server: BenchServer;
let browser: Browser;
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-parts-'));
beforeAll(async () => {
  server = await serveBench('empty');
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.quit();
  await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

function partFile(name: string, bytes: Uint8Array | string): string {
  const file = path.join(folder, name);
  writeFileSync(file, bytes);
  return file;
}

async function fill(fields: Record<string, string>): Promise<void> {
  for (const [name, text] of Object.entries(fields)) await typeOver(browser.driver, `[name="${name}"]`, text);
}

test('on an empty bench the first job makes its printer, resin and profile on the way', async () => {
  const { driver } = browser;
  await driver.get(server.address);
  await waitForText(
    driver,
    'No jobs yet. Create a job for one thing that must fit. You add its printer, resin and caliper as you go.',
  );
  await fill({ name: 'Spacer block' });
  await click(driver, 'Create job');
  await waitForText(driver, 'no printer chosen yet');
  await fill({ printerName: 'My printer', resinName: 'My resin', profileName: '0.05 mm', layerMm: '0,05' });
  await (await find(driver, 'input[name=simulated]')).click();
  await click(driver, 'Create profile');
  await waitForText(driver, 'My resin on My printer');
});

test('a feature is entered with its kind drawn, and a wrong limit is refused with nothing lost', async () => {
  const { driver } = browser;
  await click(driver, 'Add feature');
  await waitForText(driver, 'outside along X');
  await fill({ sense: 'inside' });
  await waitForText(driver, 'inside along X');
  await fill({ sense: 'outside', targetMm: '10', lowerDeviationMm: '0.2' });
  await typeOver(driver, '[role=dialog] [name="name"]', 'Width');
  await click(driver, 'Add feature');
  await waitForText(
    driver,
    'the lower limit must be below the upper limit. Enter both as signed deviations, such as −0.05 and +0.05.',
  );
  expect(await (await find(driver, '[name="targetMm"]')).getAttribute('value')).toBe('10');
  await fill({ lowerDeviationMm: '-0.08' });
  await click(driver, 'Add feature');
  await waitFor(
    driver,
    async () => (await driver.findElements(By.css('[role=dialog]'))).length === 0,
    'the dialog stays open',
  );
  await waitForText(driver, 'no mate');
});

test.each([
  ['empty.stl', '', 'the file is empty'],
  [
    'other.stl',
    'dear modeller',
    'this file is not STL, OBJ, PLY or 3MF. Export the part in one of these formats.',
  ],
  ['lost.obj', 'v 0 0 0\nf 1 2 3\n', 'facet 1 refers to vertex 2'],
  ['cut.stl', writeStl(box(1, 1, 1)).slice(0, 300), 'the file is incomplete: it announces 12 facets'],
] as const)('%s is refused in a sentence, and nothing changes', async (name, bytes, sentence) => {
  const { driver } = browser;
  await driver.findElement(By.css('input[type=file]')).sendKeys(partFile(name, bytes));
  await waitForText(driver, sentence);
  expect(await driver.findElements(By.css('canvas'))).toHaveLength(0);
});

test('a part is brought in, a click on it places a feature, and the corrected file becomes the attempt', async () => {
  const { driver } = browser;
  await driver
    .findElement(By.css('input[type=file]'))
    .sendKeys(partFile('block.3mf', write3mf(box(10, 20, 6))));
  await waitForText(driver, '10.00 × 20.00 × 6.00 mm');
  const canvas = await find(driver, 'canvas');
  await waitFor(driver, async () => (await canvas.getRect()).height > 100, 'the view has no height');
  await click(driver, 'Width');
  await waitForText(driver, 'Click a face of this feature on the part.');
  await driver.actions().move({ origin: canvas, x: 0, y: 10 }).click().perform();
  await waitFor(
    driver,
    async () =>
      !(await driver.findElement(By.css('main')).getText()).includes(
        'Features not on the part yet. Choose one, then click a face of the part:',
      ),
    'it was not placed',
  );

  await driver.get(`${(await driver.getCurrentUrl()).replace('/need', '/correct')}`);
  await click(driver, 'Correct file');
  await waitForText(driver, 'Sizes measured in both files, and the expected print of the corrected file');
  const before = await (await find(driver, '//section[.//h2[contains(., "whole file")]]//td[1]')).getText();
  const after = await (await find(driver, '//section[.//h2[contains(., "whole file")]]//td[2]')).getText();
  expect(before).toBe('10.000');
  // Nothing measured yet, so the prior corrects: (10 − 2·0.03)/(1 − 0.003) = 9.970
  expect(Number(after)).toBeCloseTo(9.97, 2);
  await waitForText(driver, '10.000 ±');
  await click(driver, 'Start attempt 1 with this file');
  await waitForText(driver, 'Attempt 1 is drawn and ready to print');
  await driver.get(`${(await driver.getCurrentUrl()).replace('/measure', '/correct')}`);
  await waitForText(driver, after);
  expect(await browser.errors()).toEqual([]);
});

test('the first caliper is made where it is first needed', async () => {
  const { driver } = browser;
  await driver.get(`${(await driver.getCurrentUrl()).replace('/correct', '/measure')}`);
  await click(driver, 'Print on the simulated printer');
  await waitForText(driver, 'Add a caliper first');
  await fill({ name: 'My caliper' });
  await (await find(driver, 'input[name=simulated]')).click();
  await click(driver, 'Add caliper');
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await click(driver, 'Close the jaws of the simulated caliper');
  await waitForText(driver, 'second of three');
});

test('a job is copied, put away and taken out again', async () => {
  const { driver } = browser;
  await driver.get(`${(await driver.getCurrentUrl()).replace('/measure', '/need')}`);
  await click(driver, 'Duplicate job');
  await waitForText(driver, 'Spacer block, copy');
  await click(driver, 'Archive job');
  await waitForText(driver, 'Job name');
  await driver.get(`${server.address}/house`);
  await click(driver, 'Spacer block, copy');
  await click(driver, 'Unarchive job');
  await waitForText(driver, 'Archive job');
});
