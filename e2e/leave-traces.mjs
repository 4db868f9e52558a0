/** Where a browser test fails, leaves a picture of every open browser and its page's text in a folder under `.tmp/failed/`. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { TestEnvironment } from 'jest-environment-node';

const FOLDER = process.env.MELLOW_TRACES ?? path.join(import.meta.dirname, '../.tmp/failed/by-hand');
/** File names are cut off there. */
const LONGEST = 60;

const plain = (text) =>
  text
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '')
    .slice(0, LONGEST);

export default class LeavesTraces extends TestEnvironment {
  constructor(config, context) {
    super(config, context);
    this.suite = path.basename(context.testPath).replace(/(\.deep)?\.test\.ts$/, '');
  }

  async handleTestEvent({ name, test, hook }) {
    if (name !== 'test_fn_failure' && name !== 'hook_failure') return;
    const browsers = [...(this.global.openBrowsers ?? [])];
    if (browsers.length > 0) mkdirSync(FOLDER, { recursive: true });
    const where = path.join(FOLDER, `${this.suite}--${plain(test?.name ?? hook.type)}`);
    for (const [i, browser] of browsers.entries())
      await browser.leaveTrace(i === 0 ? where : `${where}-${i + 1}`);
  }
}
