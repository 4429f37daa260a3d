import { cpSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { PgliteClient } from './client'

let client: PgliteClient
beforeAll(async () => {
  const folder = join(mkdtempSync(join(tmpdir(), 'islands-prepared-')), 'data')
  cpSync(process.env.ISLANDS_EMPTY_FOLDER!, folder, { recursive: true })
  client = await PgliteClient.open(folder)
  await client.query(
    'create table thing (id integer primary key, name text, held jsonb, sizes integer[], raw bytea)',
  )
})
afterAll(() => client.close())

const namesKept = async () =>
  (await client.query('select count(*)::int as kept from pg_prepared_statements')).rows as [{ kept: number }]

test('a statement that comes again answers as it did the first time, with every type', async () => {
  const insert = 'insert into thing values ($1, $2, $3, $4, $5)'
  for (let id = 1; id <= 4; id++)
    await client.query(insert, [
      id,
      id % 2 ? 'O’Neill; --' : null,
      { of: [id] },
      [id, 2],
      Buffer.from([0, id]),
    ])
  const select = 'select * from thing where id >= $1 order by id'
  const answers = []
  for (let i = 0; i < 4; i++) answers.push(await client.query(select, [3]))
  for (const answer of answers) expect(answer).toEqual(answers[0])
  expect(answers[3].rows).toEqual([
    { id: 3, name: 'O’Neill; --', held: { of: [3] }, sizes: [3, 2], raw: Buffer.from([0, 3]) },
    { id: 4, name: null, held: { of: [4] }, sizes: [4, 2], raw: Buffer.from([0, 4]) },
  ])
  const rows = []
  for (let i = 0; i < 3; i++) rows.push(await client.query(select, [4], { rowMode: 'array' }))
  for (const answer of rows)
    expect(answer.rows).toEqual([[4, null, { of: [4] }, [4, 2], Buffer.from([0, 4])]])
  const update = 'update thing set name = $1 where id > $2'
  const changed = []
  for (let i = 0; i < 3; i++) changed.push((await client.query(update, ['new', i])).affectedRows)
  expect(changed).toEqual([4, 3, 2])
})

test('a refusal is told by its code each time, takes its transaction back, and nothing after it is touched', async () => {
  const insert = 'insert into thing (id, name) values ($1, $2)'
  for (let i = 0; i < 3; i++) {
    await expect(client.query(insert, [1, 'again'])).rejects.toMatchObject({ code: '23505', table: 'thing' })
    await expect(client.query(insert, ['x', 'no number'])).rejects.toMatchObject({ code: '22P02' })
    await expect(
      client.transaction(async (statements) => {
        await statements.query(insert, [50 + i, 'taken back'])
        await statements.query(insert, [1, 'again'])
      }),
    ).rejects.toMatchObject({ code: '23505' })
    await expect(client.query('select nothing from thing')).rejects.toMatchObject({ code: '42703' })
  }
  expect((await client.query('select id from thing where id >= $1', [50])).rows).toEqual([])
  expect((await client.query('select id from thing where id >= $1', [4])).rows).toEqual([{ id: 4 }])
})

test('a table that changes is seen as it is now', async () => {
  for (let i = 0; i < 3; i++) await client.query('select * from thing where id = $1', [1])
  await client.query('alter table thing add column since integer default 7')
  for (let i = 0; i < 3; i++)
    expect((await client.query('select * from thing where id = $1', [1])).rows).toMatchObject([
      { id: 1, since: 7 },
    ])
})

test('no more than three hundred are kept, and those asked for are', async () => {
  for (let i = 0; i < 700; i++) {
    const text = `select ${i} as n where $1::int = 1`
    for (let again = 0; again < 2; again++) expect((await client.query(text, [1])).rows).toEqual([{ n: i }])
  }
  const [{ kept }] = await namesKept()
  expect(kept).toBeGreaterThan(100)
  expect(kept).toBeLessThanOrEqual(300)
})
