import { eq } from 'drizzle-orm'
import { adult, link, membership, theSchool } from '@/data/schema'
import { serverDatabase } from '@/data/server-database'
import type { Party } from '../access/who-may'
import { comeIn, linkedDevice, makeLink } from '../room/links'
import { nobody, ownTeacher, viewerOf, type Viewer } from '../viewer'

/** An adult of the school by what it is, in one class or in none. */
export async function adultWho(part: {
  teaches?: string
  helps?: string
  office?: 'admin' | 'coordinator'
  elsewhere?: true
}): Promise<Viewer> {
  const database = await serverDatabase()
  const id = crypto.randomUUID()
  const { office = null, teaches, helps, elsewhere } = part
  await database.insert(adult).values({ id, name: 'Adult', office, schoolId: elsewhere ? null : theSchool })
  const classId = teaches ?? helps
  if (classId)
    await database.insert(membership).values({ adultId: id, classId, role: teaches ? 'teacher' : 'helper' })
  return viewerOf(id)
}

/** A device that came in by a code. */
export async function deviceWith(
  classId: string,
  sessionId: string,
  wanted: { kind: 'helper' | 'room' | 'station'; stationId?: string | null; withNames?: boolean },
): Promise<Viewer> {
  const { code } = await makeLink(ownTeacher(), { classId, sessionId, ...wanted })
  const { token } = await comeIn(crypto.randomUUID(), { code })
  return (await linkedDevice(token))!.viewer
}

/** A link is good no longer. */
export async function outdate({ linkId }: Viewer) {
  const database = await serverDatabase()
  await database
    .update(link)
    .set({ until: new Date(0) })
    .where(eq(link.id, linkId!))
}

/** One of each party in a class with a session under way; the late helper’s is another session, that has ended. */
export async function oneOfEach(at: {
  classId: string
  sessionId: string
  stationId: string
  /** Of a session that has ended since. */
  late: Viewer
}): Promise<Record<Party | 'stranger' | 'nobody', Viewer>> {
  const { classId, sessionId, stationId, late } = at
  return {
    teacher: await adultWho({ teaches: classId }),
    helper: await adultWho({ helps: classId }),
    coordinator: await adultWho({ office: 'coordinator' }),
    admin: await adultWho({ office: 'admin' }),
    'helper-link': await deviceWith(classId, sessionId, { kind: 'helper' }),
    'late-helper-link': late,
    'room-link': await deviceWith(classId, sessionId, { kind: 'room' }),
    'station-link': await deviceWith(classId, sessionId, { kind: 'station', stationId }),
    stranger: await adultWho({ elsewhere: true }),
    nobody,
  }
}
