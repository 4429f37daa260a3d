import { sql } from 'drizzle-orm'
import { serverDatabase } from '@/data/server-database'
import { harbourPage } from './harbour'
import { recordMark } from './marks/marks'
import { letGo, moveToToday, planPage } from './plan/plan'
import { progressPage } from './progress'
import { roomPage } from './room/pages'
import { runPage, sheetsPage, tapClock } from './run'
import { grouped, mark, newClass, openTestSchool, planned, running, viewer } from './testing/school'

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

test('a wrong Next is taken back and the clock runs on as if it had not been tapped; an ended session is reopened', async () => {
  const classId = await newClass()
  const { sessionId } = await running(classId)
  const tap = (kind: Parameters<typeof tapClock>[1]['tap'], slot: number) =>
    tapClock(viewer, { classId, sessionId, tap: kind, slot })
  const session = async () => (await runPage(viewer, { classId }))!.session
  process.env.ISLANDS_CLOCK = '2026-11-24T09:03:00Z'
  expect(await session()).toMatchObject({ slot: 0, canGoBack: false })
  await tap('minute-more', 0)
  const { leftMs } = await session()
  await tap('next', 0)
  expect(await session()).toMatchObject({ slot: 1, canGoBack: true })
  process.env.ISLANDS_CLOCK = '2026-11-24T09:04:00Z'
  // From a device that shows another slot it changes nothing.
  await tap('back', 2)
  expect(await session()).toMatchObject({ slot: 1 })
  await tap('back', 1)
  expect(await session()).toMatchObject({ slot: 0, leftMs: leftMs - 60_000, canGoBack: false })
  // Nothing is left to take back: a second tap does nothing.
  await tap('back', 0)
  expect(await session()).toMatchObject({ slot: 0 })

  await tap('finish', 0)
  expect(await runPage(viewer, { classId })).toBeNull()
  const { held } = await harbourPage(viewer, { classId })
  expect(held).toMatchObject([{ id: sessionId, day: '2026-11-24', marks: 0, canReopen: true }])
  await tap('back', 0)
  expect(await session()).toMatchObject({ slot: 0, leftMs: leftMs - 60_000 })
  expect((await harbourPage(viewer, { classId })).held).toEqual([])
  // A tap from a device that has not heard of the end changes nothing.
  await tap('finish', 0)
  await tap('pause', 0)
  expect((await harbourPage(viewer, { classId })).held).toHaveLength(1)
  // Tomorrow it is over, whatever address is still open somewhere.
  expect((await progressPage(viewer, { classId, ended: sessionId })).ended).toBe(sessionId)
  process.env.ISLANDS_CLOCK = '2026-11-25T09:00:00Z'
  expect((await progressPage(viewer, { classId, ended: sessionId })).ended).toBeNull()
  expect((await harbourPage(viewer, { classId })).held).toMatchObject([{ canReopen: false }])
  await expect(tap('back', 0)).rejects.toThrow('Only a session of today')
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
})

test('a planned session that was not held says so the next morning: it moves to today, or is let go', async () => {
  const classId = await newClass()
  await grouped(classId)
  const sessionId = await planned(classId)
  const session = async () => (await harbourPage(viewer, { classId })).session
  expect(await session()).toMatchObject({ id: sessionId, today: true, notHeld: false })
  process.env.ISLANDS_CLOCK = '2026-11-26T08:00:00Z'
  expect(await session()).toMatchObject({ id: sessionId, today: false, notHeld: true })
  await moveToToday(viewer, { classId, sessionId })
  expect(await session()).toMatchObject({ day: '2026-11-26', today: true, notHeld: false })
  process.env.ISLANDS_CLOCK = '2026-11-27T08:00:00Z'
  await letGo(viewer, { classId, sessionId })
  await letGo(viewer, { classId, sessionId })
  expect(await session()).toBeNull()
  process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
})

test('a session that nobody ended is over the next day: it ends where it was left, or as played to its last slot', async () => {
  const playedBy = async (pupilId: string) => {
    const db = await serverDatabase()
    const { rows } = await db.execute(sql`select game_id from played where pupil_id = ${pupilId} order by 1`)
    return rows.map(({ game_id }) => game_id)
  }
  const leftOpen = async () => {
    const classId = await newClass()
    const { sessionId, page } = await running(classId)
    const child = page.visits[0].children[0].id
    const games = page.visits
      .filter(({ children }) => children.some(({ id }) => id === child))
      .map(({ slot, stationId }) => [slot, page.stations.find(({ id }) => id === stationId)!.gameId] as const)
    process.env.ISLANDS_CLOCK = '2026-11-25T08:00:00Z'
    const tap = (kind: Parameters<typeof tapClock>[1]['tap']) =>
      tapClock(viewer, { classId, sessionId, tap: kind, slot: 0 })
    return { classId, child, games, tap }
  }
  try {
    const first = await leftOpen()
    const { classId } = first
    expect((await harbourPage(viewer, { classId })).session).toMatchObject({ leftOpen: true, today: false })
    expect(await runPage(viewer, { classId })).toMatchObject({ leftOpen: true, day: '2026-11-24' })
    expect((await planPage(viewer, { classId })).session).toMatchObject({ leftOpen: true })
    await expect(roomPage(viewer, { classId })).rejects.toThrow('nothing here')
    for (const kind of ['next', 'pause', 'minute-more', 'back'] as const)
      await expect(first.tap(kind)).rejects.toThrow('left open')
    await first.tap('finish')
    await first.tap('finish')
    const page = await harbourPage(viewer, { classId })
    expect(page.session).toBeNull()
    expect(page.held).toMatchObject([{ day: '2026-11-24', canReopen: false }])
    // What lies after the slot it ended in nobody has played.
    expect(await playedBy(first.child)).toEqual([first.games.find(([slot]) => slot === 0)![1]])

    process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
    const second = await leftOpen()
    await second.tap('all-played')
    expect(await playedBy(second.child)).toEqual(second.games.map(([, game]) => game).sort())
  } finally {
    process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  }
})

test('a session whose clock nobody told was played to its last slot once the time of all slots has passed, not before; the same said of one that was ended', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const { slots, slotMinutes } = page.session
  const tap = (kind: Parameters<typeof tapClock>[1]['tap']) =>
    tapClock(viewer, { classId, sessionId, tap: kind, slot: 0 })
  const minutesIn = (minutes: number) =>
    (process.env.ISLANDS_CLOCK = new Date(
      Date.parse('2026-11-24T09:00:00Z') + minutes * 60_000,
    ).toISOString())
  const standsAt = async () => (await sheetsPage(viewer, { classId, sessionId })).session
  try {
    minutesIn(slots * slotMinutes - 1)
    await expect(tap('all-played')).rejects.toThrow('still under way')
    minutesIn(slots * slotMinutes)
    await tap('all-played')
    await tap('all-played')
    expect(await standsAt()).toMatchObject({ state: 'done', slot: slots - 1 })
    // Taken back it stands where it stood, and can be ended there.
    await tap('back')
    expect(await standsAt()).toMatchObject({ state: 'running', slot: 0 })
    await tap('finish')
    expect(await standsAt()).toMatchObject({ state: 'done', slot: 0 })
    minutesIn(24 * 60)
    await tap('all-played')
    expect(await standsAt()).toMatchObject({ state: 'done', slot: slots - 1 })
  } finally {
    process.env.ISLANDS_CLOCK = '2026-11-24T09:00:00Z'
  }
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

test('sessions that were held are told newest first, each with its games and the marks that stand', async () => {
  const classId = await newClass()
  const heldOnce = async (marks: number) => {
    const { sessionId, page } = await running(classId)
    const visit = page.visits.find(({ slot }) => slot === 0)!
    const made = visit.children.slice(0, marks).map(({ id }) => mark(visit.id, id))
    for (const one of made) await recordMark(viewer, { classId, ...one })
    // One of them is taken back: it counts no longer.
    const back = { ...made[0], id: crypto.randomUUID(), judged: null, corrects: made[0].id }
    await recordMark(viewer, { classId, ...back, madeAt: '2026-11-24T10:21:00Z' })
    await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
    return { id: sessionId, titles: page.stations.map(({ title }) => title), marks: marks - 1 }
  }
  const first = await heldOnce(3)
  const second = await heldOnce(2)
  const { held } = await harbourPage(viewer, { classId })
  expect(held.map(({ id, titles, marks }) => ({ id, titles, marks })).sort(byMarks)).toEqual(
    [first, second].sort(byMarks),
  )
  const other = await newClass()
  expect((await harbourPage(viewer, { classId: other })).held).toEqual([])
})

const byMarks = (a: { marks: number }, b: { marks: number }) => a.marks - b.marks
