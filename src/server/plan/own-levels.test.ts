import { gameOf } from '@/core/games'
import { stepOf } from '@/core/skills'
import { classTable, place } from '../classes'
import { gamesPage } from '../games/list'
import { changeHouseStyle } from '../house-style'
import { recordMark } from '../marks/marks'
import { printPage, printPdf } from '../print/print'
import { readPdf } from '../print/testing/read'
import { childPage } from '../progress'
import { runPage, tapClock } from '../run'
import { takeWay, waysToGoOn } from '../room/replan'
import { tell } from '../room/tell'
import { grouped, mark, newClass, openTestSchool, planWith, viewer } from '../testing/school'
import { planPage, previewPlan, savePlan } from './plan'

openTestSchool()

type View = NonNullable<Awaited<ReturnType<typeof planPage>>['view']>

/** A class in two groups, all seen at the same step but one child, who is seen at an easy one. */
async function withOneBehind() {
  const classId = await newClass()
  const { rows: table } = await classTable(viewer, { classId })
  const stepFor = (i: number) => (i === 0 ? 'count-on-10' : 'crossing-100')
  await place(viewer, {
    classId,
    placements: table.map(({ id }, i) => ({
      pupilId: id,
      strand: 'add' as const,
      step: stepFor(i),
      sureness: 'sure' as const,
    })),
  })
  for (const [i, { id }] of table.entries()) {
    const at = { strand: 'add', step: stepFor(i) } as const
    await recordMark(viewer, { classId, ...mark('', id, { visitId: null, at, judged: 'own' }) })
  }
  await grouped(classId)
  return { classId, behind: table[0].id }
}

test('own level: whom its group’s level does not suit plays at its own, on the plan, in what its marks are about, and on paper', async () => {
  const { classId, behind } = await withOneBehind()
  const view = await planWith(classId, ['landfall', 'perch'])
  const visitsOf = (plan: View, gameId: string) =>
    plan.visits.filter(({ groupId, stationId }) => {
      const { children } = plan.groups.find(({ id }) => id === groupId)!
      const { gameId: played } = plan.stations.find(({ id }) => id === stationId)!
      return played === gameId && children.some(({ id }) => id === behind)
    })
  const [landfall] = visitsOf(view, 'landfall')
  const levels = gameOf('landfall').levels.map(({ id }) => id)
  expect(Object.keys(landfall.ownLevels)).toEqual([behind])
  expect(levels.indexOf(landfall.ownLevels[behind])).toBeLessThan(levels.indexOf(landfall.levelId))
  // In a contest all play at one level.
  expect(visitsOf(view, 'perch').map(({ ownLevels }) => ownLevels)).toEqual([{}])
  // Its own track and device are among what is fetched.
  const { needs } = view.stations.find(({ id }) => id === landfall.stationId)!
  const others = await previewPlan(viewer, {
    classId,
    groupingId: view.groupingId,
    plan: {
      ...view.plan,
      cells: view.plan.cells.map((one) =>
        one.slot === landfall.slot && one.groupId === landfall.groupId
          ? { ...one, levelId: landfall.levelId }
          : one,
      ),
    },
  })
  expect(visitsOf(others, 'landfall').map(({ ownLevels, chosen }) => [ownLevels, chosen])).toEqual([
    [{}, true],
  ])
  const kinds = (all: typeof needs) => new Set(all.map(({ item }) => item)).size
  expect(kinds(needs)).toBeGreaterThan(
    kinds(others.stations.find(({ id }) => id === landfall.stationId)!.needs),
  )
  expect(landfall.zone.fitting).toBe(visitsOf(others, 'landfall')[0].zone.fitting + 1)

  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: view.groupingId, plan: view.plan })
  expect((await planPage(viewer, { classId })).changedSince).toBeNull()
  const kept = (await printPage(viewer, { classId }))!
  const sheets = kept.bundles.at(-1)!.items.find(({ name }) => name.startsWith('observation sheets'))!
  const { pdf } = await printPdf(viewer, { classId, job: { counts: { [sheets.id]: 1 } } })
  const title = gameOf('landfall').levels.find(({ id }) => id === landfall.ownLevels[behind])!.title
  const paper = (await readPdf(pdf)).pages.flatMap(({ texts }) => texts.map(({ text }) => text)).join(' ')
  expect(paper).toContain(`(${title})`)

  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const run = (await runPage(viewer, { classId }))!
  const visit = run.visits.find(
    ({ stationId, children }) =>
      run.stations.find(({ id }) => id === stationId)!.gameId === 'landfall' &&
      children.some(({ id }) => id === behind),
  )!
  expect(visit.eachItsOwn).toBe(false)
  const own = visit.children.filter((child) => child.own)
  expect(own).toMatchObject([{ id: behind, own: { range: title } }])
  await recordMark(viewer, { classId, ...mark(visit.id, behind) })
  const [record] = (await childPage(viewer, { classId, pupilId: behind })).records
  expect(stepOf(record).short).toBe(own[0].own!.step.short)
  expect(own[0].own!.step.short).not.toBe(visit.step.short)
})

test('the games that fit a group are told at the levels a plan gives it', async () => {
  const { classId } = await withOneBehind()
  const view = await planWith(classId, ['landfall', 'perch'])
  for (const { pennant, id: groupId } of view.groups) {
    const { rows } = await gamesPage(viewer, { classId, group: pennant })
    for (const { gameId, id: stationId } of view.stations) {
      const { levelId, fitting, own } = rows.find(({ id }) => id === gameId)!
      const visit = view.visits.find((one) => one.groupId === groupId && one.stationId === stationId)!
      expect({ levelId, fitting, own }).toEqual({
        levelId: visit.levelId,
        fitting: visit.zone,
        own: Object.keys(visit.ownLevels).length,
      })
    }
  }
})

test('own levels are a house style: switched off, all play at their group’s level, and a kept session is told that levels follow', async () => {
  const { classId, behind } = await withOneBehind()
  const view = await planWith(classId, ['landfall'])
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: view.groupingId, plan: view.plan })
  const ownIn = ({ visits }: View) => visits.flatMap(({ ownLevels }) => Object.keys(ownLevels))
  expect(new Set(ownIn(view))).toEqual(new Set([behind]))
  await changeHouseStyle(viewer, { classId, style: { ownLevels: false } })
  const off = await planPage(viewer, { classId })
  expect(ownIn(off.view!)).toEqual([])
  expect(off.changedSince).toBe('levels')
})

test('who is left alone and joins another group plays there at its own level', async () => {
  const { classId, behind } = await withOneBehind()
  const view = await planWith(classId, ['landfall', 'neighbours'])
  const sessionId = crypto.randomUUID()
  await savePlan(viewer, { classId, sessionId, groupingId: view.groupingId, plan: view.plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const own = view.groups.find(({ children }) => children.some(({ id }) => id === behind))!
  for (const { id: pupilId } of own.children.filter(({ id }) => id !== behind))
    await tell(viewer, {
      classId,
      id: crypto.randomUUID(),
      kind: 'absent',
      madeAt: '2026-11-24T09:00:00Z',
      sessionId,
      pupilId,
      absent: true,
      fromSlot: 0,
    })
  const happened = { kind: 'alone', groupId: own.id } as const
  const ways = await waysToGoOn(viewer, { classId, sessionId, happened })
  const join = ways.find(({ kind }) => kind === 'join-group')!
  await takeWay(viewer, { classId, sessionId, happened, way: join.id })
  const { visits, stations } = (await runPage(viewer, { classId }))!
  const joined = visits.filter(({ children }) => children.some(({ id }) => id === behind))
  expect(joined.every(({ groupId }) => groupId !== own.id)).toBe(true)
  const landfall = joined.find(
    ({ stationId }) => stations.find(({ id }) => id === stationId)!.gameId === 'landfall',
  )!
  expect(landfall.children.filter((child) => child.own).map(({ id }) => id)).toEqual([behind])
  expect(landfall.children.find(({ id }) => id === behind)!.own!.range).not.toBe(landfall.level)
})
