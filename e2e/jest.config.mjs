import { code, run } from '../jest.config.mjs'

/** Browser tests: a real server on a data folder of its own, driven through Debian's Chromium. */
export default {
  ...run,
  ...code,
  rootDir: '..',
  roots: ['<rootDir>/e2e'],
  // Patience, not a goal: a shared machine can be three times as slow as it was a minute ago.
  testTimeout: 420_000,
}
