import { join } from 'node:path'
import { DatabaseAway } from './away'
import { backupBeforeMigration } from './backup/before-migration'
import { dataFolder, openDatabase, type Database, type OpenDatabase } from './connection'
import { FolderDamaged, FolderInUse } from './pglite/folder'
import { isStopping, whenStopping } from './when-stopping'

/** The one open database of a server process; kept on globalThis because routes and instrumentation are bundled apart. */
const shared = globalThis as { islandsDatabase?: Promise<OpenDatabase> }

/**
 * Opens the server's database, once. Called when the server starts, never at import. One that could not be reached
 * is tried again by whoever asks next.
 * @throws {DatabaseAway} also once the server stops
 */
export function openServerDatabase(): Promise<OpenDatabase> {
  // A page that was under way would open the folder again behind the server's back.
  if (isStopping()) return Promise.reject(new DatabaseAway())
  whenStopping('last', 'database', closeServerDatabase)
  shared.islandsDatabase ??= openDatabase({
    url: process.env.DATABASE_URL,
    folder: dataFolder(),
    beforeMigration: backupBeforeMigration(besideData()),
  }).catch((error: unknown) => {
    delete shared.islandsDatabase
    throw error instanceof FolderInUse || error instanceof FolderDamaged ? error : new DatabaseAway(error)
  })
  return shared.islandsDatabase
}

export async function serverDatabase(): Promise<Database> {
  return (await openServerDatabase()).database
}

export async function closeServerDatabase() {
  const open = await shared.islandsDatabase?.catch(() => null)
  delete shared.islandsDatabase
  await open?.close()
}

/** Where this installation's own files beside the database are. */
export const besideData = () =>
  process.env.DATABASE_URL ? join(process.cwd(), '.islands/server') : dataFolder()
