/**
 * Unit tests. Most run in plain Node, as the core does in production: heavy loops take ten times as long in the sandbox.
 * Only components, and tests that put something in a module's place (`*.mocked.test.ts`), run in it.
 */
const SANDBOXED = ['**/tests/**/*.test.tsx', '**/tests/**/*.mocked.test.ts'];

const common = {
  rootDir: import.meta.dirname,
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.tmp/', '<rootDir>/dist/'],
};

/** How a file is made ready for the sandbox: native ES modules, so that the solid kernel loads as it does in production. */
export const sandbox = {
  ...common,
  testEnvironment: 'node',
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/node_modules/server-only/empty.js',
  },
  transform: {
    '^.+\\.tsx?$': [
      '@swc/jest',
      {
        jsc: {
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
          target: 'es2022',
        },
        module: { type: 'es6' },
      },
    ],
  },
};

const config = {
  // Only for what hangs: machines are shared, and no test is a matter of speed.
  testTimeout: 60_000,
  // One process imports each module once for all its suites. npm test runs two of them side by side.
  maxWorkers: 1,
  globalSetup: '<rootDir>/scripts/jest-setup.mjs',
  projects: [
    {
      ...common,
      displayName: 'plain',
      runner: 'jest-light-runner',
      testMatch: ['**/tests/**/*.test.ts'],
      testPathIgnorePatterns: ['/node_modules/', '\\.mocked\\.test\\.ts$'],
    },
    {
      ...sandbox,
      displayName: 'sandbox',
      testMatch: SANDBOXED,
      setupFilesAfterEnv: ['<rootDir>/scripts/jest-patience.mjs'],
    },
  ],
};

export default config;
