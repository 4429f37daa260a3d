import { spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { chmodSync, existsSync, mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { bundle } from '../../bin/bundle.mjs'
import { measures } from '../../bin/setup.mjs'

/**
 * Bundles what runs beside the pages, and prepares an empty, migrated data folder once: making one takes seconds, copying it none.
 */
export default function prepare() {
  // What tests write beside the project, and the browsers of theirs, lies in one folder and goes with it (tidy.mjs).
  process.env.TMPDIR = mkdtempSync(join(tmpdir(), 'islands-test-'))
  // A database server may run as another user.
  chmodSync(process.env.TMPDIR, 0o711)
  bundle()
  measures()
  const migrations = 'src/data/migrations'
  const hash = createHash('sha256')
  for (const name of readdirSync(migrations)
    .filter((file) => file.endsWith('.sql'))
    .sort())
    hash.update(readFileSync(join(migrations, name)))
  const folder = `.islands/empty-${hash.digest('hex').slice(0, 12)}`
  process.env.ISLANDS_EMPTY_FOLDER = folder
  if (existsSync(`${folder}/PG_VERSION`)) return
  rmSync(folder, { recursive: true, force: true })
  const { status } = spawnSync(process.execPath, ['--import', 'tsx', 'bin/empty-folder.ts', folder], {
    stdio: 'inherit',
  })
  if (status !== 0) throw new Error('Could not prepare an empty data folder.')
}
