/**
 * Whole journeys against the built application in headless Chromium: two suites at a time, each with a server, a bench and
 * ports of its own. What takes longer, or wants root, stands in `*.deep.test.ts`: see jest.deep.config.mjs.
 */
import { sandbox } from './jest.config.mjs';

const config = {
  ...sandbox,
  roots: ['<rootDir>/e2e'],
  testEnvironment: '<rootDir>/e2e/leave-traces.mjs',
  testMatch: ['**/*.test.ts'],
  testPathIgnorePatterns: ['/node_modules/', '\\.deep\\.test\\.ts$'],
  testTimeout: 240_000,
  maxWorkers: 2,
  globalSetup: '<rootDir>/e2e/demo-bench.mjs',
  globalTeardown: '<rootDir>/e2e/demo-bench-away.mjs',
  forceExit: true,
};

export default config;
