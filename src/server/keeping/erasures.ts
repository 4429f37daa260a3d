import { rmSync } from 'node:fs'
import { basename, join } from 'node:path'
import type { IslandsDocument } from '@/data/backup/document'
import {
  backupFolder,
  backupsIn,
  clearHalves,
  readDocumentFile,
  Unreadable,
  writeGzip,
} from '@/data/backup/files'
import { NotOurs } from '@/data/backup/load'
import { foldersPutAside } from '@/data/backup/put-aside'
import { inTurn } from '@/data/backup/turns'
import { withoutChild } from '@/data/backup/without-child'
import type { Database } from '@/data/connection'
import { deletePupil, owedErasures, scrub, settleErasure } from '@/data/queries/erase'
import { besideData } from '@/data/server-database'
import { inTransaction } from '@/data/transaction'

export const ownBackupFolder = () => backupFolder(besideData())

/** What came of erasing a child from the files beside the database. */
export interface Erased {
  /** Backups that held the child and were written again without it. */
  backups: number
  /** Damaged backups and damaged data folders, which nobody can look into: they were deleted. */
  deleted: string[]
  /** What the system could neither read nor delete. Nothing is finished while there is any. */
  unread: string[]
}

/**
 * Finishes the erase of a child whose rows are gone or will be: backups, what was put aside, the database's own files.
 * Can be broken off at any moment and done again from the start.
 */
export async function finishErasure(
  database: Database,
  { pupilId, classId }: { pupilId: string; classId: string },
): Promise<Erased> {
  // A backup that was restored since may have brought it back.
  await inTransaction(database, (transaction) => deletePupil({ db: transaction, classId }, pupilId))
  const erased = await inTurn(() => eraseInFiles(pupilId))
  await scrub(database)
  if (erased.unread.length === 0) await settleErasure(database, pupilId)
  return erased
}

/** Goes on with every erase that was broken off or could not get at a file. */
export async function finishErasures(database: Database) {
  for (const owed of await owedErasures(database)) {
    const { unread } = await finishErasure(database, owed)
    if (unread.length > 0)
      console.error(`islands: an erased child may still be in ${unread.join(', ')}: not readable`)
  }
}

async function eraseInFiles(pupilId: string): Promise<Erased> {
  const folder = ownBackupFolder()
  const erased: Erased = { backups: 0, deleted: [], unread: [] }
  clearHalves(folder)
  for (const { name } of backupsIn(folder)) {
    const file = join(folder, name)
    try {
      const without = withoutChild(await readDocumentFile(file), pupilId)
      if (!without) continue
      await writeGzip(file, whole(without))
      erased.backups++
    } catch (error) {
      if (error instanceof Unreadable || !(error instanceof NotOurs)) erased.unread.push(name)
      else remove(file, erased)
    }
  }
  for (const path of foldersPutAside(besideData())) remove(path, erased)
  return erased
}

function remove(path: string, { deleted, unread }: Erased) {
  const name = basename(path)
  try {
    rmSync(path, { recursive: true, force: true })
    deleted.push(name)
  } catch {
    unread.push(name)
  }
}

async function* whole(document: IslandsDocument) {
  yield JSON.stringify(document)
}
