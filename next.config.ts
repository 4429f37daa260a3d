import type { NextConfig } from 'next'

const config: NextConfig = {
  // The database stays outside the bundle: PGlite ships WebAssembly and a worker, the lock a native part; pdfkit reads its own files.
  serverExternalPackages: ['@electric-sql/pglite', 'pg', 'fs-native-extensions', 'pdfkit'],
  poweredByHeader: false,
  // Types are a check of their own, over everything: no need to wait for them twice.
  typescript: { ignoreBuildErrors: true },
  sassOptions: {
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
}

export default config
