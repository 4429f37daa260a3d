import { recordMark } from '../marks/marks'
import { endLinks } from '../room/links'
import { liveSession } from '../room/pages'
import { tell } from '../room/tell'
import { tapClock } from '../run'
import type { Viewer } from '../viewer'
import { deviceWith } from '../testing/parties'
import { mark, newClass, openTestSchool, running, viewer } from '../testing/school'
import type { LiveChange } from '@/core/live/change'
import { endHubs, listenTo } from './hub'

openTestSchool()
afterAll(endHubs)

/** A device that listens, with what it was told. */
async function listening(who: Viewer, classId: string, sessionId: string) {
  const { sees, linkId } = await liveSession(who, { classId, sessionId })
  const told: LiveChange[] = []
  let ended: string | null = null
  const leave = await listenTo(classId, sessionId, {
    ...sees,
    linkId,
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
