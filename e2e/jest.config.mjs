import unit from '../jest.config.mjs'

/** Browser tests: a real server on a data folder of its own, driven through Debian's Chromium. */
export default {
  ...unit,
  rootDir: '..',
  roots: ['<rootDir>/e2e'],
  testTimeout: 180_000,
  globalSetup: '<rootDir>/e2e/support/prepare.mjs',
}
