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
      By.xpath("//label[contains(., 'Reason to start anyway')]//input"),
    );
    if (fields.length === 0) break;
    await fields[0].sendKeys('for the journey');
    await driver.findElement(By.xpath("//button[starts-with(., 'Start anyway')]")).click();
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.xpath("//label[contains(., 'Reason to start anyway')]//input")))
          .length < fields.length,
      'the reason was not taken',
    );
  }
  await driver
    .findElement(By.xpath("//button[.='OK' or (starts-with(., 'All ') and contains(., ' OK'))]"))
    .click();
  await waitForText(driver, 'Start on the simulated printer');
}

async function startAt(speed: string): Promise<void> {
  const { driver } = browser;
  const choice = await driver.findElement(By.xpath("//label[contains(., 'Clock speed')]/select"));
  await choice.sendKeys(speed);
  await click(driver, 'Start on the simulated printer');
}

describe('a plate of several things', () => {
  test('what prints is heard, ends by a tap, and its prints go on', async () => {
    const { driver } = browser;
    await go('/runs/1');
    // The demo's print runs by the wall clock: late in a long run of suites it is through by itself.
    await waitFor(
      driver,
      async () =>
        /Ends at about|Continue to post-processing/.test(await driver.findElement(By.css('main')).getText()),
      'the run shows neither its clock nor its prints',
    );
    if ((await driver.findElement(By.css('main')).getText()).includes('Ends at about')) {
      await waitForText(driver, 'layer');
      await open('Finish print');
      await (await find(driver, "//button[normalize-space(.)='Finish print']")).click();
    }
    await waitForText(driver, 'Continue to post-processing');
    expect(await driver.findElement(By.css('main, body')).getText()).toContain('Sample vial rack');
  });

  test('two bushings and a gauge on one plate, to three copies that are read', async () => {
    const { driver } = browser;
    await go('/runs/2');
    const job = await find(driver, 'select[name=jobId]');
    await job.sendKeys('Signature block');
    await click(driver, 'Add to plate');
    await waitFor(
      driver,
      async () => (await driver.findElements(By.css('[aria-label^="Signature block"]'))).length > 0,
      'the gauge does not lie on the plate',
    );
    await waitForText(driver, '300 layers');
    await passGate();
    await startAt('600');
    await waitForText(driver, 'Continue to post-processing');
    const links = await driver.findElements(By.xpath("//a[contains(., 'Continue to post-processing')]"));
    expect(links).toHaveLength(3);
    const prints = await Promise.all(links.map((link) => link.getAttribute('href')));
    await driver.get(prints[0]!);
    await waitForText(driver, 'Together with the 2 other parts of its plate');
    await click(driver, 'Start');
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
    await open('Print again');
    await click(driver, 'Add to plate');
    await waitForText(driver, 'Time and resin');
    await typeOver(driver, 'input[name=copies]', '2');
    await click(driver, 'Apply');
    await waitForText(driver, 'Sample vial rack 2');
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.css('[aria-label^="Top view of the plate,"] [role=button]'))).length ===
        2,
      'two pieces do not lie there',
    );
    await new Promise((resolve) => setTimeout(resolve, 1000));
    await open('The vat holds');
    await typeOver(driver, 'form[aria-label="Vat level"] input[name=ml]', '35');
    await click(driver, 'Save level');
    await waitForText(driver, 'before layer');
    await waitForText(driver, 'runs dry in');
    await passGate();
    await startAt('as fast');
    await waitForText(driver, 'Ends at about');
    await open('Record added resin');
    await typeOver(driver, 'form[aria-label="Record added resin"] input[name=ml]', '40');
    await driver.findElement(By.xpath("//button[normalize-space(.)='Save added resin']")).click();
    await waitForText(driver, '40 ml added');
    await waitFor(
      driver,
      async () => !(await driver.findElement(By.css('ol')).getText()).includes('Top up'),
      'the pour is still wanted',
    );
  });

  test('a stop is kept with where and why', async () => {
    const { driver } = browser;
    await open('Simulated printer');
    await click(driver, 'Simulate a stop');
    await waitForText(driver, 'The printer reports a stop at layer');
    await driver.findElement(By.css('input[name=reason]')).sendKeys('came off the plate');
    await click(driver, 'Save stop');
    await waitForText(driver, 'Stopped at layer');
    await waitForText(driver, 'nothing to use');
  });

  test('by the keyboard a piece is moved, and its place is kept', async () => {
    const { driver } = browser;
    await go('/jobs/8/run');
    await open('Print again');
    await click(driver, 'Add to plate');
    await waitForText(driver, 'in 9 of 10 prints:');
    const piece = () => find(driver, '[aria-label^="Top view of the plate,"] [role=button]');
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
    await waitForText(driver, 'All finished');
    await open('Show as table');
    const field = await find(driver, 'input[type=datetime-local]');
    await driver.executeScript('arguments[0].scrollIntoView()', field);
    const tomorrow = new Date(Date.now() + 86_400_000);
    const day = [
      String(tomorrow.getMonth() + 1).padStart(2, '0'),
      String(tomorrow.getDate()).padStart(2, '0'),
      tomorrow.getFullYear(),
    ];
    await field.sendKeys(day.join(''), Key.TAB, '0800AM');
    await click(driver, 'Set start time');
    await waitForText(driver, 'The start times you set');
    await waitForText(driver, '08:00');
    await open('Show as table');
    await click(driver, 'Plan automatically');
    await waitFor(
      driver,
      async () => !(await driver.findElement(By.css('body')).getText()).includes('The start times you set'),
      'the start is still set',
    );
    expect(await browser.errors()).toEqual([]);
  });
});
