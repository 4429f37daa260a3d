import type { NextConfig } from 'next'

const config: NextConfig = {
  // The database stays outside the bundle: PGlite ships WebAssembly and a worker, the lock a native part.
  serverExternalPackages: ['@electric-sql/pglite', 'pg', 'fs-native-extensions'],
  poweredByHeader: false,
  sassOptions: {
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
}

export default config
