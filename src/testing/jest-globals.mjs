/**
 * What tests import from `@jest/globals` where they run in plain Node, without the sandbox: the runner puts the same things
 * on the global object. tsconfig.test.json leads there.
 */
export const { afterAll, afterEach, beforeAll, beforeEach, describe, expect, jest, test } = globalThis;
