import { openServerDatabase } from '@/data/connection'
import { FolderInUse } from '@/data/pglite/lock'
import { ensureAdult } from '@/data/queries/classes'
import { theTeacher } from './viewer'

/** Opens the database, or ends the process with a message where another process holds the folder. */
export async function startDatabase() {
  try {
    const { database } = await openServerDatabase()
    await ensureAdult(database, theTeacher)
  } catch (error) {
    if (!(error instanceof FolderInUse)) throw error
    console.error(error.message)
    process.exit(3)
  }
}
