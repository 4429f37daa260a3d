import { ownBand } from '../../evidence/fit'
import { fitCost } from '../../grouping/problem/fit-cost'
import { rotate } from '../rotation'
import type { Candidate } from './candidates'
import type { PlannedGroup } from './context'
import type { SessionFrame, StationMode } from './plan'
import { bestRound } from './who-begins-where'
import { comingTo } from './who-is-led'

/** Who is where when, with games at stations. */
export interface Arrangement {
  /** Games by station; what an adult leads comes first. */
  order: readonly Candidate[]
  cells: readonly { slot: number; groupId: string; station: number }[]
  /** Visits that are a clash. */
  clashes: number
  /** What all visits cost by how they fit, clashes included. */
  cost: number
}

/** What a visit costs that is a clash; more than any misfit that is none. */
const clashCost = 100
/** That the teacher has a group that is not to come to her today; more than all clashes. */
const otherGroupLed = 10_000

/** With whom a station is, by its place in the list. */
export const modeAt = (position: number, adults: number): StationMode =>
  position >= adults ? 'own' : position === 0 ? 'adult-led' : 'adult-near'

/**
 * Everybody moves on by one, on the round that suits the groups best: who needs the teacher most comes to the station
 * she leads.
 * @param need groups by how much they need her, see `orderOfNeed`
 * @param misfitsAt groups, by their place, for which a game would be a clash
 */
export function arranged(
  games: readonly Candidate[],
  groups: readonly PlannedGroup[],
  { slots, adults }: Pick<SessionFrame, 'slots' | 'adults'>,
  need: readonly PlannedGroup[],
  misfitsAt: (one: Candidate) => readonly number[],
): Arrangement {
  const order = [...games].sort((a, b) => Number(b.game.room.adult) - Number(a.game.room.adult))
  const led = adults > 0 ? comingTo(groups.length, order.length, slots, slots - 1) : []
  const toTeacher = need.slice(0, led.length)
  const others = groups.filter((group) => !toTeacher.includes(group))
  // By place on the round: those who come to the teacher stand where she is come to.
  const onRound = groups.map((_, place) => {
    const at = led.indexOf(place)
    return at >= 0 ? toTeacher[at] : others.shift()!
  })
  const wrong = order.map(misfitsAt)
  const cost = onRound.map((group, place) => {
    const g = groups.indexOf(group)
    return order.map(
      ({ at }, station) =>
        (wrong[station].includes(g) ? clashCost : 0) +
        (led.length > 0 && station === 0 && !led.includes(place) ? otherGroupLed : 0) +
        fitCost(at[g].success, ownBand),
    )
  })
  const round = bestRound(cost, slots)
  const visits = rotate(groups.length, order.length, slots)
  return {
    order,
    cells: visits.map(({ slot, group, station }) => ({
      slot,
      groupId: onRound[group].id,
      station: round[station],
    })),
    clashes: visits.filter(({ group, station }) =>
      wrong[round[station]].includes(groups.indexOf(onRound[group])),
    ).length,
    cost: visits.reduce((sum, { group, station }) => sum + cost[group][round[station]], 0),
  }
}

/**
 * Puts another game in the place of one as long as that makes fewer clashes: no warning is left that a single game open to
 * the class would have taken away.
 * @param open games that may be taken
 */
export function withFewestClashes(
  start: Arrangement,
  arrange: (games: readonly Candidate[]) => Arrangement,
  open: readonly Candidate[],
  together: (games: readonly Candidate[]) => boolean,
): Arrangement {
  let best = start
  for (let better = best; best.clashes > 0; best = better) {
    for (const place of best.order.keys())
      for (const other of open) {
        if (best.order.includes(other)) continue
        const games = best.order.map((one, i) => (i === place ? other : one))
        if (!together(games)) continue
        const now = arrange(games)
        if (now.clashes < better.clashes || (now.clashes === better.clashes && now.cost < better.cost - 1e-9))
          better = now
      }
    if (better.clashes >= best.clashes) break
  }
  return best
}
