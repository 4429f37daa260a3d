import type { NextConfig } from 'next'

const config: NextConfig = {
  // The database stays outside the bundle: PGlite ships WebAssembly and a worker, the lock a native part; pdfkit reads its own files.
  serverExternalPackages: ['@electric-sql/pglite', 'pg', 'fs-native-extensions', 'pdfkit'],
  poweredByHeader: false,
  experimental: {
    // Node would read the map of every built file at each first visit, on the server's only thread: 80 MB of memory (decision 049).
    turbopackSourceMaps: process.env.NODE_ENV !== 'production',
    // Else the code of every page is read before anybody is answered, for two seconds: pages are warmed afterwards (server/http/warm.ts).
    preloadEntriesOnStart: false,
  },
  // Types are a check of their own, over everything: no need to wait for them twice.
  typescript: { ignoreBuildErrors: true },
  sassOptions: {
    quietDeps: true,
    silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
  },
}

export default config
