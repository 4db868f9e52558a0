import { expect, test } from '@jest/globals';
import { By, Key, type WebDriver } from 'selenium-webdriver';
import { find, press, waitFor, waitForText } from './browser';
import { withBench } from './with-bench';

const bench = withBench('demo');

const MOST_TABS = 250;

/** Name and text of what holds the focus. */
const focused = (driver: WebDriver) =>
  driver.executeScript<string>(
    `const on = document.activeElement; return [on.tagName, on.getAttribute('aria-label'), on.labels?.[0]?.textContent, on.name, on.textContent].join(' ')`,
  );

/** Presses Tab until the focus is on something with this name. */
async function tabTo(driver: WebDriver, name: string): Promise<void> {
  const passed: string[] = [];
  for (let i = 0; i < MOST_TABS; i++) {
    await press(driver, Key.TAB);
    const on = await focused(driver);
    if (!on.startsWith('BODY') && on.includes(name)) return;
    passed.push(on.slice(0, 40));
  }
  throw new Error(`no Tab leads to “${name}”, only to: ${[...new Set(passed)].join(' | ')}`);
}

const has = async (driver: WebDriver, text: string) =>
  (await driver.findElement(By.css('main')).getText()).includes(text);

test('by the keyboard alone: a plate moved, its gate opened, printed, washed, cured and read', async () => {
  const { driver } = bench.browser;
  // What prints comes off first: a printer prints one plate at a time. Late in a long run of suites it is through by itself.
  await driver.get(`${bench.server.address}/runs/1`);
  await waitFor(
    driver,
    async () => (await has(driver, 'Ends at about')) || (await has(driver, 'Continue to post-processing')),
    'the run shows neither its clock nor its prints',
  );
  if (await has(driver, 'Ends at about')) {
    await tabTo(driver, 'Finish print');
    await press(driver, Key.ENTER);
    // It may be through by itself at just this moment.
    const tapped = await tabTo(driver, 'Finish print').then(
      () => true,
      async (error: Error) => {
        if (await has(driver, 'Continue to post-processing')) return false;
        throw error;
      },
    );
    if (tapped) await press(driver, Key.ENTER);
    await waitForText(driver, 'Continue to post-processing');
  }

  await driver.get(`${bench.server.address}/runs/2`);
  await waitForText(driver, 'Pre-print checklist');

  // A piece is taken up, moved and put down.
  const piece = () => find(driver, '[aria-label^="Top view of the plate,"] [role=button]');
  const before = await (await piece()).getAttribute('aria-label');
  await tabTo(driver, before!.slice(0, 15));
  await waitFor(
    driver,
    async () => {
      // Again until the page has taken hold of its keys; Escape puts back what a half-heard round took up.
      for (const key of [Key.ESCAPE, Key.ENTER, Key.ARROW_UP, Key.ARROW_UP, Key.ENTER])
        await press(driver, key);
      await new Promise((resolve) => setTimeout(resolve, 1500));
      return (await (await piece()).getAttribute('aria-label')) !== before;
    },
    'the piece did not move',
  );

  // Moved too near to the other one it is said; arranged, it is right again.
  if (await has(driver, 'too close to another')) {
    await tabTo(driver, 'Arrange automatically');
    await press(driver, Key.ENTER);
    await waitFor(
      driver,
      async () => !(await has(driver, 'too close to another')),
      'the plate was not arranged',
    );
  }

  // What is known not to be well gets its reason, the rest is one gesture.
  while (await has(driver, 'Reason to start anyway')) {
    const count = (await driver.findElements(By.css('main label input[maxlength="300"]'))).length;
    await tabTo(driver, 'Reason to start anyway');
    await press(driver, 'for the journey');
    await tabTo(driver, 'Start anyway');
    await press(driver, Key.ENTER);
    await waitFor(
      driver,
      async () => (await driver.findElements(By.css('main label input[maxlength="300"]'))).length < count,
      'the reason was not taken',
    );
  }
  await tabTo(driver, 'All ');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Start on the simulated printer');
  await tabTo(driver, 'Clock speed');
  await press(driver, Key.ARROW_DOWN);
  expect(
    await driver.executeScript<string>('return document.activeElement.selectedOptions[0].textContent'),
  ).toBe('600 times as fast');
  await tabTo(driver, 'answered, most');
  await tabTo(driver, 'Start on the simulated printer');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Continue to post-processing');
  await tabTo(driver, 'Continue to post-processing');
  await press(driver, Key.ENTER);

  // From the plate to the caliper, the wash in a station that answers for itself.
  await waitForText(driver, 'Post-processing');
  await tabTo(driver, 'Start');
  await press(driver, Key.ENTER);
  await find(driver, '//*[@role="timer"]');
  for (;;) {
    const titles = await driver.findElements(By.xpath('//main//ol/li[.//*[@role="timer"]]//strong'));
    const title = titles.length === 0 ? '' : await titles[0].getText();
    if (title === 'Vat') {
      await tabTo(driver, 'Done: Vat');
      await press(driver, Key.ENTER);
      await tabTo(driver, 'In the simulated wash');
      await press(driver, Key.ENTER);
      await waitForText(driver, 'The simulated wash says: done, 4.0 of 4.0 min completed');
      continue;
    }
    const on = await driver.findElements(
      By.xpath('//button[starts-with(normalize-space(.), "Done, next:")]'),
    );
    await tabTo(driver, on.length > 0 ? 'Done, next:' : `Done: ${title}`);
    await press(driver, Key.ENTER);
    await waitFor(
      driver,
      async () =>
        (await driver.findElements(By.xpath(`//main//ol/li[.//*[@role="timer"]]//strong[.="${title}"]`)))
          .length === 0,
      `“${title}” did not end`,
    );
    if (on.length === 0) break;
  }
  expect(await has(driver, '4.0 of 4.0 min completed')).toBe(true);
  await tabTo(driver, 'Measure');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'Before the first reading');
  await tabTo(driver, 'Start measuring');
  await press(driver, Key.ENTER);
  await waitForText(driver, 'of three');
  await press(driver, 'c');
  await find(driver, '[data-reading]');
  expect(await bench.browser.errors()).toEqual([]);
});
