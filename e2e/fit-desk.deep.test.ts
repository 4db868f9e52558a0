import { afterAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { By } from 'selenium-webdriver';
import { click, find, typeOver, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-desk-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

const BUSHING = '/jobs/8';

async function visit(address: string): Promise<void> {
  await bench.browser.driver.get(bench.server.address + address);
  await find(bench.browser.driver, 'h1');
}

function mainText(): Promise<string> {
  return bench.browser.driver.findElement(By.css('main')).getText();
}

async function waitForNoDialog(): Promise<void> {
  const { driver } = bench.browser;
  await waitFor(
    driver,
    async () => (await driver.findElements(By.css('[role=dialog]'))).length === 0,
    'the dialog stays open',
  );
}

/** A value of the open panel: the text beside its term. */
async function figure(term: string): Promise<string> {
  return (
    await find(bench.browser.driver, `//dt[normalize-space(.)="${term}"]/following-sibling::dd[1]`)
  ).getText();
}

test('a wish by class, by letters and by a bought bearing, each with what it comes to', async () => {
  const { driver } = bench.browser;
  await visit(`${BUSHING}/fit`);
  await click(driver, 'Change fit for Sleeve bore');
  await waitForText(driver, 'Chance of a right fit:');
  await typeOver(driver, '[name="isoFit"]', 'H7/zz6');
  await click(driver, 'Save fit');
  await waitForText(driver, 'shaft letter zz');
  await typeOver(driver, '[name="isoFit"]', 'H7/g6');
  await typeOver(driver, '[name="lowMm"]', ' ');
  await typeOver(driver, '[name="highMm"]', ' ');
  await click(driver, 'Save fit');
  await waitForNoDialog();
  await waitForText(driver, 'This printer scatters more than H7/g6 allows');
  await waitForText(driver, 'The best possible chance is');

  await click(driver, 'Change fit for Sleeve bore');
  await typeOver(driver, '#standard', 'Bearing 8 × 22 × 7, outside (ISO 15)');
  expect(await (await find(driver, '[name="mateMm"]')).getAttribute('value')).toBe('21.996');
  await typeOver(driver, '[name="isoFit"]', ' ');
  await typeOver(driver, '[name="wish"]', 'push');
  await click(driver, 'Save fit');
  await waitForNoDialog();
  await waitForText(driver, 'on Bearing 8 × 22 × 7, outside (ISO 15), steel, 22.00');
  await waitForText(driver, 'Something changed after attempt 1 was created');
});

test('a mate never measured is said, and the wish is kept', async () => {
  const { driver } = bench.browser;
  await visit(`${BUSHING}/fit`);
  await click(driver, 'Set fit for Height');
  await typeOver(driver, '[name="mateName"]', 'the lid');
  await click(driver, 'Save fit');
  await waitForText(driver, 'Saved. “the lid” has no size yet');
  await waitForText(driver, 'the lid has no size, so no clearance can be calculated');
});

test('a press fit judges the worst case, and refuses a hub without a wall', async () => {
  const { driver } = bench.browser;
  await visit(`${BUSHING}/fit`);
  await waitForText(driver, 'Fastening');
  for (const [id, text] of [
    ['interfaceMm', '8'],
    ['outerMm', '14'],
    ['lowMm', '0.02'],
    ['highMm', '0.05'],
    ['lengthMm', '8'],
  ])
    await typeOver(driver, `#desk-${id}`, text);
  await typeOver(driver, '#press-material', 'steel');
  const hub = await find(driver, '//label[contains(., "The hub (stretched) is the printed part")]/input');
  if (!(await hub.isSelected())) await hub.click();
  // Lamé for a hub of 1750 MPa, ν 0.4: p = 0.05/(8·(1.970+0.4)/1750 + …) = 4.60 MPa
  await waitFor(driver, async () => (await figure('pressure')) === '4.60 MPa', 'another pressure');
  expect(await mainText()).toContain('of its strength');
  await typeOver(driver, '#desk-outerMm', '7');
  await waitForText(
    driver,
    'the three diameters must rise in this order: shaft bore, interface, hub outside. The length must be above zero. As entered, one part has no wall.',
  );
});

test('a hook that would break says how long it must be', async () => {
  const { driver } = bench.browser;
  await visit('/jobs/5/fit');
  await click(driver, 'Snap hook');
  await typeOver(driver, '#desk-lengthMm', '4');
  await waitForText(driver, 'would break or stay bent');
  // √(1.5 · 1.6 · 0.7 / 0.035) = 6.9 mm at half of Slate's 7 %.
  await waitForText(driver, 'Shortest hook of this thickness: 6.9 mm');
  await typeOver(driver, '#desk-lengthMm', '8');
  await waitForText(driver, 'bends within the limit of the resin');
});

test('screws are advised with what to draw here; a chain of sizes names who contributes', async () => {
  const { driver } = bench.browser;
  await visit('/jobs/5/fit');
  await click(driver, 'Screws');
  await waitForText(driver, 'A hot insert cracks it or makes it crumble');
  await waitForText(driver, 'hole for the bolt 3.40, draw 3.');
  await click(driver, 'Tolerance chain');
  await typeOver(driver, '#boughtMm', '0');
  await click(driver, 'Add');
  await waitForText(driver, 'a bought part needs its size');
  const length = await find(driver, '//select[@id="feature"]/option[contains(., "Length")]');
  await length.click();
  await click(driver, 'Add');
  await waitForText(driver, 'remaining gap 108.000 mm');
  await (await find(driver, '//select[@id="feature"]/option[@value=""]')).click();
  await typeOver(driver, '#boughtName', 'rail');
  await typeOver(driver, '#boughtMm', '106');
  await typeOver(driver, '#halfMm', '0.05');
  await typeOver(driver, '#direction', 'closes');
  await click(driver, 'Add');
  await waitForText(driver, 'remaining gap 2.000 mm; worst case ± 0.250');
  // 0.2² / (0.2² + 0.05²) = 94 %
  await waitForText(driver, '94 %');
  await click(driver, 'Standard parts');
  await waitForText(driver, 'ISO 4032:2012');
  await click(driver, 'Lead-ins and facets');
  await waitForText(driver, '71 sides keep the facet error');
  expect(await bench.browser.errors()).toEqual([]);
});

test('what a resin stands is typed once and kept with it', async () => {
  const { driver } = bench.browser;
  await visit('/jobs/5/fit');
  await click(driver, 'From its datasheet');
  await typeOver(driver, '[name="breakPercent"]', '12');
  await click(driver, 'Save to the resin');
  await waitForText(driver, 'breaks at 12 %.');
});

test('a claim raises its caution at once, and a changed need says what it opened again', async () => {
  const { driver } = bench.browser;
  await visit('/jobs/5/need');
  const mains = await find(driver, '//label[contains(., "mains voltage")]/input');
  for (const folded of ['Heat and load', 'Contact, safety and ratings']) {
    const fold = await find(driver, `//details[summary[contains(., "${folded}")]]`);
    await driver.executeScript('arguments[0].open = true', fold);
  }
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', mains);
  await mains.click();
  await waitForText(driver, 'a licensed electrician decides by the local code');
  await typeOver(driver, '[name="fitC"]', '55');
  await typeOver(driver, '[name="acceptance"]', 'Every terminal stays at 55 °C.');
  await click(driver, 'Save requirements');
  await waitForText(driver, 'The limits of Bore 5.2');
  await waitForText(driver, 'The acceptance test was reopened');
  await waitForText(driver, 'Attempt 3 was created before this change');
  await visit('/jobs/5/story');
  await waitForText(driver, 'Result of print A3 in the acceptance test');
});

test('a photo is kept with the job, what is none is refused, and the outline stands at true size', async () => {
  const { driver } = bench.browser;
  await visit(`${BUSHING}/need`);
  await waitForText(driver, 'Actual size');
  const outline = await find(driver, 'svg[aria-label^="Outline at actual size"]');
  // 1 mm on the screen is 96/25.4 px: section and plan of a ring of 15.88 side by side.
  const { width } = await outline.getRect();
  expect(width / (96 / 25.4)).toBeGreaterThan(2 * 15.8);
  const text = path.join(folder, 'note.png');
  writeFileSync(text, 'no picture at all');
  const file = await find(driver, 'input[name=file]');
  await file.sendKeys(text);
  await click(driver, 'Save picture');
  await waitForText(
    driver,
    'this file is not a JPEG, PNG or WebP picture. Save the picture in one of these formats.',
  );
  const photo = path.join(folder, 'wheel.png');
  writeFileSync(photo, await driver.takeScreenshot(), 'base64');
  await file.sendKeys(photo);
  await typeOver(driver, '[name="caption"]', 'the old wheel');
  await click(driver, 'Save picture');
  await waitForText(driver, 'Picture saved.');
  await find(driver, 'img[alt="the old wheel"]');
  await click(driver, 'Remove picture: the old wheel');
  await waitFor(
    driver,
    async () => (await driver.findElements(By.css('img[alt="the old wheel"]'))).length === 0,
    'the photo stays',
  );
});

test('the house’s classes are edited, and one that does not rise is refused by name', async () => {
  const { driver } = bench.browser;
  await visit('/house');
  await typeOver(driver, 'input[name=high_push]', '-0.2');
  await click(driver, 'Save fit classes');
  await waitForText(driver, 'Must be below the maximum');
  await typeOver(driver, 'input[name=high_push]', '0.05');
  await click(driver, 'Save fit classes');
  await waitForText(
    driver,
    'Saved for new jobs. Existing jobs keep their agreed limits; Fit offers the new ones for each job.',
  );
  await waitForText(driver, 'checked with the caliper');
});

test('a push is weighed, a broken print noted, and the story remembers both', async () => {
  const { driver } = bench.browser;
  await visit(`${BUSHING}/measure`);
  await click(driver, 'Start measuring');
  await waitForText(driver, 'first of three');
  await typeOver(driver, 'input[aria-label^="Push force, N (optional)"]', '14');
  await click(driver, 'needs force');
  await waitForText(driver, 'hand fit: needs force');
  await click(driver, 'Report a broken part');
  await typeOver(driver, 'details input:not([type])', 'the rim split at the seam');
  await click(driver, 'Save report');
  await visit(`${BUSHING}/story`);
  await waitForText(driver, 'hand fit: needs force, pushed with 14 N');
  await waitForText(driver, 'broken: the rim split at the seam');
  expect(await bench.browser.errors()).toEqual([]);
});

test('a block chosen for a job is built for its sizes and belongs to its printer', async () => {
  const { driver } = bench.browser;
  await visit('/gauges?choice=chosenBlock&job=5&profile=2');
  await waitForText(driver, 'Sizes chosen for job Sample vial rack');
  await typeOver(driver, '[name="count"]', '4');
  await waitForText(driver, 'mm high, closed');
  await click(driver, 'Create gauge');
  await waitForText(driver, 'File as STL');
  const heading = await driver.findElement(By.css('h1')).getText();
  expect(heading).toBe('Signature block, custom sizes');
  await waitForText(driver, 'Slate General on Long Bench');
});
