import { rotate } from '../rotation'
import type { PlannedGroup, Room } from './context'
import { dayOfShare, pastOf } from './past'

/** Within so many sessions every group is with the teacher, where she can get round to all of them. */
const withinSessions = 5

/** How sure a group is: what it gets right alone, on average over the strands it works on. */
const rightAlone = ({ pupils }: PlannedGroup): number => {
  const shares = pupils.flatMap(({ rightAlone: by, followed }) =>
    followed.flatMap((strand) => by[strand] ?? []),
  )
  return shares.reduce((sum, share) => sum + share, 0) / Math.max(1, shares.length)
}

/**
 * The order in which groups come to the teacher: the neediest every time, as long as the others still get round,
 * then who has waited longest. Needy is
 * who had most “not yet” lately; of those that had as many, who gets least right alone.
 * @param places how many groups she leads in a session
 */
export function orderOfNeed(
  groups: readonly PlannedGroup[],
  room: Room | null,
  places: number,
): PlannedGroup[] {
  const days = [...new Set(room?.played.map(({ day }) => day) ?? [])].sort()
  const asked = groups.map((group) => {
    const ids = group.pupils.map(({ id }) => id)
    const led =
      room?.played.filter(({ mode, pupilId }) => mode === 'adult-led' && ids.includes(pupilId)) ?? []
    const { notYet } = pastOf(ids, room?.played ?? [], room?.marks ?? [], room?.day ?? '')
    const last = dayOfShare(led, ids.length, 0.5)
    return {
      group,
      notYet,
      share: rightAlone(group),
      /** Sessions since half of it was led. */
      waited: last === null ? Infinity : days.filter((day) => day > last).length,
    }
  })
  const byNeed = [...asked].sort((a, b) => b.notYet - a.notYet || a.share - b.share)
  const byWait = [...asked].sort((a, b) => b.waited - a.waited || byNeed.indexOf(a) - byNeed.indexOf(b))
  // The neediest comes every time, where the others get round in time without that place.
  const othersInTime = places > 1 && Math.ceil((groups.length - 1) / (places - 1)) < withinSessions
  const first = othersInTime ? [byNeed[0]] : []
  return [...new Set([...first, ...byWait])].map(({ group }) => group)
}

/** Places on the round whose groups come to the station at place `station` within the slots. */
export const comingTo = (groups: number, stations: number, slots: number, station: number): number[] =>
  rotate(groups, stations, slots).flatMap((one) => (one.station === station ? [one.group] : []))
