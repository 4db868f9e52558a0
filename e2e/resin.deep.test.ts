import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { By, Key } from 'selenium-webdriver';
import { click, find, openBrowser, press, typeOver, waitFor, waitForText, type Browser } from './browser';
import { serveBench, type BenchServer } from './bench-server';

let demo: BenchServer;
let empty: BenchServer;
let browser: Browser;
const folder = mkdtempSync(path.join(tmpdir(), 'mellow-resin-'));
beforeAll(async () => {
  [demo, empty] = [await serveBench('demo'), await serveBench('empty')];
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.quit();
  await Promise.all([demo.stop(), empty.stop()]);
  rmSync(folder, { recursive: true, force: true });
});

const VANE = '/jobs/9/resin';

async function visit(server: BenchServer, address: string): Promise<void> {
  await browser.driver.get(server.address + address);
  await find(browser.driver, 'h1');
}

function mainText(): Promise<string> {
  return browser.driver.findElement(By.css('main')).getText();
}

/** Ticks the box whose label says this. */
async function tick(label: string): Promise<void> {
  const box = await find(browser.driver, `//label[contains(normalize-space(.), "${label}")]/input`);
  await browser.driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', box);
  await box.click();
}

test('the vane: reasons read, two compared, one chosen, and the ledger remembers why', async () => {
  const { driver } = browser;
  await visit(demo, VANE);
  await waitForText(driver, '1 of 9 pass');
  const text = await mainText();
  expect(text).toContain(
    'The job uses Slate General: heat deflection temperature 59.3 °C, 47.7 K below the 107 °C needed',
  );
  expect(text).toContain('elongation at break 1.6 %, 4.5 % needed');
  await click(driver, 'Show margins and required changes: Hearth');
  await waitForText(driver, 'ask for 1.6 % at most');
  await tick('compare Anvil Impact');
  await tick('compare Hearth');
  await waitForText(driver, 'Side by side');
  await waitForText(driver, 'fails: 1.6 %, needed 4.5 %');
  await typeOver(driver, '[name="reason"]', 'snaps and stands the cabinet');
  await click(driver, 'Choose Anvil Impact');
  await waitForText(driver, 'Anvil Impact chosen.');
  await waitForText(driver, 'Process card of Anvil Impact');
  await waitForText(driver, 'passes with 3.9 K to spare beyond the margin; snaps and stands the cabinet');
  await waitForText(driver, 'Anvil Impact on Long Bench, 0.05 mm');
});

test('by keyboard: a hotter making step leaves nothing, and the nearest three are named', async () => {
  const { driver } = browser;
  await visit(demo, VANE);
  await (await find(driver, '[name="processMax_C"]')).click();
  await press(driver, '121', Key.ENTER);
  await waitForText(driver, 'No resin passes all requirements. The closest are:');
  await waitForText(driver, '25.1 K below the 136 °C needed');
  await typeOver(driver, '[name="processMax_C"]', 'warm');
  await press(driver, Key.ENTER);
  await waitForText(driver, '“warm” is not a number');
  expect(await (await find(driver, '[name="processMax_C"]')).getAttribute('value')).toBe('warm');
  await typeOver(driver, '[name="processMax_C"]', Key.DELETE);
  await press(driver, Key.ENTER);
  await waitForText(driver, '1 of 9 pass');
});

test('a strain worked out under Fit is asked of the resin', async () => {
  const { driver } = browser;
  await visit(demo, '/jobs/9/fit');
  const tab = await find(driver, '//button[@role="tab"][contains(., "Snap hook")]');
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', tab);
  await tab.click();
  await click(driver, 'Add to resin requirements');
  await waitForText(driver, '% elongation at break.');
});

test('a blend is mixed, its shares must add up, and a bar of it proves its modulus', async () => {
  const { driver } = browser;
  await visit(demo, '/shelf/blend');
  await waitForText(
    driver,
    'to be tested: heat resistance, elongation at break, impact, hardness, printability, and whether it stays mixed',
  );
  await typeOver(driver, '[name="resin_3"]', 'Otter Tough');
  await typeOver(driver, '[name="percent_3"]', '10');
  await waitForText(driver, 'the parts add up to 110 %, not 100 %');
  await typeOver(driver, '[name="percent_1"]', '70');
  await typeOver(driver, '[name="percent_2"]', '20');
  await waitFor(driver, async () => !(await mainText()).includes('add up to'), 'the shares do not add up');
  await typeOver(driver, '[name="name"]', 'Three in one');
  await click(driver, 'Add blend to resins');
  await waitForText(driver, '70 % Slate General + 20 % Kelp Flex + 10 % Otter Tough');
  await waitForText(driver, 'A blend is off-label');
  await click(driver, 'Save test');
  await waitForText(driver, 'The field is empty. Type a number, such as 12.34.');
  await click(driver, 'Run simulated test');
  await waitFor(
    driver,
    () => driver.executeScript<boolean>('return document.querySelector("[name=massG_5]")?.value !== ""'),
    'the bench did not load the bar',
  );
  await click(driver, 'Save test');
  await waitForText(driver, 'Saved: ');
  const proven = await find(driver, '//th[normalize-space(.)="Flexural modulus"]/following-sibling::td[3]');
  expect(await proven.getText()).toMatch(/^\d+ MPa, between \d+ MPa and \d+ MPa$/);
});

test('a sheet in °F and psi is converted and shown, a contradiction is refused', async () => {
  const { driver } = browser;
  await visit(demo, '/shelf');
  await typeOver(driver, '[name="name"]', 'Sandbank');
  await click(driver, 'Add resin');
  await waitForText(driver, 'Unknown: tensile modulus');
  await click(driver, 'Add datasheet value');
  await typeOver(driver, '[name="value"]', '143.6');
  await typeOver(driver, '[name="unit"]', '°F');
  await click(driver, 'Save value');
  await waitForText(driver, 'Saved, converted from 143.6 °F.');
  await waitForText(driver, 'entered as 143.6 °F');
  await typeOver(driver, '[name="property"]', 'deflectionHigh_C');
  await typeOver(driver, '[name="value"]', '90');
  await click(driver, 'Save value');
  await waitForText(
    driver,
    '°C. A higher load gives a lower temperature. Check whether the two are swapped.',
  );
});

test('the shelf is carried to an empty bench, proofs and blends too; a bad file takes nothing', async () => {
  const { driver } = browser;
  const answer = await fetch(`${demo.address}/api/shelf`);
  const file = path.join(folder, 'shelf.json');
  writeFileSync(file, await answer.text());
  await visit(empty, '/shelf');
  await waitForText(
    driver,
    'No resins yet. Add your first resin below, import a resin file, or add eight sample resins to try the program.',
  );
  const bad = path.join(folder, 'bad.csv');
  writeFileSync(bad, 'resin,property,value,unit\nDune,density_g_ml,0,g/ml\n');
  await (await find(driver, 'input[type=file]')).sendKeys(bad);
  await waitForText(driver, 'line 2, density_g_ml: a density must be above zero');
  await (await find(driver, 'input[type=file]')).sendKeys(file);
  await waitForText(driver, '11 new resins');
  await click(driver, 'Slate with a quarter Kelp');
  await waitForText(driver, 'did not break: at least 17.4 %');
});

test('a shelf of five thousand scrolls in its frame and is held against a job', async () => {
  const { driver } = browser;
  const rows = Array.from({ length: 5000 }, (_, i) =>
    [
      `R${String(i).padStart(4, '0')},deflectionHigh_C,${50 + (i % 90)},°C`,
      `R${String(i).padStart(4, '0')},elongation,${1 + (i % 37)},%`,
    ].join('\n'),
  );
  const body = `resin,property,value,unit\n${rows.join('\n')}\n`;
  expect((await fetch(`${empty.address}/api/shelf`, { method: 'POST', body })).status).toBe(200);
  await visit(empty, '/shelf');
  await waitForText(driver, 'Search 5011 resins');
  const frame = await find(driver, '[role=list]');
  await driver.executeScript('arguments[0].scrollTop = 150000', frame);
  await waitFor(
    driver,
    async () => /R2\d{3}/.test(await frame.getText()),
    'the middle of the shelf is not drawn',
  );
  expect((await frame.findElements(By.css('[role=listitem]'))).length).toBeLessThan(60);
  await typeOver(driver, '#look', 'R4321');
  await waitFor(driver, async () => !(await frame.getText()).includes('R2'), 'the shelf is not narrowed');
  expect(await frame.getText()).toContain('R4321');
  await driver.get(empty.address);
  await typeOver(driver, '[name="name"]', 'Spacer');
  await press(driver, Key.ENTER);
  await waitFor(driver, async () => (await driver.getCurrentUrl()).includes('/jobs/1'), 'no job was made');
  await visit(empty, '/jobs/1/resin');
  await typeOver(driver, '[name="serviceMax_C"]', '90');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'beyond the margin');
  await click(driver, 'Show margins and score');
  await waitForText(driver, 'heat to spare');
});
