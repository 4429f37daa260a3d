import { openDatabase } from '../../src/data/connection'
import { createClass } from '../../src/server/classes'
import { groupsPage, saveGroups } from '../../src/server/groups/groups'
import { closeThreads } from '../../src/server/heavy/threads'
import { planPage, savePlan } from '../../src/server/plan/plan'
import { runPage, tapClock } from '../../src/server/run'
import { currentViewer } from '../../src/server/viewer'

/** Does something with the use cases on a folder that no server holds. */
export async function withFolder<T>(folder: string, work: () => Promise<T>): Promise<T> {
  const shared = globalThis as { islandsDatabase?: unknown }
  const open = openDatabase({ folder })
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

/** A folder with a class whose session runs. */
export const runningSession = (folder: string, names: readonly string[] = six) =>
  withFolder(folder, async () => {
    const viewer = currentViewer()
    const classId = crypto.randomUUID()
    await createClass(viewer, {
      classId,
      name: 'Tern',
      yearGroup: 'Year 1',
      list: { text: names.join('\n'), columns: ['name'], hasHeader: false },
    })
    const { groups } = await groupsPage(viewer, { classId })
    await saveGroups(viewer, { classId, groupingId: crypto.randomUUID(), gameId: 'landfall', groups })
    const { view } = await planPage(viewer, { classId })
    const sessionId = crypto.randomUUID()
    const { groupingId, plan } = view!
    await savePlan(viewer, { classId, sessionId, groupingId, plan })
    await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
    const page = await runPage(viewer, { classId })
    return { classId, sessionId, visits: page!.visits }
  })
