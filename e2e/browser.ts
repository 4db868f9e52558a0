import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Builder, By, error, Key, until, type WebDriver, type WebElement } from 'selenium-webdriver';
import { Options, ServiceBuilder, type Driver } from 'selenium-webdriver/chrome';

const FLAGS = [
  '--headless=new',
  '--no-sandbox',
  '--disable-dev-shm-usage',
  '--hide-scrollbars',
  // Pages are painted without the software graphics card, which only the three-dimensional views need.
  '--disable-gpu-rasterization',
  '--disable-gpu-compositing',
  '--force-device-scale-factor=1',
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  '--no-first-run',
  '--disable-quic',
  '--disable-extensions',
  '--disable-default-apps',
  '--disable-features=OptimizationHints,OptimizationGuideModelDownloading,MediaRouter,Translate,AutofillServerCommunication,NetworkTimeServiceQuerying',
  '--gaia-url=http://127.0.0.1:9',
  '--google-apis-url=http://127.0.0.1:9',
  '--component-updater=url-source=http://127.0.0.1:9/',
  '--host-resolver-rules=MAP * ~NOTFOUND, EXCLUDE 127.0.0.1, EXCLUDE 127.0.0.2',
];

export interface Browser {
  readonly driver: WebDriver;
  readonly downloads: string;
  /** Sets the page to an exact size. */
  resize(width: number, height: number): Promise<void>;
  /** Messages of the console that a person would call errors. */
  errors(): Promise<string[]>;
  picture(file: string): Promise<void>;
  /** Leaves a picture, the address, the page's text and the console's errors in two files of this name. */
  leaveTrace(file: string): Promise<void>;
  quit(): Promise<void>;
}

declare global {
  /** Browsers of the suite that runs, for `leave-traces.mjs`. */
  var openBrowsers: Set<Browser> | undefined;
}

const HARMLESS = [/THREE\.Clock/, /GPU stall due to ReadPixels/, /GroupMarkerNotSet/];

export async function openBrowser(): Promise<Browser> {
  const downloads = mkdtempSync(path.join(tmpdir(), 'mellow-downloads-'));
  const options = new Options();
  options.setChromeBinaryPath('/usr/bin/chromium');
  options.addArguments(...FLAGS, `--user-data-dir=${path.join(downloads, 'profile')}`);
  options.setUserPreferences({
    'download.default_directory': downloads,
    'download.prompt_for_download': false,
    'profile.default_content_setting_values.clipboard': 1,
  });
  options.set('goog:loggingPrefs', { browser: 'ALL' });
  const driver = (await new Builder()
    .forBrowser('chrome')
    .setChromeOptions(options)
    .setChromeService(new ServiceBuilder('/usr/bin/chromedriver'))
    .build()) as Driver;
  await driver.manage().setTimeouts({ script: 30_000, pageLoad: 30_000 });
  const browser: Browser = {
    driver,
    downloads,
    async resize(width, height) {
      await driver.sendDevToolsCommand('Emulation.setDeviceMetricsOverride', {
        width,
        height,
        deviceScaleFactor: 1,
        mobile: false,
      });
    },
    async errors() {
      const entries = await driver.manage().logs().get('browser');
      return entries
        .filter(
          ({ level, message }) => level.value >= 900 && !HARMLESS.some((pattern) => pattern.test(message)),
        )
        .map(({ message }) => message);
    },
    async picture(file) {
      writeFileSync(file, await driver.takeScreenshot(), 'base64');
    },
    async leaveTrace(file) {
      try {
        const lines = [await driver.getCurrentUrl(), ...(await browser.errors()), await textOf(driver)];
        writeFileSync(`${file}.txt`, lines.join('\n'));
        await browser.picture(`${file}.png`);
      } catch (problem) {
        writeFileSync(`${file}.txt`, `The browser does not answer: ${String(problem)}`);
      }
    },
    async quit() {
      globalThis.openBrowsers?.delete(browser);
      await driver.quit();
      rmSync(downloads, { recursive: true, force: true });
    },
  };
  await browser.resize(1280, 800);
  (globalThis.openBrowsers ??= new Set()).add(browser);
  return browser;
}

const WAIT_MS = Number(process.env.MELLOW_WAIT_MS ?? 20_000);

/** Waits for an element by CSS or, with a leading slash, XPath; a field by its name in the dialog that is open, if one is. */
export function find(driver: WebDriver, selector: string): Promise<WebElement> {
  const by = selector.startsWith('/') ? By.xpath(selector) : By.css(selector);
  if (!selector.startsWith('[name='))
    return driver.wait(until.elementLocated(by), WAIT_MS, `nothing is ${selector}`);
  return driver.wait(
    async () => {
      const dialogs = await driver.findElements(By.css('[role=dialog]'));
      return (await (dialogs.at(-1) ?? driver).findElements(by))[0];
    },
    WAIT_MS,
    `nothing is ${selector}`,
  ) as Promise<WebElement>;
}

/** Returns a button, link or summary by its text or label: the one that says just this, or else the first that contains it. */
export async function findNamed(driver: WebDriver, text: string): Promise<WebElement> {
  const named = '//*[self::button or self::a or self::summary]';
  await find(driver, `${named}[contains(normalize-space(.), "${text}") or @aria-label="${text}"]`);
  const [exact] = await driver.findElements(
    By.xpath(`${named}[normalize-space(.)="${text}" or @aria-label="${text}"]`),
  );
  return exact ?? find(driver, `${named}[contains(normalize-space(.), "${text}") or @aria-label="${text}"]`);
}

export async function click(driver: WebDriver, text: string): Promise<void> {
  const element = await findNamed(driver, text);
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', element);
  await driver.wait(until.elementIsVisible(element), WAIT_MS);
  await element.click();
}

/** What the page says; empty while it is being exchanged for another one. */
async function textOf(driver: WebDriver): Promise<string> {
  try {
    return await driver.findElement(By.css('body')).getText();
  } catch (problem) {
    if (problem instanceof error.StaleElementReferenceError) return '';
    throw problem;
  }
}

/** Waits until the page's text holds this. */
export async function waitForText(driver: WebDriver, text: string): Promise<void> {
  await driver.wait(
    async () => (await textOf(driver)).includes(text),
    WAIT_MS,
    `the page does not say “${text}”`,
  );
}

/** Waits for a condition with a reason of its own. */
export async function waitFor(
  driver: WebDriver,
  condition: () => Promise<boolean>,
  reason: string,
): Promise<void> {
  await driver.wait(condition, WAIT_MS, reason);
}

/** Presses keys for whatever holds the focus, as a keyboard or a caliper that types does. */
export async function press(driver: WebDriver, ...keys: string[]): Promise<void> {
  await driver
    .actions()
    .sendKeys(...keys)
    .perform();
}

/** Clicks into a field and types over what is in it; in a list, chooses. A field that a refresh took away is found again. */
export async function typeOver(driver: WebDriver, selector: string, text: string): Promise<void> {
  try {
    await typeOnce(driver, selector, text);
  } catch (problem) {
    if (!(problem instanceof error.StaleElementReferenceError)) throw problem;
    await typeOnce(driver, selector, text);
  }
}

async function typeOnce(driver: WebDriver, selector: string, text: string): Promise<void> {
  const field = await find(driver, selector);
  await driver.executeScript('arguments[0].scrollIntoView({ block: "center" })', field);
  if ((await field.getTagName()) === 'select') {
    await (await field.findElement(By.css(`option[value="${text}"]`))).click();
    return;
  }
  await field.click();
  await driver.actions().keyDown(Key.CONTROL).sendKeys('a').keyUp(Key.CONTROL).sendKeys(text).perform();
}
