import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { By, Key } from 'selenium-webdriver';
import { type Browser, click, find, openBrowser, press, typeOver, waitFor, waitForText } from './browser';
import { type BenchServer, serveBench } from './bench-server';

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

const go = async (path: string) => {
  await browser.driver.get(server.address + path);
  await find(browser.driver, 'h1, h2');
};

const open = (summary: string) =>
  browser.driver.executeScript(
    `for (const each of document.querySelectorAll('details')) if (each.querySelector('summary')?.textContent.includes(arguments[0])) each.open = true`,
    summary,
  );

/** Answers what is known not to be well with a reason, then everything else at once. */
async function passGate(): Promise<void> {
  const { driver } = browser;
  for (;;) {
    const fields = await driver.findElements(
      By.xpath("//label[contains(., 'Print it all the same')]//input"),
    );
    if (fields.length === 0) break;
    await fields[0].sendKeys('for the journey');
    await driver.findElement(By.xpath("//button[starts-with(., 'All the same')]")).click();
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.xpath("//label[contains(., 'Print it all the same')]//input"))).length <
        fields.length,
      'the reason was not taken',
    );
  }
  await driver.findElement(By.xpath("//button[contains(., 'are well') or contains(., 'is well')]")).click();
  await waitForText(driver, 'Start it on the simulated printer');
}

async function startAt(speed: string): Promise<void> {
  const { driver } = browser;
  const choice = await driver.findElement(By.xpath("//label[contains(., 'Its clock runs')]/select"));
  await choice.sendKeys(speed);
  await click(driver, 'Start it on the simulated printer');
}

describe('a plate of several things', () => {
  test('what prints is heard, ends by a tap, and its prints go on', async () => {
    const { driver } = browser;
    await go('/runs/1');
    // The demo's print runs by the wall clock: late in a long run of suites it is through by itself.
    await waitFor(
      driver,
      async () =>
        /Ends about|To wash, cure and caliper/.test(await driver.findElement(By.css('main')).getText()),
      'the run shows neither its clock nor its prints',
    );
    if ((await driver.findElement(By.css('main')).getText()).includes('Ends about')) {
      await waitForText(driver, 'layer');
      await open('It is through');
      await click(driver, 'Off the printer');
    }
    await waitForText(driver, 'To wash, cure and caliper');
    expect(await driver.findElement(By.css('main, body')).getText()).toContain('Sample vial rack');
  });

  test('two bushings and a gauge on one plate, to three copies that are read', async () => {
    const { driver } = browser;
    await go('/runs/2');
    const job = await find(driver, 'select[name=jobId]');
    await job.sendKeys('Signature block');
    await click(driver, 'Lay it on');
    await waitFor(
      driver,
      async () => (await driver.findElements(By.css('[aria-label^="Signature block"]'))).length > 0,
      'the gauge does not lie on the plate',
    );
    await waitForText(driver, '300 layers');
    await passGate();
    await startAt('600');
    await waitForText(driver, 'To wash, cure and caliper');
    const links = await driver.findElements(By.xpath("//a[contains(., 'To wash, cure and caliper')]"));
    expect(links).toHaveLength(3);
    const prints = await Promise.all(links.map((link) => link.getAttribute('href')));
    await driver.get(prints[0]!);
    await waitForText(driver, 'Together with the 2 others of its plate');
    await click(driver, 'Begin');
    await waitForText(driver, 'left');
    await driver.get(prints[1]!);
    // The bath is shared: its timer runs for the other copy too.
    await waitForText(driver, 'left');
    for (const print of prints) {
      const address = print!.replace('/run?', '/measure?');
      await driver.get(address);
      await click(driver, 'Start measuring');
      await waitForText(driver, 'of three');
      await press(driver, 'c');
      await waitFor(
        driver,
        async () => (await driver.findElements(By.css('[data-reading]'))).length > 0,
        'the copy was not read',
      );
    }
  });

  test('a print that is to be topped up is, and the vat and the run remember it', async () => {
    const { driver } = browser;
    await go('/jobs/5/run');
    await open('Print it again');
    await click(driver, 'Lay it on a plate');
    await waitForText(driver, 'What it takes');
    await typeOver(driver, 'input[name=copies]', '2');
    await click(driver, 'Set');
    await waitForText(driver, 'Sample vial rack 2');
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.css('[aria-label^="Plate from above"] [role=button]'))).length === 2,
      'two pieces do not lie there',
    );
    await new Promise((resolve) => setTimeout(resolve, 1000));
    await open('Vat:');
    await typeOver(driver, 'form[aria-label="The vat"] input[name=ml]', '35');
    await click(driver, 'Keep the level');
    await waitForText(driver, 'before layer');
    await waitForText(driver, 'runs dry in');
    await passGate();
    await startAt('as fast');
    await waitForText(driver, 'Ends about');
    await open('Resin was poured in');
    await typeOver(driver, 'form[aria-label="Resin was poured in"] input[name=ml]', '40');
    await driver.findElement(By.xpath("//button[normalize-space(.)='Poured']")).click();
    await waitForText(driver, '40 ml poured');
    await waitFor(
      driver,
      async () => !(await driver.findElement(By.css('ol')).getText()).includes('Pour'),
      'the pour is still wanted',
    );
  });

  test('a stop is kept with where and why', async () => {
    const { driver } = browser;
    await open('The simulated printer');
    await click(driver, 'Have it stop');
    await waitForText(driver, 'The printer says that it stopped');
    await driver.findElement(By.css('input[name=reason]')).sendKeys('came off the plate');
    await click(driver, 'Keep it as stopped');
    await waitForText(driver, 'Stopped at layer');
    await waitForText(driver, 'nothing to use');
  });

  test('by the keyboard a piece is moved, and its place is kept', async () => {
    const { driver } = browser;
    await go('/jobs/8/run');
    await open('Print it again');
    await click(driver, 'Lay it on a plate');
    await waitForText(driver, 'in nine of ten prints');
    const piece = () => find(driver, '[aria-label^="Plate from above"] [role=button]');
    const before = await (await piece()).getAttribute('aria-label');
    // Pressed again until the page has taken hold of its keys; Escape puts back what a half-heard round took up.
    await waitFor(
      driver,
      async () => {
        await driver.executeScript('arguments[0].focus()', await piece());
        for (const key of [Key.ESCAPE, Key.ENTER, Key.ARROW_RIGHT, Key.ARROW_RIGHT, Key.ENTER])
          await press(driver, key);
        await new Promise((resolve) => setTimeout(resolve, 1500));
        return (await (await piece()).getAttribute('aria-label')) !== before;
      },
      'the piece did not move',
    );
  });

  test('a print is turned down for tonight and set for the morning; the day says what that costs', async () => {
    const { driver } = browser;
    await go('/');
    await waitForText(driver, 'All done');
    await open('The same as a table');
    const field = await find(driver, 'input[type=datetime-local]');
    await driver.executeScript('arguments[0].scrollIntoView()', field);
    const tomorrow = new Date(Date.now() + 86_400_000);
    const day = [
      String(tomorrow.getMonth() + 1).padStart(2, '0'),
      String(tomorrow.getDate()).padStart(2, '0'),
      tomorrow.getFullYear(),
    ];
    await field.sendKeys(day.join(''), Key.TAB, '0800AM');
    await click(driver, 'Start it then');
    await waitForText(driver, 'The starts that you set cost');
    await waitForText(driver, '08:00');
    await open('The same as a table');
    await click(driver, 'Plan it freely');
    await waitFor(
      driver,
      async () => !(await driver.findElement(By.css('body')).getText()).includes('The starts that you set'),
      'the start is still set',
    );
    expect(await browser.errors()).toEqual([]);
  });
});
