import { cpSync, mkdirSync, mkdtempSync, readFileSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { openDatabase } from '../connection'

const migrations = 'src/data/migrations'

interface Journal {
  entries: { tag: string }[]
}

/** The migrations as they were when the last one was `tag`. */
function migrationsUpTo(tag: string): string {
  const folder = mkdtempSync(join(tmpdir(), 'islands-migrations-'))
  cpSync(migrations, folder, { recursive: true })
  const file = join(folder, 'meta/_journal.json')
  const journal = JSON.parse(readFileSync(file, 'utf8')) as Journal
  const last = journal.entries.findIndex((entry) => entry.tag === tag)
  writeFileSync(file, JSON.stringify({ ...journal, entries: journal.entries.slice(0, last + 1) }))
  return folder
}

type Rows = Record<string, Record<string, unknown>[]>

/** What version 6 kept of a class: its tables row by row, written by that version; without the cells of densities. */
export const keptByVersion6 = (): Rows =>
  JSON.parse(readFileSync('src/data/testing/version-6.json', 'utf8')) as Rows

/** A data folder as version 6 left it. */
export async function folderOfVersion6(): Promise<string> {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-older-')), 'data')
  mkdirSync(folder)
  const { database, close } = await openDatabase({ folder, migrations: migrationsUpTo('0006_level_chosen') })
  for (const [table, rows] of Object.entries(keptByVersion6()))
    for (const row of rows) {
      const whole = table === 'estimate' ? { ...row, density: '\\x0000000000000000' } : row
      const name = sql.identifier(table)
      await database.execute(
        sql`insert into ${name} select * from jsonb_populate_record(null::${name}, ${JSON.stringify(whole)}::jsonb)`,
      )
    }
  await close()
  return folder
}
