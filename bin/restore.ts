import { renameSync } from 'node:fs'
import { rowsOf } from '@/data/backup/document'
import { dumpText } from '@/data/backup/dump'
import { backupFolder, readDocumentFile, writeBackup } from '@/data/backup/files'
import { asideFor } from '@/data/backup/put-aside'
import { replaceAll } from '@/data/backup/load'
import { upgraded } from '@/data/backup/upgrade'
import { dataFolder, openDatabase, type OpenDatabase } from '@/data/connection'
import { FolderDamaged } from '@/data/pglite/folder'
import { atOneMoment } from '@/data/transaction'
import { closeThreads } from '@/server/heavy/threads'
import { refreshEstimates } from '@/server/refresh'

const say = (line: string) => process.stderr.write(`islands: ${line}\n`)

/** Puts a backup in the place of everything there is: `restore.ts FROM`. What there is is kept. */
async function main() {
  const [from] = process.argv.slice(2)
  if (!from) throw new Error('Say what from: npm run restore -- FILE')
  const document = await readDocumentFile(from)
  if (document.kind !== 'school')
    throw new Error('This is not a backup of a whole school. Nothing was changed.')
  const current = await upgraded(document)
  const { database, close } = await open()
  try {
    await atOneMoment(database, (snapshot) =>
      writeBackup(backupFolder(dataFolder()), 'restore', dumpText(snapshot)),
    )
    await database.transaction((transaction) => replaceAll(transaction, current))
    say(`${rowsOf(current)} rows are back; working out estimates …`)
    await refreshEstimates(database)
    say('done')
  } finally {
    await closeThreads()
    await close()
  }
}

/** The database; a damaged folder is put aside for a new one. */
async function open(): Promise<OpenDatabase> {
  const where = { url: process.env.DATABASE_URL, folder: dataFolder() }
  try {
    return await openDatabase(where)
  } catch (error) {
    if (!(error instanceof FolderDamaged)) throw error
    const aside = asideFor(where.folder)
    renameSync(where.folder, aside)
    say(`the damaged folder is kept as ${aside}`)
    return openDatabase(where)
  }
}

main().catch((error: Error) => {
  say(error.message)
  process.exit(1)
})
