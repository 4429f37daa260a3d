import { seededChance } from '../../chance/chance'
import { placeAdults, type AdultNeed } from '../adults'
import { Meetings, type Seats } from '../seating/partners'
import { seatVisits } from '../seating/seat'
import { checkPlan, whyNowhere } from './check'
import type { PlanInput, PlanProblem } from './problem'
import type { Visits } from './rules'

/**
 * What a plan comes to, told by ids: who is where with what, what it costs, what could not be met and why. The same
 * for one session and for a week of them, for a plan that was searched for and for one that a teacher laid.
 * @param visits by time and group, in the order of the input's groups: index of the offer, −1: nowhere
 */
export function tellPlan(problem: PlanProblem, visits: Visits) {
  const { input } = problem
  const { groups, stations, slots } = input
  const n = groups.length
  const cell = (time: number) => ({ session: Math.floor(time / slots), slot: time % slots })
  const { cost, costs, conflicts } = checkPlan(problem, visits)
  const seats = groups.map((_, group) => seatsOf(problem, visits, group))
  const made = Array.from(visits, (offer, at) => ({ offer, time: Math.floor(at / n), group: at % n }))
  return {
    visits: made.flatMap(({ offer, time, group }) => {
      if (offer < 0) return []
      const { station, game, level, sets } = problem.offers[offer]
      return [
        {
          ...cell(time),
          group: groups[group].id,
          station: stations[station].id,
          game,
          level,
          sets: seats[group].get(time) ?? sets[group],
        },
      ]
    }),
    nowhere: made.flatMap(({ offer, time, group }) =>
      offer >= 0
        ? []
        : [{ ...cell(time), group: groups[group].id, ...whyNowhere(problem, visits, time, group) }],
    ),
    adults: adultsOf(problem, visits),
    cost,
    costs: costs.map(({ rule, cost: own, time, group }) => ({
      rule,
      cost: own,
      ...(time === null ? {} : cell(time)),
      ...(group === null ? {} : { group: groups[group].id }),
    })),
    conflicts: conflicts.map(({ rule, time, groups: those }) => ({
      rule,
      ...cell(time),
      groups: those.map((g) => groups[g].id),
    })),
    showFirst: showFirst(input),
  }
}

/** Which adult is where in each session: 0 is the teacher, who leads. */
function adultsOf({ input, offers }: PlanProblem, visits: Visits) {
  const { sessions, slots, stations, groups, adults } = input
  const needsAt = (time: number) =>
    stations.flatMap(({ mode }, station): AdultNeed[] => {
      const busy = groups.some((_, g) => {
        const at = visits[time * groups.length + g]
        return at >= 0 && offers[at].station === station
      })
      const withAdult = mode === 'adult-led' || mode === 'adult-near'
      return busy && withAdult ? [{ station, led: mode === 'adult-led' }] : []
    })
  return Array.from({ length: sessions }, (_, session) => {
    const needs = Array.from({ length: slots }, (_, slot) => needsAt(session * slots + slot))
    return placeAdults(needs, adults).map(({ slot, station, adult }) => ({
      session,
      slot,
      station: stations[station].id,
      adult,
    }))
  }).flat()
}

/** Who of a group plays with whom, by time; empty where the children have no names. */
function seatsOf({ input, offers }: PlanProblem, visits: Visits, group: number): Map<number, Seats> {
  const { pupils, lastSets, met, together } = input.groups[group]
  const n = input.groups.length
  const there = Array.from({ length: visits.length / n }, (_, time) => time).filter(
    (time) => visits[time * n + group] >= 0,
  )
  if (!pupils) return new Map()
  const meetings = new Meetings()
  for (const [a, b, times] of met) meetings.add(a, b, times)
  const seats = seatVisits(
    pupils,
    there.map((time) => offers[visits[time * n + group]].sets[group]),
    { together, before: lastSets, met: meetings },
    seededChance(input.seed),
  )
  return new Map(there.map((time, i) => [time, seats[i]]))
}

/** Games on offer where no adult is, with the groups that have to be shown them first. */
function showFirst({ offers, stations, groups }: PlanInput) {
  const alone = new Set(
    offers
      .filter(({ station }) => ['own', 'digital'].includes(stations.find(({ id }) => id === station)!.mode))
      .map(({ game }) => game),
  )
  return [...alone].flatMap((game) => {
    const unshown = groups.filter(({ known }) => !known.includes(game)).map(({ id }) => id)
    return unshown.length > 0 ? [{ game, groups: unshown }] : []
  })
}
