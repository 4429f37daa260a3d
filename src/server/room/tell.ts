import { z } from 'zod'
import { believedMoment } from '@/core/evidence/mark'
import { toldSchema, type Told } from '@/core/evidence/told'
import { insertNote } from '@/data/queries/notes'
import { deleteFinishedGame, insertFinished, saveLiking } from '@/data/queries/outcomes'
import { allInClass } from '@/data/queries/pupils'
import { sessionOf, setAbsent, visitsMet, type VisitMet } from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import { isWithin, type ClassScope } from '@/data/scope'
import { now, todayIn } from '../clock'
import { changingClass, NotHere, Refused } from '../use-case'

/** A device that was without a network for longer than this has a wrong clock. */
const longestAwayMs = 14 * 24 * 3_600_000

/** Takes in what an adult tells beside marks. Told again, it changes nothing. */
export const tell = changingClass(
  'tell',
  z.intersection(z.object({ classId: z.uuid() }), toldSchema),
  async (scope, told) => {
    const received = now()
    const earliest = new Date(received.getTime() - longestAwayMs)
    const at = believedMoment(new Date(told.madeAt), earliest, received)
    const sessionId = await takeIn(scope, told, at)
    if (sessionId !== null) await tellOf(scope, [sessionId])
  },
)

/** @returns the session it is about; null: it is about none */
async function takeIn(scope: ClassScope, told: Told, at: Date): Promise<string | null> {
  switch (told.kind) {
    case 'absent': {
      const { sessionId, pupilId, absent, fromSlot } = told
      const session = await sessionOf(scope, sessionId)
      if (!session || !(await allInClass(scope, [pupilId]))) throw new NotHere()
      const within = session.visits.filter(({ stationId }) => isWithin(scope, { session, stationId }))
      const visitIds = within.map(({ id }) => id)
      if (scope.link && !(await comesTo(scope, visitIds, pupilId))) throw new NotHere()
      await setAbsent(scope, { sessionId, pupilId, absent, fromSlot, toldAt: at })
      return sessionId
    }
    case 'note': {
      const { id, pupilId, visitId, words, tags } = told
      if (!(await allInClass(scope, [pupilId]))) throw new NotHere()
      const met = visitId === null ? null : await metAt(scope, visitId, pupilId)
      // A link is for a session: what is written elsewhere is the affair of an adult of the class.
      if (scope.link && (!met || !met.pupilIds.has(pupilId))) throw new NotHere()
      const schoolDay = met?.session.day ?? todayIn(scope.classroom.timeZone, at)
      const { adultId, link } = scope
      const by = { adultId, linkId: link?.id ?? null }
      await insertNote(scope, { id, pupilId, visitId, words, tags, schoolDay, madeAt: at, ...by })
      return met?.session.id ?? null
    }
    case 'finished': {
      const { id, visitId, minutes } = told
      const met = await metAt(scope, visitId)
      await insertFinished(scope, { id, visitId, minutes, madeAt: at })
      return met.session.id
    }
    case 'unfinished': {
      const { visitId, game } = told
      const met = await metAt(scope, visitId)
      await deleteFinishedGame(scope, visitId, game)
      return met.session.id
    }
    case 'liked': {
      const { visitId, liked } = told
      const met = await metAt(scope, visitId)
      await saveLiking(scope, { visitId, liked, toldAt: at })
      return met.session.id
    }
  }
}

/** A visit of a session that has begun, within the viewer's reach. */
async function metAt(scope: ClassScope, visitId: string, pupilId?: string): Promise<VisitMet> {
  const met = (await visitsMet(scope, [visitId], pupilId === undefined ? [] : [pupilId])).get(visitId)
  if (!met || !isWithin(scope, met)) throw new NotHere()
  if (met.session.state === 'planned') throw new Refused('The session has not begun.')
  return met
}

/** True if the child comes to one of some visits. */
async function comesTo(scope: ClassScope, visitIds: readonly string[], pupilId: string): Promise<boolean> {
  const met = await visitsMet(scope, visitIds, [pupilId])
  return [...met.values()].some(({ pupilIds }) => pupilIds.has(pupilId))
}
