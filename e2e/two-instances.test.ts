import { sql } from 'drizzle-orm'
import { startPostgres } from '../bin/postgres.cjs'
import { openDatabase } from '../src/data/connection'
import { didAction } from './support/actions'
import { runningSession } from './support/school'
import { freshFolder, startServer, type TestServer } from './support/server'

const wait = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms))

/** Sends a mark. @returns its status; null: no answer */
async function mark({ url }: TestServer, classId: string, body: object): Promise<number | null> {
  const response = await fetch(`${url}/c/${classId}/marks`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
  }).catch(() => null)
  await response?.text().catch(() => null)
  return response?.status ?? null
}

test('two instances on PostgreSQL, the server stopped and started under load: nothing acknowledged is lost, both come back', async () => {
  const postgres = await startPostgres()
  const { classId, groups, visits } = await runningSession({ url: postgres.url })
  const env = { DATABASE_URL: postgres.url, ISLANDS_OPEN_HERE: '1' }
  const instances = await Promise.all([startServer(freshFolder(), env), startServer(freshFolder(), env)])
  const marks = new Set<string>()
  const groupings = new Set<string>()
  const statuses = new Map<number | null, number>()
  let over = false

  const device = async (number: number) => {
    const observer = crypto.randomUUID()
    for (let i = number; !over; i++) {
      const visit = visits[i % visits.length]
      const child = visit.children[i % visit.children.length]
      const id = crypto.randomUUID()
      const status = await mark(instances[i % 2], classId, {
        id,
        observer,
        visitId: visit.id,
        pupilId: child.id,
        judged: 'own',
        madeAt: new Date().toISOString(),
      })
      statuses.set(status, (statuses.get(status) ?? 0) + 1)
      if (status === 200) marks.add(id)
      else await wait(50)
    }
  }
  const grouper = async (number: number) => {
    for (; !over; await wait(20)) {
      const groupingId = crypto.randomUUID()
      const input = { classId, groupingId, gameId: 'landfall', groups }
      if (await didAction(instances[number].url, `/c/${classId}/groups`, 'saveGroupsAction', input))
        groupings.add(groupingId)
    }
  }
  const all = [...Array.from({ length: 6 }, (_, number) => device(number)), grouper(0), grouper(1)]
  const until = async (count: number) => {
    while (marks.size < count) await wait(20)
  }
  await until(60)
  postgres.stop()
  await wait(1_000)
  const page = await fetch(`${instances[0].url}/c/${classId}`).then((one) => one.text())
  postgres.start()
  const before = marks.size
  await until(before + 60)
  postgres.stop()
  postgres.start()
  await until(before + 120)
  over = true
  await Promise.all(all)
  const pages = await Promise.all(instances.map(({ url }) => fetch(`${url}/c/${classId}`)))
  await Promise.all(instances.map((one) => one.stop()))
  const { database, close } = await openDatabase({ url: postgres.url, folder: '' })
  const stored = async (table: string) => {
    const { rows } = await database.execute<{ id: string }>(sql`select id from ${sql.identifier(table)}`)
    return new Set(rows.map(({ id }) => id))
  }
  const [storedMarks, storedGroupings] = [await stored('observation'), await stored('grouping')]
  const { rows: twice } = await database.execute(
    sql`select chain from observation group by chain having count(*) filter (where standing) > 1`,
  )
  const { rows: versions } = await database.execute<{ all: number; different: number }>(
    sql`select count(*)::int as all, count(distinct version)::int as different from grouping`,
  )
  await close()
  postgres.end()

  // What the page draws by this word is tried where the page is: in the browser.
  expect(page).toContain('database-away')
  expect(pages.map(({ status }) => status)).toEqual([200, 200])
  // Taken, or told that the database is away: nothing else, and no answer without a word.
  expect([...statuses.keys()].filter((status) => status !== 200 && status !== 503)).toEqual([])
  expect(statuses.get(503)).toBeGreaterThan(0)
  expect([...marks].filter((id) => !storedMarks.has(id))).toEqual([])
  expect(groupings.size).toBeGreaterThan(2)
  expect([...groupings].filter((id) => !storedGroupings.has(id))).toEqual([])
  expect(twice).toEqual([])
  expect(versions[0].different).toBe(versions[0].all)
})
