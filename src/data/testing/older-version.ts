import { readFileSync } from 'node:fs'
import { sql } from 'drizzle-orm'
import { migrationsOf } from '../backup/upgrade'
import { openDatabase } from '../connection'

type Rows = Record<string, Record<string, unknown>[]>

/** What version 6 kept of a class: its tables row by row, written by that version; without the cells of densities. */
export const keptByVersion6 = (): Rows =>
  JSON.parse(readFileSync('src/data/testing/version-6.json', 'utf8')) as Rows

/** Fills a new database, in a folder or on a server, as version 6 left it. */
export async function fillAsVersion6(where: { url?: string; folder: string }) {
  const { database, close } = await openDatabase({ ...where, migrations: migrationsOf(7) })
  for (const [table, rows] of Object.entries(keptByVersion6()))
    for (const row of rows) {
      const whole = table === 'estimate' ? { ...row, density: '\\x0000000000000000' } : row
      const name = sql.identifier(table)
      await database.execute(
        sql`insert into ${name} select * from jsonb_populate_record(null::${name}, ${JSON.stringify(whole)}::jsonb)`,
      )
    }
  await close()
}
