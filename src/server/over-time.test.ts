import { bandsOf, clearBand, saveBand, type BandPoint } from '@/data/queries/estimates'
import { latestOf } from '@/data/queries/observations'
import { addDays } from '@/core/planning/calendar'
import { classIdSchema, classTable } from './classes'
import { recordMark } from './marks/marks'
import { newClass, openTestSchool, viewer } from './testing/school'
import { readingClass } from './use-case'
import type { ClassScope } from '@/data/scope'

openTestSchool()

/** Asks the database as a use case of the class does. */
const asked = <T>(classId: string, ask: (scope: ClassScope) => Promise<T>) =>
  readingClass('progressPage', classIdSchema, ask)(viewer, { classId })

/** The Monday of a day's week, by the calendar of JavaScript. */
const monday = (day: string) => addDays(day, -((new Date(`${day}T12:00:00Z`).getUTCDay() + 6) % 7))

test('a band: every day of late, before that the last day of each week that has one', async () => {
  const classId = await newClass()
  const { rows } = await classTable(viewer, { classId })
  const [{ id: pupilId }, { id: other }] = rows
  // Eight weeks with gaps, week ends and a week without a day.
  const days = Array.from({ length: 56 }, (_, i) => addDays('2026-09-28', i)).filter(
    (day, i) => i % 3 !== 1 && monday(day) !== '2026-10-19',
  )
  const points = days.flatMap((day, i): BandPoint[] =>
    [pupilId, other].map((id, at) => ({
      pupilId: id,
      strand: 'add',
      day,
      p10: i - 1,
      p50: i + at / 4,
      p90: i + 1.5,
    })),
  )
  await asked(classId, async (scope) => {
    for (const { id } of rows) await clearBand(scope, id, 'add')
    await saveBand(scope, points)
  })
  for (const { dailyFrom, from } of [
    { dailyFrom: '2026-11-10', from: undefined },
    { dailyFrom: '2026-11-24', from: '2026-10-07' },
    { dailyFrom: '2026-09-01', from: undefined },
  ]) {
    const expected = points.filter(
      ({ day }) =>
        (from === undefined || day >= from) &&
        (day >= dailyFrom ||
          !days.some((later) => later > day && later < dailyFrom && monday(later) === monday(day))),
    )
    const found = await asked(classId, (scope) => bandsOf(scope, { strand: 'add' }, { dailyFrom, from }))
    const inOrder = (list: readonly BandPoint[]) =>
      [...list].sort((a, b) => a.pupilId.localeCompare(b.pupilId) || a.day.localeCompare(b.day))
    expect(inOrder(found)).toEqual(inOrder(expected))
    // Of each child the oldest comes first, as a chart wants them.
    const own = found.filter((point) => point.pupilId === pupilId).map(({ day }) => day)
    expect(own).toEqual([...own].sort())
    const alone = await asked(classId, (scope) => bandsOf(scope, { pupilId }, { dailyFrom, from }))
    expect(alone.filter(({ strand }) => strand === 'add')).toEqual(
      inOrder(expected).filter((point) => point.pupilId === pupilId),
    )
  }
})

test('a child’s newest records over all strands, newest first, and of no other child', async () => {
  const classId = await newClass()
  const [{ id: pupilId }, { id: other }] = (await classTable(viewer, { classId })).rows
  const places = [
    { strand: 'add', step: 'take-away-5' },
    { strand: 'count', step: 'count-10' },
    { strand: 'time', step: 'hour' },
  ] as const
  const made: { id: string; madeAt: string }[] = []
  for (let i = 0; i < 14; i++) {
    const id = crypto.randomUUID()
    // Out of order, and some at the same moment.
    const madeAt = `2026-11-24T08:${String(10 + ((i * 5) % 12)).padStart(2, '0')}:00.000Z`
    await recordMark(viewer, {
      classId,
      id,
      observer: crypto.randomUUID(),
      visitId: null,
      at: places[i % places.length],
      pupilId: i === 6 ? other : pupilId,
      madeAt,
      judged: 'own',
      right: null,
      of: null,
    })
    if (i !== 6) made.push({ id, madeAt })
  }
  const newest = [...made].sort((a, b) => b.madeAt.localeCompare(a.madeAt) || (b.id < a.id ? -1 : 1))
  for (const most of [1, 5, 60]) {
    const found = await asked(classId, (scope) => latestOf(scope, pupilId, most))
    expect(found.map(({ id }) => id)).toEqual(newest.slice(0, most).map(({ id }) => id))
  }
  // Whoever asks for a child of another class gets nothing.
  const elsewhere = await newClass()
  expect(await asked(elsewhere, (scope) => latestOf(scope, pupilId, 60))).toEqual([])
})
