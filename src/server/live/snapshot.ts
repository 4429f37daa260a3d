import type { AtStation, LiveSession, ShownMark } from '@/core/live/session'
import { groupingOf, type StoredGrouping } from '@/data/queries/groupings'
import { linksOf } from '@/data/queries/links'
import { observationsById, standingIdsOfVisits } from '@/data/queries/observations'
import { finishedOf, likedOf } from '@/data/queries/outcomes'
import { absentOf, sessionOf, type StoredSession } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { now } from '../clock'
import { clockOf, namesOf, shownMark } from '../session-board'
import { planRevision } from './plan-revision'

/**
 * A session as it stands; null: there is none, or its groups are no more.
 * @param before as it stood when it was read last: a record never changes but for whether it stands, so that only new ones
 * are read
 */
export async function readLive(
  scope: ClassScope,
  sessionId: string,
  before: LiveSession | null = null,
): Promise<LiveSession | null> {
  const session = await sessionOf(scope, sessionId)
  const grouping = session && (await groupingOf(scope, session.groupingId))
  if (!session || !grouping) return null
  const visitIds = session.visits.map(({ id }) => id)
  const [marks, absent, finished, liked, links] = [
    await marksOf(scope, visitIds, before?.marks ?? []),
    await absentOf(scope, sessionId),
    await finishedOf(scope, visitIds),
    await likedOf(scope, visitIds),
    await linksOf(scope, sessionId, now()),
  ]
  return {
    clock: clockOf(session, now()),
    marks,
    absent,
    finished,
    liked,
    plan: planRevision(session, grouping, await namesOf(scope)),
    links,
    atStations: atStationsOf(session, grouping),
  }
}

/** Which visits and which children are at each station. */
function atStationsOf({ stations, visits }: StoredSession, { groups }: StoredGrouping): AtStation[] {
  const inGroup = new Map(groups.map(({ id, pupils }) => [id, pupils]))
  return stations.map(({ id: stationId }) => {
    const here = visits.filter((visit) => visit.stationId === stationId)
    const seated = here.flatMap(({ seats, groupId }) => [...seats.flat(), ...(inGroup.get(groupId) ?? [])])
    return { stationId, visitIds: here.map(({ id }) => id), pupilIds: [...new Set(seated)] }
  })
}

/** The marks that stand, the oldest first; those known before are the same objects. */
async function marksOf(
  scope: ClassScope,
  visitIds: string[],
  before: readonly ShownMark[],
): Promise<ShownMark[]> {
  const known = new Map(before.map((mark) => [mark.id, mark]))
  const standing = await standingIdsOfVisits(scope, visitIds)
  const fresh = await observationsById(
    scope,
    standing.filter((id) => !known.has(id)),
  )
  for (const record of fresh) known.set(record.id, shownMark(record))
  return standing.flatMap((id) => known.get(id) ?? [])
}
