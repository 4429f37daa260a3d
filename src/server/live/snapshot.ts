import { groupingOf } from '@/data/queries/groupings'
import { linksOf } from '@/data/queries/links'
import { observationsOfVisits } from '@/data/queries/observations'
import { finishedOf, likedOf, type Finished, type Liked } from '@/data/queries/outcomes'
import { absentOf, sessionOf } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { now } from '../clock'
import { clockOf, shownMark, type SessionClock, type ShownMark } from '../session-board'
import { planRevision } from './plan-revision'

/** What changes while a session runs, as every device of it sees it. */
export interface LiveSession {
  clock: SessionClock
  marks: ShownMark[]
  absent: { pupilId: string; fromSlot: number }[]
  /** Games finished at each visit, and whether they were liked, where that was told. */
  finished: Finished[]
  liked: Liked[]
  /** Another one when who goes where has changed: then the page is to be read anew. */
  plan: string
  /** Links that are good. */
  links: string[]
}

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
