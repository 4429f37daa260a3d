import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../connection'
import { leftOut, ofThisInstallation, type IslandsDocument, type Row } from './document'
import { columnsOf, tablesInOrder } from './dump'

type Db = Database | Transaction

/** A document names a table or a column that its version has not. */
export class NotOurs extends Error {
  constructor(what: string) {
    super(`${what} Nothing was changed.`)
    this.name = 'NotOurs'
  }
}

const atATime = 500

/** Puts rows into a table; `keep`: a row whose key is there already stays as it is. */
export async function insertRows(db: Db, table: string, rows: readonly Row[], keep = false) {
  const name = sql.identifier(table)
  for (let from = 0; from < rows.length; from += atATime) {
    const part = JSON.stringify(rows.slice(from, from + atATime))
    const onConflict = keep ? sql`on conflict do nothing` : sql``
    await db.execute(
      sql`insert into ${name} select * from jsonb_populate_recordset(null::${name}, ${part}::jsonb) ${onConflict}`,
    )
  }
}

/** @throws {NotOurs} where a table or a column is not of this version */
export async function checkTables(db: Db, { tables }: IslandsDocument) {
  const known = await tablesInOrder(db)
  for (const [table, rows] of Object.entries(tables)) {
    if (!known.includes(table) || leftOut.includes(table))
      throw new NotOurs(`The document holds a table “${table}” that Islands does not know.`)
    const columns = new Set(await columnsOf(db, table))
    for (const row of rows)
      for (const column of Object.keys(row))
        if (!columns.has(column))
          throw new NotOurs(`The document holds a column “${table}.${column}” that Islands does not know.`)
  }
}

/** Puts everything a school's document holds in the place of everything there is. In one transaction. */
export async function replaceAll(db: Db, document: IslandsDocument) {
  await checkTables(db, document)
  const tables = (await tablesInOrder(db)).filter((table) => !ofThisInstallation.includes(table))
  await db.execute(
    sql`truncate ${sql.join(
      tables.map((table) => sql.identifier(table)),
      sql`, `,
    )}`,
  )
  for (const table of tables) await insertRows(db, table, document.tables[table] ?? [])
}
