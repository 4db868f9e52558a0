import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { existsSync, readdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { By } from 'selenium-webdriver';
import { databaseFile } from '@/store';
import { pngOf } from '@/testing/pictures';
import { serveBench, startServer, type BenchServer } from './bench-server';
import { type Browser, click, find, openBrowser, typeOver, waitFor, waitForText } from './browser';

let server: BenchServer;
let browser: Browser;
beforeAll(async () => {
  server = await serveBench('demo');
  browser = await openBrowser();
});
afterAll(async () => {
  await browser.quit();
  await server.stop();
});

const visit = (place: string) => browser.driver.get(`${server.address}${place}`);

const inDialog = async (button: string) =>
  (await find(browser.driver, `//*[@role="dialog"]//button[normalize-space(.)="${button}"]`)).click();

const backupFile = () => path.join(browser.downloads, 'bench-backup.tar.gz');

test('a backup is saved, put in place by mouse, the bench before is listed, put back and deleted', async () => {
  const { driver } = browser;
  await visit('/house');
  await click(driver, 'Back up workshop');
  await waitFor(driver, async () => existsSync(backupFile()), 'no backup was saved');
  await typeOver(driver, '[name="benchName"]', 'Changed since');
  await click(driver, 'Save general settings');
  await waitForText(driver, 'Saved');
  await (await find(driver, 'input[aria-label="Backup file"]')).sendKeys(backupFile());
  await click(driver, 'Restore');
  await waitForText(driver, 'The backup was restored. The previous workshop is kept and listed in Settings.');
  await waitForText(driver, 'Workshops replaced by a restore');
  expect(await (await find(driver, '[name="benchName"]')).getAttribute('value')).not.toBe('Changed since');
  await click(driver, 'Restore …');
  await inDialog('Restore');
  await waitForText(driver, 'That workshop is in use again.');
  await visit('/house');
  expect(await (await find(driver, '[name="benchName"]')).getAttribute('value')).toBe('Changed since');
  await click(driver, 'Delete …');
  await inDialog('Delete');
  await waitForText(driver, 'Deleted.');
  await waitFor(
    driver,
    async () => (await driver.findElements(By.xpath('//button[starts-with(., "Restore …")]'))).length === 0,
    'it is still listed',
  );
  expect(readdirSync(path.join(server.folder, 'benches'))).toHaveLength(1);
});

test('a file that is no backup is refused in a sentence, and stays to be chosen again', async () => {
  const { driver } = browser;
  await visit('/house');
  const file = path.join(browser.downloads, 'notes.tar.gz');
  writeFileSync(file, 'no archive');
  await (await find(driver, 'input[aria-label="Backup file"]')).sendKeys(file);
  await click(driver, 'Restore');
  await waitForText(driver, 'this file is not a backup. Choose the file that “Back up workshop” saved.');
});

test('photos of 14 MB are kept whole; one of 16 is refused before it is sent', async () => {
  const { driver } = browser;
  await visit('/jobs/8/need');
  const photo = pngOf(4000, 3500, { grey: 3 });
  const file = path.join(browser.downloads, 'large.png');
  writeFileSync(file, photo);
  const form = '//form[@aria-label="Add photo or sketch"]';
  await (await find(driver, `${form}//input[@type="file"]`)).sendKeys(file);
  await typeOver(driver, '[name="caption"]', 'the wheel, close');
  await (await find(driver, `${form}//button`)).click();
  await waitForText(driver, 'Picture saved.');
  const picture = String(await (await find(driver, 'img[alt="the wheel, close"]')).getAttribute('src'));
  expect((await (await fetch(picture)).arrayBuffer()).byteLength).toBe(photo.length);
  writeFileSync(file, Buffer.concat([photo, Buffer.alloc(2e6)]));
  await visit('/jobs/8/need');
  await (await find(driver, `${form}//input[@type="file"]`)).sendKeys(file);
  await (await find(driver, `${form}//button`)).click();
  await waitForText(driver, 'the limit is 15 MB');
});

test('a bench that cannot be opened shows why, and a backup put in place there brings it back', async () => {
  const { driver } = browser;
  server.process.kill('SIGKILL');
  const file = databaseFile(server.folder);
  renameSync(file, `${file}.away`);
  const bytes = readFileSync(`${file}.away`);
  bytes.fill(0xaa, 4096 * 9, 4096 * 10);
  writeFileSync(file, bytes);
  const again = await startServer(server.folder, Number(new URL(server.address).port));
  try {
    await visit('/jobs/8/measure');
    await waitForText(driver, 'The workshop cannot be opened');
    await waitForText(driver, 'is damaged. Restore a backup');
    await (await find(driver, 'input[aria-label="Backup file"]')).sendKeys(backupFile());
    await click(driver, 'Restore');
    // The page that was asked for is there again.
    await waitForText(driver, 'Float-wheel bushing');
  } finally {
    again.kill('SIGKILL');
  }
});
