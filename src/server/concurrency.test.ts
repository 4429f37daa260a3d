import { sql } from 'drizzle-orm'
import type pg from 'pg'
import { DatabaseAway } from '@/data/away'
import { closeServerDatabase, openServerDatabase, serverDatabase } from '@/data/server-database'
import { addChildren, classTable, createClass, place } from './classes'
import { groupsPage, saveGroups } from './groups/groups'
import { recordMark } from './marks/marks'
import { runPage } from './run'
import {
  grouped,
  list,
  mark,
  newClass,
  onServer,
  openTestSchool,
  rowsOf,
  running,
  viewer,
} from './testing/school'

openTestSchool()

const many = <T>(count: number, work: (i: number) => Promise<T>) =>
  Promise.allSettled(Array.from({ length: count }, (_, i) => work(i)))
const failures = (results: PromiseSettledResult<unknown>[]) =>
  results.flatMap((result) => (result.status === 'rejected' ? [String(result.reason)] : []))

test('placements beside marks: the estimate counts as many records as are stored', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [visit] = page.visits
  const [{ id: pupilId }] = visit.children
  const steps = ['take-away-5', 'count-on-10', 'count-on-20']
  const results = await many<unknown>(36, (i) =>
    i % 6 === 5
      ? place(viewer, {
          classId,
          placements: [{ pupilId, strand: 'add', step: steps[i % 3], sureness: 'about' }],
        })
      : recordMark(viewer, { classId, ...mark(visit.id, pupilId, { observer: crypto.randomUUID() }) }),
  )
  expect(failures(results)).toEqual([])
  expect(await rowsOf(`observation where pupil_id = '${pupilId}' and standing`)).toBe(30)
  const db = await serverDatabase()
  const { rows } = await db.execute<{ n: number }>(
    sql`select sum(observations)::int as n from estimate where pupil_id = ${pupilId}`,
  )
  expect(rows[0].n).toBe(30)
})

test('groups saved by many at once: each is a version of its own, none fails', async () => {
  const classId = await newClass()
  const groups = await grouped(classId)
  const results = await many(40, () =>
    saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups }),
  )
  expect(failures(results)).toEqual([])
  const page = await groupsPage(viewer, { classId })
  expect(page.versions.map(({ version }) => version)).toEqual(Array.from({ length: 41 }, (_, i) => 41 - i))
})

test('whatever is sent twice at once is done once and answered alike', async () => {
  const classId = crypto.randomUUID()
  const made = { classId, name: 'Twice', yearGroup: 'Year 1' as const, list: list('Ada\nBen\nCleo\nDov') }
  expect(failures(await many(3, () => createClass(viewer, made)))).toEqual([])
  expect((await classTable(viewer, { classId })).rows).toHaveLength(4)
  const { page } = await running(classId)
  const [visit] = page.visits
  const one = mark(visit.id, visit.children[0].id)
  const answers = await many(5, () => recordMark(viewer, { classId, ...one }))
  expect(answers).toEqual(Array(5).fill({ status: 'fulfilled', value: { standing: one.id } }))
  // The same number with something else in it is no second copy.
  await expect(recordMark(viewer, { classId, ...one, judged: 'notYet' })).rejects.toThrow(
    'Another mark has this number',
  )
  expect((await runPage(viewer, { classId }))!.marks).toMatchObject([{ id: one.id, judged: 'own' }])
})

test('corrections of one device that arrive in any order: the last one made stands', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  process.env.ISLANDS_CLOCK = '2026-11-24T10:40:00Z'
  const [visit] = page.visits
  const pupilId = visit.children[0].id
  const at = (second: number) => `2026-11-24T10:20:${String(second).padStart(2, '0')}Z`
  const taps = [
    mark(visit.id, pupilId, { judged: 'own', madeAt: at(1) }),
    mark(visit.id, pupilId, { judged: 'help', madeAt: at(2) }),
    mark(visit.id, pupilId, { judged: null, madeAt: at(3) }),
    mark(visit.id, pupilId, { judged: 'notYet', madeAt: at(4) }),
  ]
  await recordMark(viewer, { classId, ...taps[1] })
  expect(failures(await many(4, (i) => recordMark(viewer, { classId, ...taps[3 - i] })))).toEqual([])
  expect((await runPage(viewer, { classId }))!.marks).toMatchObject([{ judged: 'notYet' }])
  expect(await rowsOf(`observation where pupil_id = '${pupilId}'`)).toBe(4)
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
})

/** Breaks what connects the server to its database, as a crash of the one or a restart of the other does. */
async function breakOff() {
  const { database } = await openServerDatabase()
  const client = (database as unknown as { $client: unknown }).$client
  if (onServer)
    await database.execute(
      sql`select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database() and pid <> pg_backend_pid()`,
    )
  else await (client as { worker: { terminate(): Promise<void> } }).worker.terminate()
}

test('a database that breaks off: what was asked fails at once with a clear word, and soon all is well again', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [visit] = page.visits
  const acknowledged: string[] = []
  const said = new Set<string>()
  let broken = false
  const device = async (number: number) => {
    for (let i = 0; i < 40; i++) {
      const one = mark(visit.id, visit.children[number].id, { observer: crypto.randomUUID() })
      try {
        await recordMark(viewer, { classId, ...one })
        acknowledged.push(one.id)
      } catch (error) {
        said.add(error instanceof DatabaseAway ? 'away' : String(error))
        await new Promise((resolve) => setTimeout(resolve, 50))
      }
      if (number === 0 && i === 8) {
        broken = true
        await breakOff()
      }
    }
  }
  await Promise.all([0, 1, 2].map(device))
  expect(broken).toBe(true)
  expect([...said].filter((one) => one !== 'away')).toEqual([])
  for (let i = 0; ; i++)
    try {
      await addChildren(viewer, { classId, list: list('Afterwards') })
      break
    } catch (error) {
      if (!(error instanceof DatabaseAway) || i > 100) throw error
      await new Promise((resolve) => setTimeout(resolve, 100))
    }
  const db = await serverDatabase()
  const { rows } = await db.execute<{ id: string }>(sql`select id from observation`)
  const stored = new Set(rows.map(({ id }) => id))
  expect(acknowledged.length).toBeGreaterThan(20)
  expect(acknowledged.filter((id) => !stored.has(id))).toEqual([])
}, 60_000)

test('connections that break at their first word are given back: there are ten, and twelve break', async () => {
  if (!onServer) return expect(process.env.DATABASE_URL).toBeUndefined()
  const { database } = await openServerDatabase()
  const pool = (database as unknown as { $client: pg.Pool }).$client
  const connect = pool.connect.bind(pool)
  let broken = 0
  const breaking = async (hand?: never) => {
    // A statement outside a transaction asks with a function to be handed the connection: it is let be.
    if (hand) return connect(hand)
    const client = await connect()
    const query = client.query.bind(client)
    client.query = ((first: string | { text: string }, ...rest: never[]) => {
      if (!/^begin/.test(typeof first === 'string' ? first : first.text))
        return query(first as string, ...rest)
      broken++
      return Promise.reject(new Error('Connection terminated unexpectedly'))
    }) as typeof client.query
    return client
  }
  pool.connect = breaking as typeof pool.connect
  for (let i = 0; i < 12; i++) await expect(newClass()).rejects.toThrow(DatabaseAway)
  pool.connect = connect
  expect(broken).toBe(12)
  expect((await classTable(viewer, { classId: await newClass() })).rows).toHaveLength(8)
})

test('a server that is away when Islands starts is found once it is there', async () => {
  if (!onServer) return expect(process.env.DATABASE_URL).toBeUndefined()
  const { DATABASE_URL: address } = process.env
  await closeServerDatabase()
  process.env.DATABASE_URL = 'postgres://islands@127.0.0.1:1/nothing'
  await expect(serverDatabase()).rejects.toThrow(DatabaseAway)
  await expect(newClass()).rejects.toThrow(DatabaseAway)
  process.env.DATABASE_URL = address
  expect((await classTable(viewer, { classId: await newClass() })).rows).toHaveLength(8)
})

test('what the database says of a refused statement holds no name', async () => {
  const classId = await newClass()
  const db = await serverDatabase()
  await db.execute(sql`alter table pupil add constraint no_zelda check (name <> 'Zelda')`)
  const failed = await addChildren(viewer, { classId, list: list('Zelda') }).catch((error: Error) => error)
  await db.execute(sql`alter table pupil drop constraint no_zelda`)
  expect(String((failed as Error).message)).toBe('The database refused a statement (23514, no_zelda).')
  expect(JSON.stringify(failed) + String((failed as Error).stack)).not.toContain('Zelda')
})
