import { openDatabase } from '../../src/data/connection'
import { createClass } from '../../src/server/classes'
import { groupsPage, saveGroups } from '../../src/server/groups/groups'
import { closeThreads } from '../../src/server/heavy/threads'
import { planPage, savePlan } from '../../src/server/plan/plan'
import { runPage, tapClock } from '../../src/server/run'
import { ensureAdult } from '../../src/data/queries/classes'
import { serverDatabase } from '../../src/data/server-database'
import { ownTeacher, theTeacher } from '../../src/server/viewer'

/** Does something with the use cases on a folder that no server holds. */
export const withFolder = <T>(folder: string, work: () => Promise<T>) => withDatabase({ folder }, work)

/** The same on a folder or on a PostgreSQL server. */
async function withDatabase<T>(
  where: Parameters<typeof openDatabase>[0],
  work: () => Promise<T>,
): Promise<T> {
  const shared = globalThis as { islandsDatabase?: unknown }
  const open = openDatabase(where)
  shared.islandsDatabase = open
  try {
    return await work()
  } finally {
    await closeThreads()
    await (await open).close()
    delete shared.islandsDatabase
  }
}

const six = ['Ama', 'Bruno', 'Chidi', 'Dalia', 'Emre', 'Freya']

/** A class whose session runs, in a folder or on a PostgreSQL server. */
export const runningSession = (where: string | { url: string }, names: readonly string[] = six) =>
  withDatabase(typeof where === 'string' ? { folder: where } : { ...where, folder: '' }, async () => {
    const viewer = ownTeacher()
    await ensureAdult(await serverDatabase(), theTeacher)
    const classId = crypto.randomUUID()
    await createClass(viewer, {
      classId,
      name: 'Tern',
      yearGroup: 'Year 1',
      list: { text: names.join('\n'), columns: ['name'], hasHeader: false },
    })
    const { groups } = (await groupsPage(viewer, { classId })).standing
    await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
    const { view } = await planPage(viewer, { classId })
    const sessionId = crypto.randomUUID()
    const { groupingId, plan } = view!
    await savePlan(viewer, { classId, sessionId, groupingId, plan })
    await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
    const page = await runPage(viewer, { classId })
    return { classId, sessionId, groups, visits: page!.visits }
  })
