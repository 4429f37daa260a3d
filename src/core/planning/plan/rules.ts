import { fewestAgain } from '../seating/partners'
import type { PlanProblem } from './problem'

/** Offers by time and group, at `time * groups + group`; −1: nowhere. Times count slots through all sessions. */
export type Visits = Int32Array

/** Rules that must hold in a slot. */
export type HardRule = 'places' | 'adults' | 'floor' | 'noise' | 'materials' | 'not-shown'

export type SoftRule =
  | 'fit'
  | 'station-again'
  | 'game-again'
  | 'partner-again'
  | 'no-teacher'
  | 'late-teacher'
  | 'strand-minutes'
  | 'noise-beside-quiet'
  | 'unplaced'
  | 'variety'

/** What each breach of a soft rule costs. Common practice, no source. */
const softCosts = {
  /** A group that is nowhere in a slot. */
  unplaced: 60,
  stationAgain: 3,
  gameAgain: 2,
  /** For each pair of children who can't but play together twice running. */
  partnerAgain: 0.3,
  noTeacher: 4,
  /** For each session until a group meets the teacher, times its share of "not yet". */
  lateTeacher: 1,
  /** For each slot by which a strand's minutes are missed. */
  strandSlot: 0.5,
  noiseBesideQuiet: 1,
  /** For each game of the week below five or above eight. */
  variety: 0.5,
}

const [fewestGames, mostGames] = [5, 8]

/** Rules that a slot breaks. */
export function brokenInSlot(
  { input, offers, stock }: PlanProblem,
  visits: Visits,
  time: number,
): HardRule[] {
  const { groups, stations } = input
  const broken: HardRule[] = []
  const children = new Array<number>(stations.length).fill(0)
  const tables = new Array<number>(stations.length).fill(0)
  const used = new Float64Array(stock.length)
  let floor = 0
  const loud = new Array<number>(stations.length).fill(0)
  for (let g = 0; g < groups.length; g++) {
    const at = visits[time * groups.length + g]
    if (at < 0) continue
    const offer = offers[at]
    children[offer.station] += groups[g].children
    tables[offer.station]++
    loud[offer.station] = Math.max(loud[offer.station], offer.noise)
    if (offer.floor === 3) floor++
    for (const { item, count } of offer.needs[g]) used[item] += count
  }
  let adults = 0
  let noise = 0
  for (let s = 0; s < stations.length; s++) {
    const full = children[s] > stations[s].places || tables[s] > (stations[s].groups ?? Infinity)
    if (full && !broken.includes('places')) broken.push('places')
    if (children[s] > 0 && (stations[s].mode === 'adult-led' || stations[s].mode === 'adult-near')) adults++
    noise += loud[s]
  }
  if (adults > input.adults) broken.push('adults')
  if (floor > 1) broken.push('floor')
  if (noise > input.noiseLimit) broken.push('noise')
  if (used.some((count, item) => count > stock[item])) broken.push('materials')
  return broken
}

/** Times at which a group is to play on its own what it was neither shown before nor meets near an adult first. */
export function notShownTo({ input, offers }: PlanProblem, visits: Visits, group: number): number[] {
  const shown = new Set(input.groups[group].known)
  const found: number[] = []
  for (let time = 0; time < input.sessions * input.slots; time++) {
    const at = visits[time * input.groups.length + group]
    if (at < 0) continue
    const { game, station } = offers[at]
    const { mode } = input.stations[station]
    if (mode === 'adult-led' || mode === 'adult-near') shown.add(game)
    else if (!shown.has(game)) found.push(time)
  }
  return found
}

/** Hears what a plan costs, rule by rule. */
export type Bill = (rule: SoftRule, cost: number, time: number | null, group: number | null) => void

/** What a slot costs beside its groups' own visits: loud games beside quiet ones. */
export function slotCost({ input, offers }: PlanProblem, visits: Visits, time: number, bill?: Bill): number {
  const n = input.groups.length
  let [quiet, loud] = [false, false]
  for (let g = 0; g < n; g++) {
    const at = visits[time * n + g]
    if (at < 0) continue
    if (offers[at].noise === 0) quiet = true
    if (offers[at].noise === 3) loud = true
  }
  if (!quiet || !loud) return 0
  bill?.('noise-beside-quiet', softCosts.noiseBesideQuiet, time, null)
  return softCosts.noiseBesideQuiet
}

/** What the visits of one group cost. */
export function groupCost(
  { input, offers, pinned }: PlanProblem,
  visits: Visits,
  group: number,
  bill?: Bill,
): number {
  const { groups, stations, slots, sessions, coolDown, daysBetween, strandMinutes, slotMinutes } = input
  const n = groups.length
  let total = 0
  const add = (rule: SoftRule, cost: number, time: number | null) => {
    if (cost === 0) return
    total += cost
    bill?.(rule, cost, time, group)
  }
  const lastDay = new Map(Object.entries(groups[group].lastPlayed).map(([game, ago]) => [game, -(ago ?? 0)]))
  const minutes = new Map<string, number>()
  let lastSets: readonly number[] = groups[group].lastSets.map(({ length }) => length)
  let teacher = -1
  for (let session = 0; session < sessions; session++) {
    const been = new Set<number>()
    for (let slot = 0; slot < slots; slot++) {
      const time = session * slots + slot
      const at = visits[time * n + group]
      if (at < 0) {
        add('unplaced', softCosts.unplaced, time)
        continue
      }
      const { station, game, strand, cost, sets } = offers[at]
      add('fit', cost[group], time)
      if (been.has(station)) add('station-again', softCosts.stationAgain, time)
      been.add(station)
      const day = session * daysBetween
      const last = lastDay.get(game)
      // What the teacher pinned may come again soon: that was a choice.
      if (last !== undefined && day - last < coolDown && !pinned[time][group])
        add('game-again', softCosts.gameAgain, time)
      lastDay.set(game, day)
      // In one set all are partners: nobody was chosen, and it counts neither now nor for what follows.
      if (sets[group].length > 1 && groups[group].together.length === 0) {
        const pairs = fewestAgain(lastSets, sets[group].length)
        add('partner-again', softCosts.partnerAgain * pairs, time)
        lastSets = sets[group]
      }
      if (stations[station].mode === 'adult-led' && teacher < 0) teacher = session
      if (strand !== null) minutes.set(strand, (minutes.get(strand) ?? 0) + slotMinutes)
    }
  }
  if (stations.some(({ mode }) => mode === 'adult-led')) {
    if (teacher < 0) add('no-teacher', softCosts.noTeacher * (1 + groups[group].notYet), null)
    else add('late-teacher', softCosts.lateTeacher * teacher * groups[group].notYet, null)
  }
  for (const [strand, wanted] of Object.entries(strandMinutes))
    add(
      'strand-minutes',
      (softCosts.strandSlot * Math.abs((minutes.get(strand) ?? 0) - wanted)) / slotMinutes,
      null,
    )
  return total
}

/** Five to eight games in a week keep it fresh and can still be shown; only asked of a week. */
export function varietyCost({ input, offers }: PlanProblem, visits: Visits, bill?: Bill): number {
  if (input.sessions < 2) return 0
  const games = new Set<string>()
  for (const at of visits) if (at >= 0) games.add(offers[at].game)
  const beyond = Math.max(0, fewestGames - games.size, games.size - mostGames)
  if (beyond > 0) bill?.('variety', softCosts.variety * beyond, null, null)
  return softCosts.variety * beyond
}
