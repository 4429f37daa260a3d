import { sql } from 'drizzle-orm'
import type { Database, Transaction } from '../connection'
import type { Snapshot } from '../transaction'
import {
  leftOut,
  leftOutOfClass,
  ofSchoolOnly,
  type DocumentKind,
  type IslandsDocument,
  type Row,
} from './document'

type Db = Database | Transaction

/** Migrations that were applied to a database; 0: it is new. */
export async function versionOf(db: Db): Promise<number> {
  const [{ there }] = await all<{ there: boolean }>(
    db,
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as there`,
  )
  if (!there) return 0
  const [{ n }] = await all<{ n: number }>(
    db,
    sql`select count(*)::int as n from drizzle.__drizzle_migrations`,
  )
  return n
}

/** The tables there are, each after those its rows point at. */
export async function tablesInOrder(db: Db): Promise<string[]> {
  const names = await all<{ name: string }>(
    db,
    sql`select relname as name from pg_class where relnamespace = 'public'::regnamespace and relkind = 'r' order by 1`,
  )
  const arrows = await all<{ from: string; to: string }>(
    db,
    sql`select f.relname as "from", t.relname as "to" from pg_constraint c
      join pg_class f on f.oid = c.conrelid join pg_class t on t.oid = c.confrelid
      where c.contype = 'f' and c.connamespace = 'public'::regnamespace and f.oid <> t.oid`,
  )
  const ordered: string[] = []
  const left = new Set(names.map(({ name }) => name))
  while (left.size > 0) {
    const free = [...left].filter((name) => !arrows.some(({ from, to }) => from === name && left.has(to)))
    if (free.length === 0) throw new Error('Tables point at each other in a circle.')
    for (const name of free) {
      ordered.push(name)
      left.delete(name)
    }
  }
  return ordered
}

export async function columnsOf(db: Db, table: string): Promise<string[]> {
  const rows = await all<{ name: string }>(
    db,
    sql`select column_name as name from information_schema.columns where table_schema = 'public' and table_name = ${table}`,
  )
  return rows.map(({ name }) => name)
}

/** Rows fetched at a time: memory stays flat however long the year was. */
const atATime = 2000

/** All rows of a table, or those of a class, as JSON, some thousand at a time. */
async function* rowsIn(db: Snapshot, table: string, classId: string | null): AsyncGenerator<Row[]> {
  const name = sql.identifier(table)
  const where = classId === null ? sql`` : await ofClass(db, table, classId)
  const without = classId === null ? [] : (leftOutOfClass[table] ?? [])
  const row = sql.raw(['to_jsonb(t)', ...without.map((column) => `'${column}'`)].join(' - '))
  await db.execute(sql`declare dump no scroll cursor for select ${row} as row from ${name} t ${where}`)
  for (;;) {
    const rows = await all<{ row: Row }>(db, sql.raw(`fetch ${atATime} from dump`))
    if (rows.length === 0) break
    yield rows.map(({ row }) => row)
  }
  await db.execute(sql`close dump`)
}

/** Columns of a class's document that point at an adult: whoever they name has to go with the class. */
async function pointersAtAdults(db: Db) {
  const pointers = await all<{ from: string; column: string }>(
    db,
    sql`select f.relname as "from", a.attname as "column" from pg_constraint c
      join pg_class f on f.oid = c.conrelid
      join pg_attribute a on a.attrelid = c.conrelid and a.attnum = c.conkey[1]
      where c.contype = 'f' and c.confrelid = 'adult'::regclass and array_length(c.conkey, 1) = 1
        and exists (select 1 from pg_attribute k where k.attrelid = c.conrelid and k.attname = 'class_id')`,
  )
  return pointers.filter(({ from }) => !leftOut.includes(from) && from !== 'membership')
}

/** Which rows of a table belong to a class; of the adults those its records name, and no memberships. */
async function ofClass(db: Db, table: string, classId: string) {
  if (table === 'classroom') return sql`where t.id = ${classId}`
  if (table === 'membership') return sql`where false`
  if (table === 'adult') {
    const pointers = await pointersAtAdults(db)
    const ofThisClass = pointers.map(
      ({ from, column }) =>
        sql`select ${sql.identifier(column)} from ${sql.identifier(from)} where class_id = ${classId}`,
    )
    return sql`where t.id in (${sql.join(ofThisClass, sql` union `)})`
  }
  const columns = await columnsOf(db, table)
  return columns.includes('class_id') ? sql`where t.class_id = ${classId}` : sql`where false`
}

/**
 * Writes the document of a school or a class piece by piece, each row on a line of its own. It takes a snapshot: tables
 * that were read at different moments would hold rows whose parents are missing, and could not be restored.
 */
export async function* dumpText(db: Snapshot, classId: string | null = null): AsyncGenerator<string> {
  const kind: DocumentKind = classId === null ? 'school' : 'class'
  const head = { format: 'islands', kind, version: await versionOf(db), madeAt: new Date().toISOString() }
  yield `${JSON.stringify(head).slice(0, -1)},"tables":{\n`
  let first = true
  for (const table of await tablesInOrder(db)) {
    if (leftOut.includes(table) || (classId !== null && ofSchoolOnly.includes(table))) continue
    yield `${first ? '' : ',\n'}${JSON.stringify(table)}:[`
    first = false
    let begun = false
    for await (const rows of rowsIn(db, table, classId)) {
      yield `${begun ? ',' : ''}\n${rows.map((row) => JSON.stringify(row)).join(',\n')}`
      begun = true
    }
    yield ']'
  }
  yield '\n}}\n'
}

/** The same as one value: of a class, which is small. */
export async function dumpClass(db: Snapshot, classId: string): Promise<IslandsDocument> {
  let text = ''
  for await (const part of dumpText(db, classId)) text += part
  return JSON.parse(text) as IslandsDocument
}

async function all<T>(db: Db, query: ReturnType<typeof sql>): Promise<T[]> {
  return (await db.execute(query)).rows as T[]
}
