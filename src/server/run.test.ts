import { recordMark } from './marks/marks'
import { runPage, tapClock } from './run'
import { mark, newClass, openTestSchool, running, viewer } from './testing/school'

openTestSchool()

test('the clock: pausing stops it, a second tap on Next skips nothing, the last Next ends the session', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const tap = (kind: Parameters<typeof tapClock>[1]['tap'], slot: number) =>
    tapClock(viewer, { classId, sessionId, tap: kind, slot })
  const left = async () => (await runPage(viewer, { classId }))!.session.leftMs
  process.env.ISLANDS_CLOCK = '2026-11-24T09:02:00Z'
  expect(await left()).toBe(10 * 60_000)
  await tap('pause', 0)
  process.env.ISLANDS_CLOCK = '2026-11-24T09:30:00Z'
  expect(await left()).toBe(10 * 60_000)
  await tap('resume', 0)
  await tap('minute-more', 0)
  expect(await left()).toBe(11 * 60_000)
  await tap('next', 0)
  await tap('next', 0)
  expect((await runPage(viewer, { classId }))!.session.slot).toBe(1)
  for (let slot = 1; slot < page.session.slots; slot++) await tap('next', slot)
  expect(await runPage(viewer, { classId })).toBeNull()
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
})

test('a mark for a child who was not at the station is refused', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [here, other] = page.visits.filter(({ slot }) => slot === 0)
  await expect(recordMark(viewer, { classId, ...mark(here.id, other.children[0].id) })).rejects.toThrow(
    'was not at this station',
  )
  await expect(
    recordMark(viewer, { classId, ...mark(here.id, here.children[0].id, { judged: null }) }),
  ).rejects.toThrow('no mark to take back')
})
