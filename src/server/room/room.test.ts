import { stepIndex } from '@/core/skills'
import { gameOf } from '@/core/games'
import { classTable } from '../classes'
import { forgetLikings, forgetPace, habitsOf } from '../habits'
import { levelMeasure } from '../figures'
import { gamesPage } from '../games/list'
import { eraseChild } from '../keeping/erase'
import { exportClass, importClass } from '../keeping/documents'
import { settingsPage } from '../keeping/settings'
import { recordMark } from '../marks/marks'
import { takeNoteAway } from '../notes'
import { planPage } from '../plan/plan'
import { childPage } from '../progress'
import { runPage, tapClock } from '../run'
import { readingClass } from '../use-case'
import { classIdSchema } from '../classes'
import { mark, newClass, openTestSchool, rowsOf, running, viewer } from '../testing/school'
import { changeLevelNow, swapSeats } from './at-station'
import { comeIn, linkedDevice, makeLink } from './links'
import { takeWay, undoReplan, waysToGoOn } from './replan'
import { tell } from './tell'

openTestSchool()

const told = () => ({ id: crypto.randomUUID(), madeAt: '2026-11-24T08:59:00Z' })

test('who is away and who went home: the later word stands, whichever comes first', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [{ id: pupilId }] = page.visits[0].children
  const say = (absent: boolean, fromSlot: number, madeAt: string) =>
    tell(viewer, {
      classId,
      kind: 'absent',
      id: crypto.randomUUID(),
      madeAt,
      sessionId,
      pupilId,
      absent,
      fromSlot,
    })
  await say(true, 1, '2026-11-24T08:59:30Z')
  await say(true, 0, '2026-11-24T08:58:00Z')
  expect((await runPage(viewer, { classId }))!.absent).toEqual([{ pupilId, fromSlot: 1 }])
  await say(false, 0, '2026-11-24T08:59:40Z')
  expect((await runPage(viewer, { classId }))!.absent).toEqual([])
})

test('a note is kept with its child, once; it goes with the child, and can be taken away', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [visit] = page.visits
  const [{ id: pupilId }, { id: otherId }] = visit.children
  const note = {
    classId,
    kind: 'note',
    ...told(),
    pupilId,
    visitId: visit.id,
    words: ' Explains it to a friend. ',
    tags: ['talk'],
  } as const
  await tell(viewer, { ...note, tags: ['talk'] })
  await tell(viewer, { ...note, tags: ['talk'] })
  await tell(viewer, {
    ...note,
    ...told(),
    tags: [],
    visitId: null,
    pupilId: otherId,
    words: 'At the carpet.',
  })
  const { notes } = await childPage(viewer, { classId, pupilId })
  expect(notes).toMatchObject([
    { words: 'Explains it to a friend.', tags: ['talk'], schoolDay: '2026-11-24' },
  ])
  await expect(tell(viewer, { ...note, ...told(), tags: [], words: '   ' })).rejects.toThrow(
    'nothing in the note',
  )
  await takeNoteAway(viewer, { classId, noteId: notes[0].id })
  expect((await childPage(viewer, { classId, pupilId })).notes).toEqual([])
  await eraseChild(viewer, { classId, pupilId: otherId })
  expect(await rowsOf(`note where class_id = '${classId}'`)).toBe(0)
})

test('how it was done is kept with the mark and told in words of its step', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits.find(({ step }) => step.place.strand === 'add')!
  const [{ id: pupilId }] = visit.children
  const how = { strategy: 'known', objects: true, explained: true, slip: 'one-missed' as const }
  await recordMark(viewer, { classId, ...mark(visit.id, pupilId, { how }) })
  const { records } = await childPage(viewer, { classId, pupilId })
  expect(records[0].slips).toEqual([{ reason: 'one-missed', count: 1 }])
  expect(records[0].how).toMatchObject({ objects: true, explained: true })
})

test('a level easier from now on: marks are about it, and what was seen before stays; places are changed by name', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const visit = page.visits.find(({ slot, levelId, stationId }) => {
    const { gameId } = page.stations.find(({ id }) => id === stationId)!
    return slot === 0 && gameOf(gameId).levels.findIndex(({ id }) => id === levelId) > 0
  })!
  const [{ id: pupilId }] = visit.children
  await recordMark(viewer, { classId, ...mark(visit.id, pupilId, { judged: 'notYet' }) })
  await changeLevelNow(viewer, { classId, visitId: visit.id, pupilId, to: 'easier' })
  const after = (await runPage(viewer, { classId }))!.visits.find(({ id }) => id === visit.id)!
  const own = after.children.find(({ id }) => id === pupilId)!.own!
  expect(stepIndex(own.step.place)).toBeLessThanOrEqual(stepIndex(visit.step.place))
  await changeLevelNow(viewer, { classId, visitId: visit.id, pupilId, to: 'harder' })
  const back = (await runPage(viewer, { classId }))!.visits.find(({ id }) => id === visit.id)!
  expect(back.children.every((child) => child.own === undefined)).toBe(true)

  const sets = back.seats
  if (sets.length > 1) {
    await swapSeats(viewer, { classId, visitId: visit.id, pupilId: sets[0][0], withId: sets[1][0] })
    const swapped = (await runPage(viewer, { classId }))!.visits.find(({ id }) => id === visit.id)!
    expect(swapped.seats[0]).toContain(sets[1][0])
  }
  await expect(swapSeats(viewer, { classId, visitId: visit.id, pupilId, withId: pupilId })).rejects.toThrow(
    'already',
  )
})

const habits = readingClass('classTable', classIdSchema, habitsOf)

test('games that took longer make the class slower in the plan and among the games; both can be forgotten', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const timed = page.visits.filter(({ stationId, levelId }) => {
    const { gameId } = page.stations.find(({ id }) => id === stationId)!
    return levelMeasure(gameId, levelId).minutes !== null
  })
  expect(timed.length).toBeGreaterThan(0)
  const before = await gamesPage(viewer, { classId })
  for (let i = 0; i < 8; i++) {
    const visit = timed[i % timed.length]
    const { gameId } = page.stations.find(({ id }) => id === visit.stationId)!
    const minutes = levelMeasure(gameId, visit.levelId).minutes!.mean * 1.5
    await tell(viewer, { classId, kind: 'finished', ...told(), visitId: visit.id, minutes })
  }
  // A session that nobody ended: two hours for a game are no pace.
  await tell(viewer, { classId, kind: 'finished', ...told(), visitId: timed[0].id, minutes: 120 })
  await tell(viewer, { classId, kind: 'liked', ...told(), visitId: timed[0].id, liked: true })
  // Eight games half as long again, from a prior that holds the usual pace: a good deal slower, not all of it.
  const { pace } = await habits(viewer, { classId })
  expect(pace.games).toBe(8)
  expect(pace.factor).toBeGreaterThan(1.25)
  expect(pace.factor).toBeLessThan(1.5)
  const after = await gamesPage(viewer, { classId })
  const longer = after.rows.find(
    ({ id, minutes }) =>
      minutes &&
      before.rows.some(
        (row) => row.id === id && row.levelId === after.rows.find((one) => one.id === id)!.levelId,
      ),
  )!
  const was = before.rows.find(({ id }) => id === longer.id)!
  expect(longer.minutes!.p50).toBeCloseTo(was.minutes!.p50 * pace.factor, 9)
  expect((await planPage(viewer, { classId })).view!.pace).toEqual(pace)
  const { habits: shown } = await settingsPage(viewer, { classId })
  expect(shown.liked).toMatchObject([{ liked: 1, of: 1 }])

  // It goes along with the class's document.
  const text = JSON.stringify(await exportClass(viewer, { classId }))
  await importClass(viewer, { text, mode: 'replace' })
  expect((await habits(viewer, { classId })).pace).toEqual(pace)
  await forgetPace(viewer, { classId })
  await forgetLikings(viewer, { classId })
  expect(await habits(viewer, { classId })).toEqual({ pace: { factor: 1, games: 0 }, liked: {} })
})

test('codes: good once, few tries, nothing kept as it is; a scanned one lets in several, each with its own', async () => {
  const classId = await newClass()
  const { sessionId } = await running(classId)
  const { token, code } = await makeLink(viewer, { classId, sessionId, kind: 'helper' })
  const from = crypto.randomUUID()
  const typed = await comeIn(from, { code: code.toLowerCase().replace(' ', '-') })
  await expect(comeIn(from, { code })).rejects.toThrow('doesn’t work any more')
  const scanned = [await comeIn(from, { token }), await comeIn(from, { token })]
  const links = await Promise.all([typed, ...scanned].map((one) => linkedDevice(one.token)))
  expect(new Set(links.map((link) => link!.viewer.linkId)).size).toBe(3)
  for (let i = 0; i < 4; i++) await expect(comeIn(from, { code: 'XXXX XXXX' })).rejects.toThrow('any more')
  await expect(comeIn(from, { code: 'XXXX XXXX' })).rejects.toThrow(/Wait \d+ seconds/)
  // A scanned token can’t be guessed, so it always lets in, and nobody else is kept waiting.
  expect(await linkedDevice((await comeIn(from, { token })).token)).not.toBeNull()
  for (let n = 0; n < 100; n++)
    await expect(comeIn(`10.0.0.${n}`, { code: 'XXXX XXXX' })).rejects.toThrow('any more')
  const next = await makeLink(viewer, { classId, sessionId, kind: 'helper' })
  expect(await comeIn(crypto.randomUUID(), { code: next.code })).toMatchObject({
    token: expect.any(String) as string,
  })
  expect(await rowsOf(`link where token_hash = '${token}' or code_hash = '${code}'`)).toBe(0)
  // The table says nothing of whom the code let in.
  expect((await classTable(viewer, { classId })).rows.length).toBeGreaterThan(0)
})

test('who went home has played what came before, and nothing after', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [first, second] = [0, 1].map((slot) =>
    page.visits.find((visit) => visit.slot === slot && visit.pennant === 0)!,
  )
  const [{ id: pupilId }] = first.children
  await tell(viewer, { classId, kind: 'absent', ...told(), sessionId, pupilId, absent: true, fromSlot: 1 })
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  const played = (stationId: string) => {
    const { gameId } = page.stations.find(({ id }) => id === stationId)!
    return rowsOf(`played where pupil_id = '${pupilId}' and game_id = '${gameId}'`)
  }
  expect([await played(first.stationId), await played(second.stationId)]).toEqual([1, 0])
})

test('a finished game that was a tap too much is taken back, however often that is told', async () => {
  const classId = await newClass()
  const { page } = await running(classId)
  const [{ id: visitId }] = page.visits
  const [one, other] = [told(), told()]
  await tell(viewer, { classId, kind: 'finished', ...one, visitId, minutes: 4 })
  await tell(viewer, {
    classId,
    kind: 'finished',
    ...other,
    madeAt: '2026-11-24T08:59:30Z',
    visitId,
    minutes: 3,
  })
  const now = async () => (await runPage(viewer, { classId }))!.finished
  expect(await now()).toEqual([{ visitId, games: 2, minutes: 7, last: { id: other.id, minutes: 3 } }])
  for (let i = 0; i < 2; i++)
    await tell(viewer, { classId, kind: 'unfinished', ...told(), visitId, game: other.id })
  expect(await now()).toEqual([{ visitId, games: 1, minutes: 4, last: { id: one.id, minutes: 4 } }])
})

test('a way to go on: what is held another day is a session of its own; undone it is gone, and later there is no way back', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const happened = { kind: 'lost-slot' } as const
  const way = async (kind: string) =>
    (await waysToGoOn(viewer, { classId, sessionId, happened })).find((one) => one.kind === kind)!
  const tomorrow = await way('tomorrow')
  await takeWay(viewer, { classId, sessionId, happened, way: tomorrow.id })
  const sessions = () => rowsOf(`station_session where class_id = '${classId}'`)
  expect(await sessions()).toBe(2)
  expect((await runPage(viewer, { classId }))!.session.slots).toBe(page.session.slots - 1)
  await undoReplan(viewer, { classId, sessionId })
  const back = (await runPage(viewer, { classId }))!
  expect([await sessions(), back.session.slots, back.plan]).toEqual([1, page.session.slots, page.plan])
  const shorter = { kind: 'late', minutes: 5 } as const
  const [first] = await waysToGoOn(viewer, { classId, sessionId, happened: shorter })
  await takeWay(viewer, { classId, sessionId, happened: shorter, way: first.id })
  await expect(takeWay(viewer, { classId, sessionId, happened: shorter, way: 'none' })).rejects.toThrow(
    'moved on',
  )
  await tapClock(viewer, { classId, sessionId, tap: 'next', slot: 0 })
  await expect(undoReplan(viewer, { classId, sessionId })).rejects.toThrow('nothing to undo')
})
