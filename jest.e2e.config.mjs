/**
 * Whole journeys against the built application in headless Chromium, one after another. What takes longer, or wants root,
 * stands in `*.deep.test.ts`: see jest.deep.config.mjs.
 */
import { sandbox } from './jest.config.mjs';

const config = {
  ...sandbox,
  roots: ['<rootDir>/e2e'],
  testMatch: ['**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '\\.deep\\.test\\.ts$'],
  testTimeout: 240_000,
  maxWorkers: 1,
  globalSetup: '<rootDir>/e2e/demo-bench.mjs',
  globalTeardown: '<rootDir>/e2e/demo-bench-away.mjs',
  forceExit: true,
};

export default config;
