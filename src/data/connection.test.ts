import { cpSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { getTableColumns, sql } from 'drizzle-orm'
import { doublePrecision, integer, pgTable, text } from 'drizzle-orm/pg-core'
import { openDatabase, type OpenDatabase } from './connection'
import { jsonList, jsonRow } from './json-row'
import { FolderInUse } from './pglite/folder'

let open: OpenDatabase
let folder: string

beforeAll(async () => {
  folder = join(mkdtempSync(join(tmpdir(), 'islands-data-')), 'data')
  cpSync(process.env.ISLANDS_EMPTY_FOLDER!, folder, { recursive: true })
  open = await openDatabase({ folder })
  await open.database.execute(sql`create table tally (x integer primary key)`)
})
afterAll(() => open.close())

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

test('many transactions at once: each is kept whole or not at all, and seen once it is kept', async () => {
  const { database } = open
  const wrong: string[] = []
  async function device(number: number) {
    for (let i = 0; i < 40; i++) {
      const x = number * 1000 + i
      const fails = i % 7 === 3
      await database
        .transaction(async (transaction) => {
          await transaction.execute(sql`insert into tally values (${x})`)
          if (i % 3 === 0) await wait(i % 5)
          await transaction.execute(sql`select count(*) from tally where x > ${number}`)
          if (fails) throw new Error('taken back')
        })
        .catch((error: Error) => {
          if (error.message !== 'taken back') throw error
        })
      const { rows } = await database.execute(sql`select x from tally where x = ${x}`)
      if (rows.length !== (fails ? 0 : 1)) wrong.push(`${x}: ${rows.length}`)
    }
  }
  await Promise.all([1, 2, 3, 4, 5, 6].map(device))
  expect(wrong).toEqual([])
})

test('a refused statement leaves the session usable, and large values pass', async () => {
  const { database } = open
  for (let i = 0; i < 3; i++) {
    await expect(database.execute(sql`select * from nowhere where x = ${i}`)).rejects.toThrow()
    const { rows } = await database.execute(sql`select length(${'a'.repeat(3_000_000)}::text) as n`)
    expect(rows).toEqual([{ n: 3_000_000 }])
  }
})

test('JSON and arrays come as what they hold, days as they are written, and nothing as what is missing', async () => {
  const { database } = open
  const { rows } = await database.execute(sql`
    select '{"a":[1,"b",null]}'::jsonb as object, '[]'::json as list, '"quoted"'::jsonb as text, null::jsonb as missing,
      array[0.1, -2e-7]::float8[] as numbers, '2026-11-25'::date as day`)
  expect(rows).toEqual([
    {
      object: { a: [1, 'b', null] },
      list: [],
      text: 'quoted',
      missing: null,
      numbers: [0.1, -2e-7],
      day: '2026-11-25',
    },
  ])
})

test('lists within a row: in the order asked for, empty where there is nothing, as the columns’ own types', async () => {
  const { database } = open
  await database.execute(sql`create table leg (of integer, port text, miles double precision)`)
  await database.execute(sql`insert into leg values (1, 'b', 2.5), (1, 'a', 1e-9), (3, 'c', null)`)
  const leg = pgTable('leg', { of: integer(), port: text(), miles: doublePrecision() })
  const { port, miles } = getTableColumns(leg)
  const row = jsonRow({ port, miles })
  const ships = sql`(values (1), (2), (3)) as ship (id)`
  const { rows } = await database.execute(sql`
    select id, ${jsonList(row, sql`${leg} where ${leg.of} = id`, sql`${port}`)} as legs from ${ships} order by id`)
  expect(rows).toEqual([
    {
      id: 1,
      legs: [
        { port: 'a', miles: 1e-9 },
        { port: 'b', miles: 2.5 },
      ],
    },
    { id: 2, legs: [] },
    { id: 3, legs: [{ port: 'c', miles: null }] },
  ])
})

test('the same folder can’t be opened twice', async () => {
  await expect(openDatabase({ folder })).rejects.toThrow(FolderInUse)
})
