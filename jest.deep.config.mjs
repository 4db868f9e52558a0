/** Browser and server tests that take long, or want root: npm run test:deep. */
import browser from './jest.e2e.config.mjs';

const config = { ...browser, testMatch: ['**/*.deep.test.ts'], testPathIgnorePatterns: ['/node_modules/'] };

export default config;
