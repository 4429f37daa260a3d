import type { LiveSession } from '@/core/live/session'
import { groupingOf } from '@/data/queries/groupings'
import { linksOf } from '@/data/queries/links'
import { observationsOfVisits } from '@/data/queries/observations'
import { finishedOf, likedOf } from '@/data/queries/outcomes'
import { absentOf, sessionOf } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { now } from '../clock'
import { clockOf, shownMark } from '../session-board'
import { planRevision } from './plan-revision'

/** A session as it stands; null: there is none, or its groups are no more. */
export async function readLive(scope: ClassScope, sessionId: string): Promise<LiveSession | null> {
  const session = await sessionOf(scope, sessionId)
  const grouping = session && (await groupingOf(scope, session.groupingId))
  if (!session || !grouping) return null
  const visitIds = session.visits.map(({ id }) => id)
  const [marks, absent, finished, liked, links] = [
    await observationsOfVisits(scope, visitIds),
    await absentOf(scope, sessionId),
    await finishedOf(scope, visitIds),
    await likedOf(scope, visitIds),
    await linksOf(scope, sessionId, now()),
  ]
  return {
    clock: clockOf(session, now()),
    marks: marks.map(shownMark),
    absent,
    finished,
    liked,
    plan: planRevision(session, grouping),
    links,
  }
}
