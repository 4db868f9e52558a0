/** Where a browser test fails, leaves a picture of every open browser and its page's text in `.tmp/failed/`. */
import { mkdirSync } from 'node:fs';
import path from 'node:path';
import { TestEnvironment } from 'jest-environment-node';

const FOLDER = path.join(import.meta.dirname, '../.tmp/failed');
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
    mkdirSync(FOLDER, { recursive: true });
    const where = path.join(FOLDER, `${this.suite}--${plain(test?.name ?? hook.type)}`);
    let count = 0;
    for (const browser of this.global.openBrowsers ?? [])
      await browser.leaveTrace(count++ === 0 ? where : `${where}-${count}`);
  }
}
