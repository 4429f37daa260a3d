// What runs beside the pages, the server's entry and the thread for long work, as plain JavaScript: reading it as TypeScript took
// a second of each start. It is made in a moment, so every command that starts either makes it anew: it is never behind.
import { existsSync, mkdirSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { root } from './setup.mjs'

/** By the name of its file in `.islands/bundle`. */
const entries = { serve: 'bin/serve.ts', heavy: 'src/server/heavy/worker.ts' }

/** Packages stay outside; what only some servers need stays a file of its own, read by those alone. */
export function bundle() {
  // Loaded here: commands name this file before any package is installed.
  const { buildSync } = createRequire(import.meta.url)('esbuild')
  const { outputFiles } = buildSync({
    absWorkingDir: root,
    entryPoints: entries,
    outdir: join(root, '.islands/bundle'),
    outExtension: { '.js': '.mjs' },
    bundle: true,
    splitting: true,
    write: false,
    platform: 'node',
    target: 'node20',
    format: 'esm',
    packages: 'external',
    logLevel: 'error',
  })
  for (const { path, contents } of outputFiles) putInPlace(path, contents)
}

/** A server that starts meanwhile reads the file of before or this one, whole. */
function putInPlace(path, contents) {
  if (existsSync(path) && readFileSync(path).equals(contents)) return
  mkdirSync(dirname(path), { recursive: true })
  const beside = `${path}.${process.pid}`
  writeFileSync(beside, contents)
  renameSync(beside, path)
}
