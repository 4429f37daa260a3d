import { sql } from 'drizzle-orm'
import { serverDatabase } from '@/data/server-database'
import { addChildren, changeChild, setLeft } from '../classes'
import { eraseChild } from '../keeping/erase'
import { recordMark } from '../marks/marks'
import { letAdultGo } from '../access/adults'
import { comeIn, endLinks, linkedDevice, makeLink } from '../room/links'
import { liveSession } from '../room/pages'
import { tell } from '../room/tell'
import { runPage, tapClock } from '../run'
import type { Viewer } from '../viewer'
import { adultWho, deviceWith } from '../testing/parties'
import { list, mark, newClass, openTestSchool, running, viewer } from '../testing/school'
import type { LiveChange } from '@/core/live/change'
import { endHubs, listenTo } from './hub'

openTestSchool()
afterAll(endHubs)

/** A device that listens, with what it was told. */
async function listening(who: Viewer, classId: string, sessionId: string) {
  const { sees } = await liveSession(who, { classId, sessionId })
  const told: LiveChange[] = []
  let ended: string | null = null
  const leave = await listenTo(classId, sessionId, {
    ...sees,
    tell: (change) => told.push(change),
    end: (why) => (ended = why),
  })
  const until = async (found: () => boolean, what: string) => {
    for (let i = 0; i < 400 && !found(); i++) await new Promise((resolve) => setTimeout(resolve, 25))
    if (!found()) throw new Error(`not told: ${what}`)
  }
  await until(() => told.length > 0, 'everything')
  return { told, leave, until, ended: () => ended }
}

test('what one device records every other is told once; who leaves is told nothing more', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [visit] = page.visits
  const [first, second] = visit.children
  const [one, other] = [
    await listening(viewer, classId, sessionId),
    await listening(viewer, classId, sessionId),
  ]
  expect(one.told[0]).toMatchObject({ full: true, clock: { slot: 0 }, marks: { put: [], gone: [] } })
  await recordMark(viewer, { classId, ...mark(visit.id, first.id) })
  for (const device of [one, other])
    await device.until(
      () => device.told.some(({ marks }) => marks?.put.some(({ pupilId }) => pupilId === first.id)),
      'the mark',
    )
  other.leave()
  const before = other.told.length
  await recordMark(viewer, { classId, ...mark(visit.id, second.id) })
  await tell(viewer, {
    classId,
    kind: 'absent',
    id: crypto.randomUUID(),
    madeAt: new Date().toISOString(),
    sessionId,
    pupilId: second.id,
    absent: true,
  })
  await one.until(() => one.told.some(({ absent }) => absent?.length === 1), 'the absence')
  expect(other.told).toHaveLength(before)
  // Each mark was told once.
  const put = one.told.flatMap(({ marks }) => marks?.put ?? []).map(({ id }) => id)
  expect(new Set(put).size).toBe(put.length)
  one.leave()
})

test('a newcomer, another name, who leaves and who is erased: every open board of the class is told to be read anew', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [child, other] = page.visits[0].children
  const board = await listening(viewer, classId, sessionId)
  const changes: [string, () => Promise<unknown>, (names: string[]) => boolean][] = [
    ['a newcomer', () => addChildren(viewer, { classId, list: list('Zola') }), (all) => all.includes('Zola')],
    [
      'another name',
      () => changeChild(viewer, { classId, pupilId: child.id, name: 'Quill', yearGroup: 'Year 1' }),
      (all) => all.includes('Quill'),
    ],
    [
      'one who left',
      () => setLeft(viewer, { classId, pupilId: other.id, left: true }),
      (all) => !all.includes(other.name),
    ],
    ['one erased', () => eraseChild(viewer, { classId, pupilId: child.id }), (all) => !all.includes('Quill')],
  ]
  let known = board.told.at(-1)!.plan
  for (const [what, change, shown] of changes) {
    await change()
    await board.until(() => board.told.some(({ plan }) => plan !== undefined && plan !== known), what)
    const anew = (await runPage(viewer, { classId }))!
    await board.until(
      () => board.told.findLast(({ plan }) => plan)?.plan === anew.plan,
      `${what}, as the page says`,
    )
    known = anew.plan
    board.told.length = 0
    const names = [...anew.visits.flatMap(({ children }) => children), ...anew.waiting].map(
      ({ name }) => name,
    )
    expect([what, shown(names)]).toEqual([what, true])
  }
  board.leave()
})

test('a link that was ended, and a session that has ended, end the line of those who came in by it', async () => {
  const classId = await newClass()
  const { sessionId } = await running(classId)
  const helper = await listening(await deviceWith(classId, sessionId, { kind: 'helper' }), classId, sessionId)
  await endLinks(viewer, { classId, sessionId })
  await helper.until(() => helper.ended() === 'over', 'the end of the link')
  const room = await listening(await deviceWith(classId, sessionId, { kind: 'room' }), classId, sessionId)
  const teacher = await listening(viewer, classId, sessionId)
  await tapClock(viewer, { classId, sessionId, tap: 'finish', slot: 0 })
  await room.until(() => room.ended() === 'over', 'the end of the session')
  await teacher.until(() => teacher.told.some(({ clock }) => clock?.state === 'done'), 'the end')
  expect(teacher.ended()).toBeNull()
})

test('who was let in by an adult that leaves the school is out at once', async () => {
  const classId = await newClass()
  const { sessionId } = await running(classId)
  const colleague = await adultWho({ teaches: classId })
  const { token } = await makeLink(colleague, { classId, sessionId, kind: 'helper' })
  const { token: own } = await comeIn(crypto.randomUUID(), { token })
  const helper = (await linkedDevice(own))!
  const line = await listening(helper.viewer, classId, sessionId)
  await letAdultGo(viewer, { adultId: colleague.adultId })
  await line.until(() => line.ended() === 'over', 'the end')
  expect(await linkedDevice(own)).toBeNull()
})

test('after another plan a helper’s line hears of the visits that came to its station', async () => {
  const classId = await newClass()
  const { sessionId, page } = await running(classId)
  const [here, there] = page.stations
  const moved = page.visits.find(({ stationId, slot }) => stationId === there.id && slot === 0)!
  const helper = await deviceWith(classId, sessionId, { kind: 'helper', stationId: here.id })
  const line = await listening(helper, classId, sessionId)
  // As a change of the plan leaves it: the group that was to be there is here.
  const database = await serverDatabase()
  await database.execute(sql`update visit set station_id = ${here.id} where id = ${moved.id}`)
  const madeAt = '2026-11-24T10:20:00Z'
  await recordMark(viewer, { classId, ...mark(moved.id, moved.children[0].id, { madeAt }) })
  const heard = () => line.told.flatMap(({ marks }) => marks?.put ?? [])
  await line.until(() => heard().some(({ visitId }) => visitId === moved.id), 'the mark')
  // Whose device it was is no affair of the helper's.
  expect(heard().every(({ observer }) => observer === '')).toBe(true)
  line.leave()
})
