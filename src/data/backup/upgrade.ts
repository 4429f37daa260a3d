import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { openDatabase } from '../connection'
import { ownMigrations } from '../migrations-folder'
import { atOneMoment } from '../transaction'
import type { IslandsDocument } from './document'
import { dumpText } from './dump'
import { NotOurs, replaceAll } from './load'

interface Journal {
  entries: { tag: string }[]
}

const journalIn = (folder: string) => join(folder, 'meta/_journal.json')
const readJournal = (folder: string) => JSON.parse(readFileSync(journalIn(folder), 'utf8')) as Journal

/** How many migrations this version of Islands has. */
export const currentVersion = (): number => readJournal(ownMigrations()).entries.length

/** A copy of the migrations as they were when there were so many. */
export function migrationsOf(version: number): string {
  const folder = mkdtempSync(join(tmpdir(), 'islands-migrations-'))
  cpSync(ownMigrations(), folder, { recursive: true })
  const journal = readJournal(folder)
  writeFileSync(journalIn(folder), JSON.stringify({ ...journal, entries: journal.entries.slice(0, version) }))
  return folder
}

/**
 * A document of an earlier version as one of this: it is put into a database of its version, which is then brought
 * up to date. Takes some seconds.
 * @throws {NotOurs} where it comes from a later version
 */
export async function upgraded(document: IslandsDocument): Promise<IslandsDocument> {
  const current = currentVersion()
  if (document.version === current) return document
  if (document.version > current)
    throw new NotOurs('The document was made by a newer Islands. Update this one first.')
  const scratch = mkdtempSync(join(tmpdir(), 'islands-upgrade-'))
  const migrations = migrationsOf(document.version)
  try {
    const folder = join(scratch, 'data')
    const before = await openDatabase({ folder, migrations })
    await before.database
      .transaction((transaction) => replaceAll(transaction, document))
      .finally(before.close)
    const after = await openDatabase({ folder })
    let text = ''
    await atOneMoment(after.database, async (snapshot) => {
      for await (const part of dumpText(snapshot)) text += part
    }).finally(after.close)
    return { ...(JSON.parse(text) as IslandsDocument), kind: document.kind, madeAt: document.madeAt }
  } finally {
    rmSync(scratch, { recursive: true, force: true })
    rmSync(migrations, { recursive: true, force: true })
  }
}
