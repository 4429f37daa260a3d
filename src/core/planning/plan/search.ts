import { seededChance, unit } from '../../chance/chance'
import type { PlanProblem } from './problem'
import { brokenInSlot, groupCost, notShownTo, slotCost, varietyCost, type Visits } from './rules'

export interface Found {
  visits: Visits
  cost: number
}

/** Changes between two reports of progress. */
const reportEvery = 2_000

/**
 * Fills in what the teacher has not pinned: begins with everybody moving on by one station, then changes
 * and swaps visits as in simulated annealing (Kirkpatrick, Gelatt & Vecchi 1983). No state on the way breaks a
 * rule that must hold. Yields the best so far now and then, so that a worker can show it and be stopped.
 */
export function* planVisits(problem: PlanProblem): Generator<Found & { tried: number }, Found> {
  const { input, open } = problem
  const { groups, tries } = input
  const n = groups.length
  const times = input.sessions * input.slots
  const chance = seededChance(input.seed)
  const visits: Visits = new Int32Array(times * n).fill(-1)
  moveOn(problem, visits)

  const ofSlot = Float64Array.from({ length: times }, (_, time) => slotCost(problem, visits, time))
  const ofGroup = Float64Array.from(groups, (_, g) => groupCost(problem, visits, g))
  let variety = varietyCost(problem, visits)
  let cost = ofSlot.reduce((a, b) => a + b, 0) + ofGroup.reduce((a, b) => a + b, 0) + variety
  let best: Found = { visits: visits.slice(), cost }
  const hot = Math.max(1, cost / (times * n))

  for (let tried = 0; tried < tries; tried++) {
    if (tried % reportEvery === reportEvery - 1) yield { ...best, tried }
    const heat = hot * 0.002 ** (tried / tries)
    const change = proposal()
    if (!change) continue
    const before = change.map(([at]) => visits[at])
    for (const [at, offer] of change) visits[at] = offer
    const touchedTimes = [...new Set(change.map(([at]) => Math.floor(at / n)))]
    const touchedGroups = [...new Set(change.map(([at]) => at % n))]
    const holds =
      touchedTimes.every((time) => brokenInSlot(problem, visits, time).length === 0) &&
      touchedGroups.every((g) => notShownTo(problem, visits, g).length === 0)
    if (holds) {
      const slotsNow = touchedTimes.map((time) => slotCost(problem, visits, time))
      const groupsNow = touchedGroups.map((g) => groupCost(problem, visits, g))
      const varietyNow = varietyCost(problem, visits)
      let difference = varietyNow - variety
      slotsNow.forEach((own, i) => (difference += own - ofSlot[touchedTimes[i]]))
      groupsNow.forEach((own, i) => (difference += own - ofGroup[touchedGroups[i]]))
      if (difference <= 0 || unit(chance) < Math.exp(-difference / heat)) {
        slotsNow.forEach((own, i) => (ofSlot[touchedTimes[i]] = own))
        groupsNow.forEach((own, i) => (ofGroup[touchedGroups[i]] = own))
        variety = varietyNow
        cost += difference
        if (cost < best.cost - 1e-9) best = { visits: visits.slice(), cost }
        continue
      }
    }
    change.forEach(([at], i) => (visits[at] = before[i]))
  }
  return best

  /** A visit changed, two groups of a slot swapped, or two slots of a group; null: it would come to nothing. */
  function proposal(): [at: number, offer: number][] | null {
    const time = chance.int(0, times - 1)
    const g = chance.int(0, n - 1)
    const at = time * n + g
    const kind = chance.int(0, 2)
    if (kind === 0) {
      const all = open[time][g]
      // One beyond the last: nowhere, to make room for others.
      const offer = all[chance.int(0, all.length)] ?? -1
      return offer === visits[at] ? null : [[at, offer]]
    }
    const other = kind === 1 ? time * n + chance.int(0, n - 1) : chance.int(0, times - 1) * n + g
    if (other === at || visits[other] === visits[at]) return null
    const [otherTime, otherGroup] = [Math.floor(other / n), other % n]
    const mine = swapped(visits[other], time, g)
    const theirs = swapped(visits[at], otherTime, otherGroup)
    return mine === null || theirs === null
      ? null
      : [
          [at, mine],
          [other, theirs],
        ]
  }

  /** The offer as the group would take it: at the same station, the level that suits it. */
  function swapped(offer: number, time: number, g: number): number | null {
    if (offer < 0) return -1
    if (open[time][g].includes(offer)) return offer
    const { station } = problem.offers[offer]
    const there = open[time][g].filter((one) => problem.offers[one].station === station)
    return there.length === 0 ? null : there[chance.int(0, there.length - 1)]
  }
}

/** Everybody moves on by one station at each signal, as far as the rules let them. */
function moveOn(problem: PlanProblem, visits: Visits) {
  const { input, offers, open } = problem
  const n = input.groups.length
  const stations = input.stations.length
  for (let time = 0; time < input.sessions * input.slots; time++)
    for (let g = 0; g < n; g++) {
      // Stations from the one that is next for the group on.
      const turn = (offer: number) => {
        const ahead = (offers[offer].station - g - time) % stations
        return ahead < 0 ? ahead + stations : ahead
      }
      const inTurn = [...open[time][g]].sort(
        (a, b) => turn(a) - turn(b) || offers[a].cost[g] - offers[b].cost[g],
      )
      for (const offer of inTurn) {
        visits[time * n + g] = offer
        if (brokenInSlot(problem, visits, time).length === 0 && notShownTo(problem, visits, g).length === 0)
          break
        visits[time * n + g] = -1
      }
    }
}
