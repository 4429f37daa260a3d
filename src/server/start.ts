import { FolderDamaged, FolderInUse } from '@/data/pglite/folder'
import { ensureAdult } from '@/data/queries/classes'
import { openServerDatabase } from '@/data/server-database'
import { lookAfterBackups, newestBackup } from './keeping/backups'
import { refreshEstimates } from './refresh'
import { theTeacher } from './viewer'

/** Opens the database, or ends the process with a message where its folder can't be used. */
export async function startDatabase() {
  try {
    const { database } = await openServerDatabase()
    await ensureAdult(database, theTeacher)
    const refreshed = await refreshEstimates(database)
    if (refreshed > 0) console.log(`islands: ${refreshed} estimates worked out anew`)
    lookAfterBackups()
  } catch (error) {
    if (error instanceof FolderInUse) return end(3, error.message)
    if (error instanceof FolderDamaged) return end(4, `${error.message}${newestBackup()}`)
    // A server that is away for the moment: it is looked for again by whoever asks.
    console.error(`islands: ${(error as Error).message}`)
  }
}

function end(code: number, message: string): never {
  console.error(message)
  process.exit(code)
}
