import { childPage } from '../progress'
import { runPage, tapClock } from '../run'
import { deviceWith } from '../testing/parties'
import { mark, newClass, openTestSchool, rowsOf, running, viewer } from '../testing/school'
import { correctRecord } from './correct'
import { recordMark } from './marks'

openTestSchool()

const [tuesday, thursday] = ['2026-11-24T10:30:00Z', '2026-11-26T15:00:00Z']

/** A class with one mark of a child, made on Tuesday; unless it is to go on its session is over, and it is Thursday. */
async function seenOnTuesday(value: object = {}, { over = true } = {}) {
  process.env.ISLANDS_CLOCK = tuesday
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const visit = page.visits.find(({ slot }) => slot === 0)!
  const [{ id: pupilId }] = visit.children
  const made = mark(visit.id, pupilId, { madeAt: '2026-11-24T10:25:00Z', ...value })
  await recordMark(viewer, { classId, ...made })
  if (over) {
    await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
    process.env.ISLANDS_CLOCK = thursday
  }
  return {
    ids: { classId, pupilId, recordId: made.id },
    shown: () => childPage(viewer, { classId, pupilId }),
    put: (
      to: Parameters<typeof correctRecord>[1]['to'],
      recordId = made.id,
      id: string = crypto.randomUUID(),
    ) => correctRecord(viewer, { classId, id, pupilId, recordId, to }),
  }
}

type Shown = Awaited<ReturnType<typeof childPage>>
/** What is believed on the strand of the only record. */
const believed = ({ records, strands }: Shown) =>
  strands.find(({ strand }) => strand === records[0].strand)!.estimate

test('put right days later, a mark counts as if it had been tapped so on its day; both records are kept and told', async () => {
  const { ids, shown, put } = await seenOnTuesday({ judged: 'notYet' })
  await put('own')
  const after = await shown()
  expect(after.records).toMatchObject([
    { judged: 'own', schoolDay: '2026-11-24', was: { judged: 'notYet', corrected: '2026-11-26' } },
  ])
  expect(after.takenBack).toEqual([])
  expect(await rowsOf(`observation where class_id = '${ids.classId}'`)).toBe(2)
  expect(await rowsOf(`observation where class_id = '${ids.classId}' and standing`)).toBe(1)

  const atOnce = await (await seenOnTuesday({ judged: 'own' })).shown()
  expect(atOnce.records[0]).toMatchObject({ step: after.records[0].step, was: null })
  expect(believed(after).observations).toBe(1)
  expect(believed(after).mean).toBeCloseTo(believed(atOnce).mean, 9)
  expect(believed(after).sd).toBeCloseTo(believed(atOnce).sd, 9)
})

test('taken back, a record counts no longer and is still told; it can count again', async () => {
  const { ids, shown, put } = await seenOnTuesday({ judged: null, right: 7, of: 9 })
  const before = await shown()
  await put('nothing')
  const without = await shown()
  expect(without.records).toEqual([])
  expect(without.takenBack).toMatchObject([{ id: ids.recordId, right: 7, of: 9, schoolDay: '2026-11-24' }])
  await put('as-it-was')
  const again = await shown()
  expect(again.records).toMatchObject([{ right: 7, of: 9, schoolDay: '2026-11-24', was: null }])
  expect(again.takenBack).toEqual([])
  expect(believed(again).mean).toBeCloseTo(believed(before).mean, 9)
})

test('sent twice it is one; of two corrections the later one stands, and the record before it is told', async () => {
  const { ids, shown, put } = await seenOnTuesday({ judged: 'own' })
  const id = crypto.randomUUID()
  const sent = await put('help', ids.recordId, id)
  expect(await put('help', ids.recordId, id)).toEqual(sent)
  process.env.ISLANDS_CLOCK = '2026-11-27T08:00:00Z'
  await put('notYet', id)
  expect((await shown()).records).toMatchObject([
    { judged: 'notYet', was: { judged: 'help', corrected: '2026-11-27' } },
  ])
  expect(await rowsOf(`observation where class_id = '${ids.classId}'`)).toBe(3)
})

test('a slip of the finger at the station is no correction to be told', async () => {
  const { ids, shown } = await seenOnTuesday({ judged: 'own' }, { over: false })
  const { classId, pupilId, recordId } = ids
  const visitId = (await runPage(viewer, { classId }))!.visits.find(({ children }) =>
    children.some(({ id }) => id === pupilId),
  )!.id
  const tappedAnew = { judged: 'help', corrects: recordId, madeAt: '2026-11-24T10:25:04Z' }
  await recordMark(viewer, { classId, ...mark(visitId, pupilId, tappedAnew) })
  expect((await shown()).records).toMatchObject([{ judged: 'help', was: null }])
})

test('put right by the teacher, a helper’s device may still hand in what it holds of the same child', async () => {
  process.env.ISLANDS_CLOCK = tuesday
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const visit = page.visits.find(({ slot }) => slot === 0)!
  const [{ id: pupilId }] = visit.children
  const helper = await deviceWith(classId, sessionId, { kind: 'helper' })
  const observer = crypto.randomUUID()
  const seen = mark(visit.id, pupilId, { observer, judged: 'notYet' })
  await recordMark(helper, { classId, ...seen })
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  const put = { classId, pupilId, id: crypto.randomUUID(), recordId: seen.id, to: 'own' } as const
  await correctRecord(viewer, put)
  // Made before, without a network: kept, but what the teacher put right stands.
  const late = mark(visit.id, pupilId, { observer, judged: 'help', madeAt: '2026-11-24T10:22:00Z' })
  expect(await recordMark(helper, { classId, ...late })).toEqual({ standing: put.id })
})

test('what can’t be put right is refused in words, and nothing is written', async () => {
  const underWay = await seenOnTuesday({ judged: 'own' }, { over: false })
  await expect(underWay.put('help')).rejects.toThrow('put it right at the station')
  const tally = await seenOnTuesday({ judged: null, right: 2, of: 5 })
  await expect(tally.put('own')).rejects.toThrow('A count can be taken back')
  await expect(tally.put('nothing', crypto.randomUUID())).rejects.toMatchObject({ name: 'NotHere' })
  const other = await seenOnTuesday({ judged: 'own' })
  await expect(
    correctRecord(viewer, {
      ...other.ids,
      id: crypto.randomUUID(),
      recordId: tally.ids.recordId,
      to: 'help',
    }),
  ).rejects.toMatchObject({ name: 'NotHere' })
  for (const { classId } of [underWay.ids, tally.ids, other.ids])
    expect(await rowsOf(`observation where class_id = '${classId}'`)).toBe(1)
})
