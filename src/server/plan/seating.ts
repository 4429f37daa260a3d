import { seededChance } from '@/core/chance/chance'
import type { GroupingMode } from '@/core/grouping/mode'
import { Meetings, pairsAgain, type Seats } from '@/core/planning/seating/partners'
import { seatVisits } from '@/core/planning/seating/seat'
import type { HeldSession } from '@/data/queries/held'
import type { StoredSession } from '@/data/queries/sessions'
import type { PlannedGroup } from './levels'
import type { PlannedVisit, UnseatedVisit } from './visits'

/** Who has played with whom in the weeks before, and who sat with whom last. */
export interface PartnersPast {
  met: Meetings
  /** Of each child, a name for the set in which it last played with others who were chosen for it. */
  lastSet: Map<string, string>
}

/** Sums up the seats of the sessions that were held, oldest first; who was away met nobody. */
export function partnersPast(sessions: readonly HeldSession[]): PartnersPast {
  const met = new Meetings()
  const lastSet = new Map<string, string>()
  for (const { id, visits, away } of sessions)
    for (const [slot, , , seats] of visits) {
      const there = seats
        .map((set) => set.filter((child) => !away.includes(child)))
        .filter((set) => set.length > 0)
      if (there.length < 2) continue
      met.addSeats(there)
      for (const set of there) for (const child of set) lastSet.set(child, `${id} ${slot} ${set[0]}`)
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
  position: number,
  visits: readonly { slot: number; sets: readonly number[] }[],
) => SeatedVisit[]

/** Seats anew, with what was played before in mind. Equal plans are seated equally. */
export const seaterFrom =
  (past: PartnersPast, mode: GroupingMode): Seater =>
  (group, position, visits) => {
    const children = group.pupils.map(({ id }) => id)
    const together = togetherIn(group, mode)
    let before = lastSetsOf(children, past)
    const all = seatVisits(
      children,
      visits.map(({ sets }) => sets),
      { together, before, met: past.met },
      seededChance(position + 1),
    )
    return all.map((seats) => {
      if (seats.length < 2) return { seats, again: [] }
      const again = together.length > 0 ? [] : pairsAgain(before, seats)
      before = seats
      return { seats, again }
    })
  }

/** The seats a session was kept with; sessions of before there were seats are seated anew. */
export function storedSeats(session: StoredSession, mode: GroupingMode): Seater {
  const anew = seaterFrom(partnersPast([]), mode)
  return (group, position, visits) => {
    const here = new Set(group.pupils.map(({ id }) => id))
    const stored = visits.map(({ slot }) => {
      const seats = session.visits.find((one) => one.slot === slot && one.group === position)?.seats ?? []
      return seats.map((set) => set.filter((child) => here.has(child))).filter((set) => set.length > 0)
    })
    return stored.every((seats) => seats.flat().length === here.size)
      ? stored.map((seats) => ({ seats, again: [] }))
      : anew(group, position, visits)
  }
}

/** Says who plays with whom, group by group through the session. */
export function seated(
  groups: readonly PlannedGroup[],
  visits: readonly UnseatedVisit[],
  seater: Seater,
): PlannedVisit[] {
  const seats = groups.map((group, g) => {
    const own = visits.filter((visit) => visit.group === g)
    const found = seater(group, g, own)
    return new Map(own.map(({ slot }, i) => [slot, found[i]]))
  })
  return visits.map((visit) => {
    const { seats: sets, again } = seats[visit.group].get(visit.slot)!
    return { ...visit, seats: sets, partnersAgain: again }
  })
}
