import { afterAll, beforeAll } from '@jest/globals';
import { type BenchServer, serveBench } from './bench-server';
import { type Browser, openBrowser } from './browser';

/** A server with a workshop of its own and a browser, for all tests of a file; ready before the first test. */
export interface BenchInBrowser {
  readonly server: BenchServer;
  readonly browser: Browser;
}

/** Opens both before the tests of a file and closes them after. */
export function withBench(kind: 'demo' | 'empty'): BenchInBrowser {
  let server: BenchServer | undefined;
  let browser: Browser | undefined;
  beforeAll(async () => {
    server = await serveBench(kind);
    browser = await openBrowser();
  });
  afterAll(async () => {
    await browser?.quit();
    await server?.stop();
  });
  return {
    get server() {
      return server!;
    },
    get browser() {
      return browser!;
    },
  };
}
