import type { Database } from '../connection'
import { atOneMoment } from '../transaction'
import { dumpText, versionOf } from './dump'
import { backupFolder, writeBackup } from './files'
import { currentVersion } from './upgrade'

/** Keeps what there is before the tables are changed. */
export const backupBeforeMigration = (folder: string) => async (database: Database) => {
  const version = await versionOf(database)
  if (version === 0 || version >= currentVersion()) return
  await atOneMoment(database, (snapshot) =>
    writeBackup(backupFolder(folder), 'migration', dumpText(snapshot)),
  )
}
