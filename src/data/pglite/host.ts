import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { lockFolder } from './lock'

export interface HostedPglite {
  /** Folder of the socket: what a PostgreSQL client calls its host. */
  host: string
  close(): Promise<void>
}

/**
 * Opens a PGlite folder in a worker thread and holds the folder's lock until closed.
 * The first opening of a new folder takes some seconds.
 * @throws {FolderInUse}
 */
export async function hostPglite(folder: string): Promise<HostedPglite> {
  const release = lockFolder(folder)
  const host = mkdtempSync(join(tmpdir(), 'islands-'))
  const worker = new Worker(join(process.cwd(), 'src/data/pglite/worker.mjs'), {
    workerData: { folder, socket: join(host, '.s.PGSQL.5432') },
  })
  try {
    await new Promise<void>((resolve, reject) => {
      worker.once('message', () => resolve())
      worker.once('error', reject)
    })
  } catch (error) {
    release()
    throw error
  }
  return {
    host,
    async close() {
      const ended = new Promise((resolve) => worker.once('exit', resolve))
      worker.postMessage('close')
      await ended
      release()
      rmSync(host, { recursive: true, force: true })
    },
  }
}
