import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import type { Driver } from 'selenium-webdriver/chrome';
import { click, find, openBrowser, press, waitFor, waitForText, type Browser } from './browser';
import { serveBench, type BenchServer } from './bench-server';

let server: BenchServer;
let browser: Browser;
beforeAll(async () => {
  server = await serveBench('demo');
  browser = await openBrowser();
  await browser.driver.get(`${server.address}/jobs/8/measure`);
  await click(browser.driver, 'Start measuring');
  await waitForText(browser.driver, 'first of three');
});
afterAll(async () => {
  await browser.quit();
  await server.stop();
});

const field = () => find(browser.driver, '#reading');
const features = async () =>
  (await browser.driver.findElement(By.css('ul[aria-label="Features"]')).getText()).replace(/\s+/g, ' ');
const rowSays = (text: string) =>
  waitFor(browser.driver, async () => (await features()).includes(text), `no row says “${text}”`);

test('a caliper that types is taken at Enter, comma decimals too, with a note', async () => {
  await press(browser.driver, '15,95', Key.ENTER);
  await waitForText(browser.driver, 'comma read as decimal point');
  await rowSays('15.95');
  await waitForText(browser.driver, 'second of three');
});

test('a word instead of a number is refused with how to mend it, and stays in the field', async () => {
  await press(browser.driver, '12x', Key.ENTER);
  await waitForText(browser.driver, '“x” is not a unit of a length');
  expect(await (await field()).getAttribute('value')).toBe('12x');
  await press(browser.driver, Key.BACK_SPACE, Key.BACK_SPACE, Key.BACK_SPACE);
});

test('inches are asked about: the guess is kept with one press', async () => {
  await press(browser.driver, '0.628', Key.ENTER);
  await waitForText(browser.driver, 'is 25.4 times too small. Is it in inches? That would be');
  expect(await features()).not.toContain('0.63');
  await click(browser.driver, 'Change to 15.95 mm');
  await rowSays('15.95 15.95');
});

test('a half-typed number outlives a reload', async () => {
  await press(browser.driver, '15.9');
  await browser.driver.navigate().refresh();
  await waitFor(
    browser.driver,
    async () => (await (await field()).getAttribute('value')) === '15.9',
    'the draft is lost',
  );
  await press(browser.driver, '6', Key.ENTER);
  await rowSays('15.95 15.95 15.96');
});

test('Backspace on the empty field takes the last one back', async () => {
  await waitForText(browser.driver, 'Sleeve bore, first of three');
  await press(browser.driver, Key.BACK_SPACE);
  await waitForText(browser.driver, 'Deleted reading 15.96 of Collar outside');
  await waitFor(browser.driver, async () => !(await features()).includes('15.96'), 'it still stands');
});

test('without a connection a reading waits here and goes out by itself', async () => {
  const devtools = browser.driver as Driver;
  const conditions = { latency: 0, downloadThroughput: -1, uploadThroughput: -1 };
  // A page that is fresh waits for no answer: one that gets lost would make the framework leave the page.
  await devtools.navigate().refresh();
  await click(devtools, 'Sleeve bore');
  await waitForText(devtools, 'Reading Sleeve bore');
  await devtools.sendDevToolsCommand('Network.enable', {});
  await devtools.sendDevToolsCommand('Network.emulateNetworkConditions', { offline: true, ...conditions });
  await press(browser.driver, '9.43', Key.ENTER);
  await waitForText(browser.driver, 'saved in this browser until it responds.');
  await devtools.sendDevToolsCommand('Network.emulateNetworkConditions', { offline: false, ...conditions });
  await browser.driver.navigate().refresh();
  await rowSays('9.43');
});

test('a word of fit is one letter on the empty field', async () => {
  await press(browser.driver, 'e');
  await waitForText(browser.driver, 'hand fit: needs force');
  const pressed = await find(browser.driver, '//button[@aria-pressed="true"][contains(., "needs force")]');
  expect(await pressed.isDisplayed()).toBe(true);
});

test('two windows on one job: both readings stay, and the later one is told', async () => {
  const { driver } = browser;
  const [first] = await driver.getAllWindowHandles();
  await driver.switchTo().newWindow('tab');
  await driver.get(`${server.address}/jobs/8/measure`);
  await click(driver, 'Sleeve bore');
  await waitForText(driver, 'Reading Sleeve bore');
  const second = await driver.getWindowHandle();
  await driver.switchTo().window(first);
  await click(driver, 'Sleeve bore');
  await press(browser.driver, '9.42', Key.ENTER);
  await rowSays('9.43 9.42');
  await driver.switchTo().window(second);
  await press(browser.driver, '9.44', Key.ENTER);
  await waitForText(driver, 'Another window saved 1 reading');
  await rowSays('9.43 9.42 9.44');
  await driver.close();
  await driver.switchTo().window(first);
});
