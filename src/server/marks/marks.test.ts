import { sql } from 'drizzle-orm'
import { difficultiesOf } from '@/core/evidence/history'
import { estimate } from '@/core/evidence/estimate'
import { priorOf } from '@/core/evidence/prior'
import { stepIndex } from '@/core/skills'
import { serverDatabase } from '@/data/server-database'
import { classIdSchema, classTable } from '../classes'
import { rebuildEstimate } from '../estimates'
import { childPage } from '../progress'
import { mark, newClass, openTestSchool, rowsOf, running, viewer } from '../testing/school'
import { runPage } from '../run'
import { readingClass } from '../use-case'
import { recordMark } from './marks'

openTestSchool()

/** Sends marks at the same moment. */
const atOnce = (classId: string, marks: readonly ReturnType<typeof mark>[]) =>
  Promise.allSettled(marks.map((one) => recordMark(viewer, { classId, ...one })))

test('of marks that come at once each is answered for itself', async () => {
  const [classId, foreign] = [await newClass(), await newClass()]
  const { page } = await running(classId)
  const [here, there] = page.visits.filter(({ slot }) => slot === 0)
  const [stranger] = (await classTable(viewer, { classId: foreign })).rows
  const [first, second] = here.children.map(({ id }) => mark(here.id, id))
  const answers = await atOnce(classId, [
    first,
    mark(here.id, there.children[0].id),
    mark(here.id, stranger.id),
    mark(crypto.randomUUID(), first.pupilId),
    mark(here.id, first.pupilId, { judged: null, observer: crypto.randomUUID() }),
    { ...first, judged: 'notYet' as never },
    first,
    second,
  ])
  expect(answers).toMatchObject([
    { value: { standing: first.id } },
    { reason: { message: 'The child was not at this station in this slot.' } },
    { reason: { message: 'The child is not in this class.' } },
    { reason: { name: 'NotHere' } },
    { reason: { message: 'There is no mark to take back.' } },
    { reason: { message: expect.stringContaining('Another mark has this number') } },
    { value: { standing: first.id } },
    { value: { standing: second.id } },
  ])
  expect(await rowsOf(`observation where class_id = '${classId}'`)).toBe(2)
})

const days = ['2026-11-24', '2026-11-25', '2026-11-26']
const judgements = ['own', 'help', 'notYet', null] as const

test('marks and corrections of three days at once: few transactions, and what is believed equals a rebuild', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visits = page.visits.slice(0, 3)
  const devices = Array.from({ length: 3 }, () => crypto.randomUUID())
  for (const [today, day] of days.entries()) {
    process.env.ISLANDS_CLOCK = `${day}T11:00:00Z`
    const taps = Array.from({ length: 60 }, (_, i) => {
      const visit = visits[(i * 7 + today) % visits.length]
      // Of any day up to today: a device that was offline sends what it has.
      const made = `${days[(i * 5) % (today + 1)]}T10:${String((i * 17) % 60).padStart(2, '0')}:00Z`
      return mark(visit.id, visit.children[(i * 3) % visit.children.length].id, {
        judged: judgements[(i * 11 + today) % 4],
        observer: devices[(i * 13) % 3],
        madeAt: made,
      })
    })
    const answers = await atOnce(classId, taps)
    const refused = answers.flatMap((one) => (one.status === 'rejected' ? [String(one.reason)] : []))
    expect(refused.filter((reason) => !reason.includes('no mark to take back'))).toEqual([])
  }
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  const { rows } = await (
    await serverDatabase()
  ).execute<{ records: number; transactions: number; standing: number }>(
    sql`select count(*)::int as records, count(distinct xmin::text)::int as transactions,
      (count(*) filter (where standing))::int as standing from observation where class_id = ${classId}`,
  )
  expect(rows[0].records).toBeGreaterThan(120)
  expect(rows[0].transactions).toBeLessThan(rows[0].records / 4)
  const chains = await rowsOf(
    `(select 1 from observation where class_id = '${classId}' group by chain having count(*) filter (where standing) > 1) c`,
  )
  expect(chains).toBe(0)

  const pupilIds = [...new Set(visits.flatMap(({ children }) => children.map(({ id }) => id)))]
  const stored = await Promise.all(pupilIds.map((pupilId) => childPage(viewer, { classId, pupilId })))
  const counted = stored.flatMap(({ strands }) => strands.map(({ estimate }) => estimate.observations))
  expect(counted.reduce((sum, n) => sum + n)).toBe(rows[0].standing)
  const { placements } = await classTable(viewer, { classId })
  const rebuild = readingClass('classTable', classIdSchema, async (scope) => {
    for (const placed of placements) await rebuildEstimate(scope, { ...placed, day: days[0] })
  })
  await rebuild(viewer, { classId })
  for (const [i, pupilId] of pupilIds.entries()) {
    const rebuilt = await childPage(viewer, { classId, pupilId })
    rebuilt.strands.forEach(({ estimate, band }, at) => {
      const before = stored[i].strands[at]
      expect(estimate.observations).toBe(before.estimate.observations)
      for (const key of ['mean', 'sd', 'p10', 'p50', 'p90'] as const)
        expect(estimate[key]).toBeCloseTo(before.estimate[key], 9)
      expect(band.map(([day]) => day)).toEqual(before.band.map(([day]) => day))
    })
  }
})

test('a digital station: its tally weighs 0.8 at the step of its tasks, is kept as digital, and any device takes it back', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits.find(({ slot, step }) => slot === 0 && step.place.strand === 'add')!
  const [{ id: pupilId }] = visit.children
  const play = crypto.randomUUID()
  const digital = {
    strand: 'add',
    step: 'count-on-20',
    guess: 0,
    slips: [{ reason: 'counted-own', count: 2 }],
  }
  const counted = mark(visit.id, pupilId, { observer: play, judged: null, right: 7, of: 9, digital })
  const before = await childPage(viewer, { classId, pupilId })
  await recordMark(viewer, { classId, ...counted })
  await recordMark(viewer, { classId, ...counted })
  await recordMark(viewer, { classId, ...mark(visit.id, pupilId) })

  const { records, strands } = await childPage(viewer, { classId, pupilId })
  expect(records).toHaveLength(2)
  expect(records.find(({ digital }) => digital)).toMatchObject({
    step: 'count-on-20',
    right: 7,
    of: 9,
    slips: [{ reason: 'counted-own', count: 2 }],
  })
  const { estimate, prior } = await estimateOf(classId, pupilId)
  expect(strands.find(({ strand }) => strand === 'add')!.estimate.mean).toBeCloseTo(estimate, 9)
  expect(estimate).not.toBeCloseTo(prior, 2)

  const shown = (await runPage(viewer, { classId }))!.marks.find(({ digital }) => digital !== null)!
  expect(shown.digital).toEqual(digital)
  const back = mark(visit.id, pupilId, { observer: play, judged: null, digital, corrects: counted.id })
  await recordMark(viewer, { classId, ...back })
  const after = await childPage(viewer, { classId, pupilId })
  expect(after.records.map(({ digital }) => digital)).toEqual([false])
  expect(before.records).toEqual([])
})

/** The mean on adding after the two records of the test above, worked out without the server; and before them. */
async function estimateOf(classId: string, pupilId: string) {
  const { placements } = await classTable(viewer, { classId })
  const placed = placements.find((one) => one.pupilId === pupilId && one.strand === 'add')!
  const { records } = await childPage(viewer, { classId, pupilId })
  const judged = records.find((one) => one.judged)!
  expect(judged.strand).toBe('add')
  const prior = priorOf('add', placed)
  const at = (step: string) => stepIndex({ strand: 'add', step })
  const { mean } = estimate({
    difficulties: [...difficultiesOf('add')],
    prior,
    noisePerDay: 0,
    observations: [
      { day: 0, step: at('count-on-20'), right: 7, of: 9, guess: 0, weight: 0.8 },
      { day: 0, step: at(judged.step), judged: 'own', weight: 1 },
    ],
    onDay: 0,
  })
  return { estimate: mean, prior: prior.mean }
}

test('a correction counts although the clock of its device has gone back since the mark', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  process.env.ISLANDS_CLOCK = '2026-11-24T10:40:00Z'
  const [visit] = page.visits
  const [{ id: pupilId }] = visit.children
  const first = mark(visit.id, pupilId, { madeAt: '2026-11-24T10:20:00Z' })
  await recordMark(viewer, { classId, ...first })
  const correction = mark(visit.id, pupilId, {
    judged: 'notYet',
    corrects: first.id,
    madeAt: '2026-11-23T10:20:00Z',
  })
  expect(await recordMark(viewer, { classId, ...correction })).toEqual({ standing: correction.id })
  // And the next one, by the same slow clock, counts after that.
  const again = mark(visit.id, pupilId, {
    judged: 'help',
    corrects: correction.id,
    madeAt: '2026-11-23T10:21:00Z',
  })
  expect(await recordMark(viewer, { classId, ...again })).toEqual({ standing: again.id })
})
