/** Unit tests stand beside the file they check; browser tests live in e2e/ and have their own configuration. */
export default {
  testEnvironment: 'node',
  testTimeout: 60_000,
  // Every core: by default one is left for the terminal, which of two is half.
  maxWorkers: '100%',
  roots: ['<rootDir>/src', '<rootDir>/bin'],
  globalSetup: '<rootDir>/e2e/support/prepare.mjs',
  globalTeardown: '<rootDir>/e2e/support/tidy.mjs',
  // A test file runs in a context of its own, where every look at a global is slow: what loops use is handed in. Map and
  // Set are not: libraries call things of their own so.
  sandboxInjectedGlobals: [
    ...['Array', 'BigInt', 'Error', 'JSON', 'Math', 'Number', 'Object', 'String', 'Symbol'],
    ...['Float64Array', 'Int8Array', 'Int16Array', 'Int32Array', 'Uint8Array', 'Uint16Array', 'Uint32Array'],
  ],
  transform: {
    '^.+\\.(t|j)sx?$': [
      '@swc/jest',
      {
        jsc: {
          target: 'es2022',
          parser: { syntax: 'typescript', tsx: true },
          transform: { react: { runtime: 'automatic' } },
        },
      },
    ],
  },
  transformIgnorePatterns: ['/node_modules/(?!(pure-rand|syllable|flesch-kincaid)/)'],
  moduleNameMapper: {
    '^@/(.*)$': '<rootDir>/src/$1',
    // Their modules end in .mjs, which only `import` may load here: the same as scripts.
    '^(d3-[a-z-]+)$': '<rootDir>/node_modules/$1/dist/$1.js',
  },
}
