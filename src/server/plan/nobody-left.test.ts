import { classTable, setLeft } from '../classes'
import { harbourPage } from '../harbour'
import { runPage } from '../run'
import { grouped, newClass, openTestSchool, planned, viewer } from '../testing/school'
import { planPage, savePlan } from './plan'

openTestSchool()

const leave = async (classId: string, pupilIds: readonly string[], left = true) => {
  for (const pupilId of pupilIds) await setLeft(viewer, { classId, pupilId, left })
}
const view = async (classId: string) => (await planPage(viewer, { classId })).view!

test('a group of which everybody has left is not planned for, and stands in the way of nothing', async () => {
  const classId = await newClass()
  const [first, second] = await grouped(classId)
  await planned(classId)
  expect((await view(classId)).groups).toHaveLength(2)
  await leave(classId, first.pupils)

  const now = await view(classId)
  expect(now.groups.map(({ children }) => children.map(({ id }) => id).sort())).toEqual([
    [...second.pupils].sort(),
  ])
  expect(new Set(now.visits.map(({ groupId }) => groupId)).size).toBe(1)
  expect(now.conflicts.filter(({ kind }) => kind === 'too-few')).toEqual([])
  const sessionId = crypto.randomUUID()
  const { id: replaces } = (await harbourPage(viewer, { classId })).session!
  await savePlan(viewer, { classId, sessionId, groupingId: now.groupingId, plan: now.plan, replaces })
  const board = (await runPage(viewer, { classId }))!
  expect(board.visits.every(({ children }) => children.length > 0)).toBe(true)

  // They come back: their group is there again, with gaps to be filled.
  await leave(classId, first.pupils, false)
  expect((await view(classId)).groups).toHaveLength(2)
})

test('where everybody has left there is nothing to plan, and a plan from before is not kept', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { groupingId, plan } = await view(classId)
  const { rows } = await classTable(viewer, { classId })
  await leave(
    classId,
    rows.map(({ id }) => id),
  )
  expect((await planPage(viewer, { classId })).view).toBeNull()
  await expect(
    savePlan(viewer, { classId, sessionId: crypto.randomUUID(), groupingId, plan }),
  ).rejects.toThrow('No group is at any station')
})
