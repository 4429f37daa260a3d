import { seededChance } from '../../chance/chance'
import type { GroupingMode } from '../../grouping/making/mode'
import { Meetings, pairsAgain, type Seats } from '../seating/partners'
import { seatVisits } from '../seating/seat'
import type { KeptVisits, PlannedGroup } from './context'
import type { SeatedBefore } from './past'
import type { PlannedVisit, UnseatedVisit } from './visits'

/** Who has played with whom in the weeks before, and who sat with whom last. */
export interface PartnersPast {
  met: Meetings
  /** Of each child, a name for the set in which it last played with others who were chosen for it. */
  lastSet: Map<string, string>
}

/** Sums up the seats of the sessions that were held, oldest first. */
export function partnersPast(visits: readonly SeatedBefore[]): PartnersPast {
  const met = new Meetings()
  const lastSet = new Map<string, string>()
  for (const { sessionId, slot, sets } of visits) {
    if (sets.length < 2) continue
    met.addSeats(sets)
    for (const set of sets) for (const child of set) lastSet.set(child, `${sessionId} ${slot} ${set[0]}`)
  }
  return { met, lastSet }
}

/** The sets in which children of a group last played, as far as they are a group now. */
export function lastSetsOf(pupils: readonly string[], { lastSet }: PartnersPast): Seats {
  const sets = new Map<string, string[]>()
  for (const child of pupils) {
    const key = lastSet.get(child)
    if (key !== undefined) sets.set(key, [...(sets.get(key) ?? []), child])
  }
  return [...sets.values()]
}

/** Children who stay partners: the pairs of a grouping that is made of pairs. */
export function togetherIn({ pupils, pairs }: PlannedGroup, mode: GroupingMode): string[][] {
  if (mode !== 'pairs') return []
  const byPair = new Map<number, string[]>()
  pairs.forEach((pair, child) => {
    if (pair !== null) byPair.set(pair, [...(byPair.get(pair) ?? []), pupils[child].id])
  })
  return [...byPair.values()].filter(({ length }) => length > 1)
}

/** The children of a group in a slot by the set they play in, and the pairs that play together twice running. */
interface SeatedVisit {
  seats: Seats
  again: [string, string][]
}

/** Seats a group through a session. */
export type Seater = (
  group: PlannedGroup,
  visits: readonly { slot: number; sets: readonly number[] }[],
) => SeatedVisit[]

/** Seats anew, with what was played before in mind. Equal plans are seated equally. */
export const seaterFrom =
  (past: PartnersPast, mode: GroupingMode): Seater =>
  (group, visits) => {
    const children = group.pupils.map(({ id }) => id)
    const together = togetherIn(group, mode)
    let before = lastSetsOf(children, past)
    const all = seatVisits(
      children,
      visits.map(({ sets }) => sets),
      { together, before, met: past.met },
      seededChance(group.pennant + 1),
    )
    return all.map((seats) => {
      if (seats.length < 2) return { seats, again: [] }
      const again = together.length > 0 ? [] : pairsAgain(before, seats)
      before = seats
      return { seats, again }
    })
  }

/** The seats a session was kept with; sessions of before there were seats are seated anew. */
export function keptSeater(kept: KeptVisits, mode: GroupingMode): Seater {
  const anew = seaterFrom(partnersPast([]), mode)
  return (group, visits) => {
    const here = new Set(group.pupils.map(({ id }) => id))
    const stored = visits.map(({ slot }) => {
      const seats = kept.find((one) => one.slot === slot && one.groupId === group.id)?.seats ?? []
      return seats.map((set) => set.filter((child) => here.has(child))).filter((set) => set.length > 0)
    })
    return stored.every((seats) => seats.flat().length === here.size)
      ? stored.map((seats) => ({ seats, again: [] }))
      : anew(group, visits)
  }
}

/** Says who plays with whom, group by group through the session. */
export function seated(
  groups: readonly PlannedGroup[],
  visits: readonly UnseatedVisit[],
  seater: Seater,
): PlannedVisit[] {
  const seats = new Map(
    groups.map((group) => {
      const own = visits.filter(({ groupId }) => groupId === group.id)
      const found = seater(group, own)
      return [group.id, new Map(own.map(({ slot }, i) => [slot, found[i]]))]
    }),
  )
  return visits.map((visit) => {
    const { seats: sets, again } = seats.get(visit.groupId)!.get(visit.slot)!
    return { ...visit, seats: sets, partnersAgain: again }
  })
}
