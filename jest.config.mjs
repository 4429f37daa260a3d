/** How every run begins and ends. */
export const run = {
  testTimeout: 60_000,
  // Every core: by default one is left for the terminal, which of two is half.
  maxWorkers: '100%',
  globalSetup: '<rootDir>/e2e/support/prepare.mjs',
  globalTeardown: '<rootDir>/e2e/support/tidy.mjs',
}

/** How TypeScript is read. */
export const code = {
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

/**
 * A test file runs in a context of its own, where every look at a global is slow: what loops use is handed in. Map and Set are not:
 * libraries call things of their own so.
 */
const handedIn = [
  ...['Array', 'BigInt', 'Error', 'JSON', 'Math', 'Number', 'Object', 'String', 'Symbol'],
  ...['Float64Array', 'Int8Array', 'Int16Array', 'Int32Array', 'Uint8Array', 'Uint16Array', 'Uint32Array'],
]

/** Unit tests stand beside the file they check; browser tests live in e2e/ and have their own configuration. */
export default {
  ...run,
  workerIdleMemoryLimit: '2GB',
  projects: [
    {
      ...code,
      displayName: 'core',
      roots: ['<rootDir>/src/core'],
      testEnvironment: '<rootDir>/e2e/support/one-context.cjs',
    },
    {
      ...code,
      displayName: 'around it',
      roots: ['<rootDir>/src', '<rootDir>/bin'],
      sandboxInjectedGlobals: handedIn,
      testPathIgnorePatterns: ['<rootDir>/src/core/'],
    },
  ],
}
