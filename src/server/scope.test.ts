import { pupilsOf } from '@/data/queries/pupils'
import { addChildren, classTable, place, saveLinks } from './classes'
import { changeHouseStyle } from './house-style'
import { gameFit, groupsPage, proposeGroups } from './groups/groups'
import { harbourPage } from './harbour'
import { countOnShelf, planPage, savePlan } from './plan/plan'
import { childPage, progressPage } from './progress'
import { recordMark } from './marks'
import { markAbsent, runPage, tapClock } from './run'
import { NotHere } from './use-case'
import { list, mark, newClass, openTestSchool, running, stranger, viewer } from './testing/school'

openTestSchool()

test('a stranger learns nothing of a class and changes nothing in it', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  const { view } = await planPage(viewer, { classId })
  const attempts: (() => Promise<unknown>)[] = [
    () => classTable(stranger, { classId }),
    () => addChildren(stranger, { classId, list: list('Ida') }),
    () =>
      place(stranger, {
        classId,
        placements: [{ pupilId, strand: 'add', step: 'take-away-5', sureness: 'sure' }],
      }),
    () => saveLinks(stranger, { classId, links: [] }),
    () => changeHouseStyle(stranger, { classId, style: {} }),
    () => groupsPage(stranger, { classId }),
    () => proposeGroups(stranger, { classId, gameId: 'landfall', count: 2 }),
    () => gameFit(stranger, { classId, gameId: 'landfall' }),
    () => planPage(stranger, { classId }),
    () => countOnShelf(stranger, { classId, item: 'die', count: 3 }),
    () =>
      savePlan(stranger, {
        classId,
        sessionId: crypto.randomUUID(),
        groupingId: view!.groupingId,
        plan: view!.plan,
      }),
    () => runPage(stranger, { classId }),
    () => tapClock(stranger, { classId, sessionId, tap: 'next', slot: 0 }),
    () => markAbsent(stranger, { classId, sessionId, pupilId, absent: true }),
    () => recordMark(stranger, { classId, ...mark(visit.id, pupilId) }),
    () => progressPage(stranger, { classId }),
    () => childPage(stranger, { classId, pupilId }),
    () => harbourPage(stranger, { classId }),
  ]
  for (const attempt of attempts) await expect(attempt()).rejects.toThrow(NotHere)
})

test('one class can’t reach into another through the ids of its children or visits', async () => {
  const [own, other] = [await newClass(), await newClass()]
  const { page } = await running(other)
  const visit = page.visits[0]
  const foreign = visit.children[0].id
  await expect(
    place(viewer, {
      classId: own,
      placements: [{ pupilId: foreign, strand: 'add', step: 'take-away-5', sureness: 'sure' }],
    }),
  ).rejects.toThrow(NotHere)
  await expect(recordMark(viewer, { classId: own, ...mark(visit.id, foreign) })).rejects.toThrow(NotHere)
  await expect(childPage(viewer, { classId: own, pupilId: foreign })).rejects.toThrow(NotHere)
})

test('a query or a use case without a viewer does not type-check', () => {
  // @ts-expect-error a query takes a scope, which only a viewer's membership gives
  expect(() => pupilsOf({ classId: 'x' })).toThrow()
  // @ts-expect-error a use case takes the viewer first
  void classTable({ classId: crypto.randomUUID() }).catch(() => undefined)
})
