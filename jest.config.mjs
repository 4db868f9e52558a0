/** Unit tests: native ES modules, so that the solid kernel and the core run as they do in production. */
const config = {
  testEnvironment: 'node',
  // Only for what hangs: machines are shared, and no test is a matter of speed.
  testTimeout: 60_000,
  globalSetup: '<rootDir>/scripts/jest-setup.mjs',
  roots: ['<rootDir>/src', '<rootDir>/scripts'],
  testMatch: ['**/tests/**/*.test.ts', '**/tests/**/*.test.tsx'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    '^server-only$': '<rootDir>/node_modules/server-only/empty.js',
  },
  modulePathIgnorePatterns: ['<rootDir>/.next/', '<rootDir>/.tmp/'],
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

export default config;
