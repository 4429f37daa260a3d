import { stepIndex } from '@/core/skills'
import { classIdSchema, classTable } from './classes'
import { changeHouseStyle } from './house-style'
import { planPage, savePlan } from './plan/plan'
import { childPage, progressPage } from './progress'
import { recordMark } from './marks/marks'
import { runPage, tapClock } from './run'
import { readingClass } from './use-case'
import { rebuildEstimate } from './estimates'
import { grouped, mark, newClass, openTestSchool, rowsOf, running, viewer } from './testing/school'

openTestSchool()

/** The first visit whose marks are about the very step that its first child works on. */
async function visitAtItsStep(classId: string) {
  const { page } = await running(classId)
  for (const visit of page.visits) {
    const { strands } = await childPage(viewer, { classId, pupilId: visit.children[0].id })
    const { strand, step } = visit.step.place
    if (strands.find((one) => one.strand === strand)?.estimate.workingStep === step) return { page, visit }
  }
  throw new Error('No visit is at the step its child works on.')
}

const newDevice = () => crypto.randomUUID()
const later = (seconds: number) => `2026-11-24T09:00:${String(seconds).padStart(2, '0')}Z`

test('marks move the estimate, and what is stored equals a rebuild from all records', async () => {
  const classId = await newClass()
  const { page, visit } = await visitAtItsStep(classId)
  const [child] = visit.children
  const before = await childPage(viewer, { classId, pupilId: child.id })
  for (const judged of ['own', 'own', 'help', 'notYet'] as const)
    await recordMark(viewer, { classId, ...mark(visit.id, child.id, { judged, observer: newDevice() }) })
  const tally = { judged: null, right: 4, of: 5, observer: newDevice() }
  await recordMark(viewer, { classId, ...mark(visit.id, child.id, tally) })
  const after = await childPage(viewer, { classId, pupilId: child.id })
  expect(after.records).toHaveLength(5)
  // Every record says where it was seen.
  const { title } = page.stations.find(({ id }) => id === visit.stationId)!
  for (const { at } of after.records) expect(at).toEqual({ game: title, slot: visit.slot + 1 })
  const strand = after.strands.findIndex(({ estimate }) => estimate.observations === 5)
  expect(strand).toBeGreaterThanOrEqual(0)
  const stored = after.strands[strand].estimate
  expect(stored.mean).not.toBeCloseTo(before.strands[strand].estimate.mean, 3)
  // What the suggestion rests on: the estimate of its step, and the four judgements at it.
  const { suggestion, weighed } = after
  const spokenOf = after.strands.find((one) => one.strand === suggestion.strand)!.estimate
  expect(weighed!.estimate.probability).toBeCloseTo(spokenOf.secure[stepIndex(suggestion)], 9)
  expect(weighed!.estimate.afterNotYet).toBeLessThan(weighed!.estimate.afterOwn)
  expect(weighed!.count).toMatchObject({ ready: false, own: 2, of: 4, days: 1 })

  const rebuild = readingClass('classTable', classIdSchema, async (scope) => {
    for (const placed of placements) await rebuildEstimate(scope, placed)
  })
  const { placements: all } = await classTable(viewer, { classId })
  const placements = all
    .filter(({ pupilId }) => pupilId === child.id)
    .map((placed) => ({ ...placed, day: '2026-11-24' }))
  await rebuild(viewer, { classId })
  const rebuilt = (await childPage(viewer, { classId, pupilId: child.id })).strands[strand].estimate
  for (const key of ['mean', 'sd', 'p10', 'p50', 'p90'] as const)
    expect(rebuilt[key]).toBeCloseTo(stored[key], 9)
  rebuilt.secure.forEach((probability, step) => expect(probability).toBeCloseTo(stored.secure[step], 9))
})

test('a mark sent twice counts once; a correction takes its place; taken back, nothing is left', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  const first = mark(visit.id, pupilId)
  expect(await recordMark(viewer, { classId, ...first })).toEqual({ standing: first.id })
  expect(await recordMark(viewer, { classId, ...first })).toEqual({ standing: first.id })
  const second = mark(visit.id, pupilId, { judged: 'help', corrects: first.id, madeAt: later(1) })
  await recordMark(viewer, { classId, ...second })
  expect((await childPage(viewer, { classId, pupilId })).records.map(({ judged }) => judged)).toEqual([
    'help',
  ])
  await recordMark(viewer, {
    classId,
    ...mark(visit.id, pupilId, { judged: null, corrects: second.id, madeAt: later(2) }),
  })
  const { records, strands } = await childPage(viewer, { classId, pupilId })
  expect(records).toEqual([])
  for (const { estimate } of strands) expect(estimate.observations).toBe(0)
  // Append-only: all three records are still there.
  expect(await rowsOf(`observation where pupil_id = '${pupilId}'`)).toBe(3)
})

test('two devices marking one child at once: both records stay and both count', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits[0]
  const pupilId = visit.children[0].id
  await Promise.all(
    Array.from({ length: 8 }, () =>
      recordMark(viewer, { classId, ...mark(visit.id, pupilId, { observer: newDevice() }) }),
    ),
  )
  const { records, strands } = await childPage(viewer, { classId, pupilId })
  expect(records).toHaveLength(8)
  expect(Math.max(...strands.map(({ estimate }) => estimate.observations))).toBe(8)
})

test('house style: suggestions come from the class’s own way of deciding', async () => {
  const classId = await newClass()
  await changeHouseStyle(viewer, {
    classId,
    style: { movingUp: { by: 'count', own: 1, of: 1, days: 1 }, skipOrder: 'twos-fives-tens' },
  })
  const { visit } = await visitAtItsStep(classId)
  await recordMark(viewer, { classId, ...mark(visit.id, visit.children[0].id) })
  const kinds = async () =>
    (await progressPage(viewer, { classId })).suggestions
      .filter(({ id }) => id === visit.children[0].id)
      .map(({ suggestion }) => suggestion.kind)
  expect(await kinds()).toEqual(['ready'])
  await changeHouseStyle(viewer, { classId, style: { movingUp: { by: 'judgement' } } })
  expect(await kinds()).not.toContain('ready')
  expect((await classTable(viewer, { classId })).style.skipOrder).toBe('tens-fives-twos')
})

test('the first mark on a strand a child was not placed on begins it at the year group’s usual step', async () => {
  const classId = await newClass()
  await grouped(classId)
  const { view } = await planPage(viewer, { classId })
  const sessionId = crypto.randomUUID()
  const stations = [{ id: crypto.randomUUID(), gameId: 'clock-cards', mode: 'own' as const }]
  const plan = { ...view!.plan, stations, slots: 1, cells: undefined }
  await savePlan(viewer, { classId, sessionId, groupingId: view!.groupingId, plan })
  await tapClock(viewer, { classId, sessionId, tap: 'start', slot: 0 })
  const [visit] = (await runPage(viewer, { classId }))!.visits
  const [{ id: pupilId }] = visit.children
  await recordMark(viewer, { classId, ...mark(visit.id, pupilId, { judged: 'own' }) })
  const { strands } = await childPage(viewer, { classId, pupilId })
  const time = strands.find(({ strand }) => strand === 'time')!
  expect(time.estimate.observations).toBe(1)
  expect(time.band).toHaveLength(1)
})
