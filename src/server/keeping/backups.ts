import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { z } from 'zod'
import { rowsOf } from '@/data/backup/document'
import { dumpText } from '@/data/backup/dump'
import {
  backupNameSchema,
  backupsIn,
  readDocumentFile,
  writeBackup,
  type BackupFile,
  type BackupReason,
} from '@/data/backup/files'
import { NotOurs, replaceAll } from '@/data/backup/load'
import { inTurn } from '@/data/backup/turns'
import { upgraded } from '@/data/backup/upgrade'
import type { Database } from '@/data/connection'
import { serverDatabase } from '@/data/server-database'
import { atOneMoment, inTransaction } from '@/data/transaction'
import { todayIn } from '../clock'
import { refreshEstimates } from '../refresh'
import { finishErasures, ownBackupFolder } from './erasures'
import { asAdult, Refused } from '../use-case'

/** Writes down what there is at this moment. */
export const backUp = (database: Database, reason: BackupReason): Promise<BackupFile> =>
  inTurn(() =>
    atOneMoment(database, (snapshot) => writeBackup(ownBackupFolder(), reason, dumpText(snapshot))),
  )

export const backUpNow = asAdult('backUpNow', z.object({}), (database) =>
  backUp(database, 'by-hand').catch((error: unknown) => {
    // The system says with such a code why it could not write: a full disk, a folder that is not ours.
    const code = String((error as { code?: unknown } | null)?.code)
    if (!/^E[A-Z]+$/.test(code)) throw error
    const why = code === 'ENOSPC' ? 'the disk is full' : `this computer can’t write to the folder (${code})`
    throw new Refused(`The backup couldn’t be made: ${why}. What is kept in Islands is safe.`)
  }),
)

/** What is wrong with a document is said to the person. */
export async function refusing<T>(work: Promise<T>): Promise<T> {
  return work.catch((error: unknown) => {
    throw error instanceof NotOurs ? new Refused(error.message) : error
  })
}

const namedSchema = z.object({ name: backupNameSchema })

const readBackup = (name: string) => {
  if (!backupsIn(ownBackupFolder()).some((backup) => backup.name === name))
    throw new Refused('That backup is not there any more.')
  return refusing(readDocumentFile(join(ownBackupFolder(), name)).then(upgraded))
}

export interface BackupContents {
  madeAt: string
  classes: { name: string; children: number }[]
  marks: number
  rows: number
}

/** What a backup holds, before it is put in the place of what there is. */
export const lookIntoBackup = asAdult(
  'lookIntoBackup',
  namedSchema,
  async (_database, { name }): Promise<BackupContents> => {
    const document = await readBackup(name)
    const { classroom = [], pupil = [], observation = [] } = document.tables
    return {
      madeAt: document.madeAt,
      classes: classroom.map(({ id, name: title }) => ({
        name: String(title),
        children: pupil.filter((child) => child.class_id === id).length,
      })),
      marks: observation.length,
      rows: rowsOf(document),
    }
  },
)

/** Puts a backup in the place of everything there is, which is backed up first. */
export const restoreBackup = asAdult('restoreBackup', namedSchema, async (database, { name }) => {
  const document = await readBackup(name)
  if (document.kind !== 'school') throw new Refused('This is not a backup of a whole school.')
  await backUp(database, 'restore')
  await refusing(inTransaction(database, (transaction) => replaceAll(transaction, document)))
  // What is restored may hold a child whose erase is not finished yet.
  await finishErasures(database)
  await refreshEstimates(database)
  return { rows: rowsOf(document) }
})

/** Names the newest backup, for who has to bring one back. */
export function newestBackup(): string {
  const [newest] = backupsIn(ownBackupFolder())
  return newest ? ` The newest is ${join(ownBackupFolder(), newest.name)}.` : ''
}

const hourMs = 3_600_000

/** Finishes what was broken off and makes the backup of the day where there is none yet; what goes wrong is logged. */
export async function backUpDaily() {
  try {
    const today = todayIn('UTC')
    const database = await serverDatabase()
    await finishErasures(database)
    // Any of today's counts, not the newest: one dated in the future, by a clock that was wrong, is no reason for more.
    const madeToday = ({ reason, madeAt }: BackupFile) => reason === 'daily' && madeAt.startsWith(today)
    if (backupsIn(ownBackupFolder()).some(madeToday)) return
    await backUp(database, 'daily')
    // A database of one's own has nobody else to tidy up after it; without it plans of queries go stale.
    if (!process.env.DATABASE_URL) await database.execute(sql`vacuum analyze`)
  } catch (error) {
    console.error(`The daily backup could not be made: ${(error as Error).message}`)
  }
}

/** Looks after backups from the start of the server on, and at every hour. Not awaited by any request. */
export function lookAfterBackups() {
  void backUpDaily()
  setInterval(() => void backUpDaily(), hourMs).unref()
}
