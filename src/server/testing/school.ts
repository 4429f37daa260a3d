import { cpSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { sql } from 'drizzle-orm'
import { openServerDatabase, serverDatabase } from '@/data/server-database'
import { createClass } from '../classes'
import { proposeGroups, saveGroups } from '../groups/groups'
import { planPage, previewPlan, savePlan } from '../plan/plan'
import { closeThreads } from '../heavy/threads'
import { runPage, tapClock } from '../run'
import { ensureAdult } from '@/data/queries/classes'
import { databaseOfItsOwn } from '@/data/testing/database'
import { ownTeacher, theTeacher, type Viewer } from '../viewer'

/** The tests run on a PostgreSQL server, not on a folder. */
export const onServer = process.env.ISLANDS_TEST_SERVER !== undefined

/** A school of one's own for the tests of a file: an empty database, and the clock at a Tuesday morning. */
export function openTestSchool() {
  beforeAll(async () => {
    const folder = join(mkdtempSync(join(tmpdir(), 'islands-server-')), 'data')
    if (onServer) process.env.DATABASE_URL = await databaseOfItsOwn()
    else cpSync(process.env.ISLANDS_EMPTY_FOLDER!, folder, { recursive: true })
    process.env.ISLANDS_FOLDER = folder
    process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
    const { database } = await openServerDatabase()
    await ensureAdult(database, theTeacher)
  }, 60_000)
  afterAll(async () => {
    await closeThreads()
    await (await openServerDatabase()).close()
  })
}

export const viewer = ownTeacher()
export const stranger = { adultId: crypto.randomUUID() } as Viewer
export const names = ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Freya', 'Goran', 'Hanne']
export const list = (text: string) => ({ text, columns: ['name' as const], hasHeader: false })

export async function newClass() {
  const classId = crypto.randomUUID()
  await createClass(viewer, { classId, name: 'Tern', yearGroup: 'Year 1', list: list(names.join('\n')) })
  return classId
}

export async function grouped(classId: string) {
  const made = await proposeGroups(viewer, { classId, gameId: 'landfall', count: 2 })
  const groups = made.groups
  await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
  return groups
}

export async function planned(classId: string) {
  const sessionId = crypto.randomUUID()
  const { view } = await planPage(viewer, { classId })
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan: view!.plan })
  return sessionId
}

/** The next plan of a class with these games at its stations, whatever the class would get of itself. */
export async function planWith(classId: string, gameIds: readonly string[] = ['landfall', 'tower-bay']) {
  const { view } = await planPage(viewer, { classId })
  const stations = gameIds.map((gameId, position) => ({
    id: crypto.randomUUID(),
    gameId,
    mode: position === 0 ? ('adult-led' as const) : ('own' as const),
    places: null,
  }))
  return previewPlan(viewer, {
    classId,
    groupingId: view!.groupingId,
    plan: { ...view!.plan, stations, slots: stations.length, cells: undefined },
  })
}

export async function running(classId: string) {
  await grouped(classId)
  const sessionId = await planned(classId)
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  return { sessionId, page: (await runPage(viewer, { classId }))! }
}

const device = crypto.randomUUID()

export const mark = (visitId: string, pupilId: string, change: object = {}) => ({
  id: crypto.randomUUID(),
  observer: device,
  visitId,
  pupilId,
  judged: 'own' as const,
  madeAt: '2026-11-24T10:20:00Z',
  ...change,
})

/** How many rows a table has. */
export async function rowsOf(table: string): Promise<number> {
  const db = await serverDatabase()
  const { rows } = await db.execute(sql.raw(`select count(*)::int as n from ${table}`))
  return (rows[0] as { n: number }).n
}
