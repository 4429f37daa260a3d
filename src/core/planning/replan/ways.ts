import { gameOf } from '../../games'
import { splitIntoSets } from '../../games/engine/sets'
import { fitCost } from '../../grouping/problem/fit-cost'
import { ownBand } from '../../evidence/fit'
import type { Figures, PlanContext } from '../session/context'
import { levelBeside, mainStrand, successAt } from '../session/levels'
import { likelyEnough } from '../session/visits'
import { workOut, type PlanView } from '../session/work-out'
import { changesFor, closings, toClose } from './changes'
import type { Happened } from './happened'
import { changeOf, planAfter, type Change, type Loss, type Running, type Way } from './running'

/** What each loss costs, beside what the planner counts. Common practice, no source. */
const lossCosts: Record<Loss['kind'], number> = {
  visit: 6,
  adult: 4,
  strand: 2,
  minutes: 0,
  unfinished: 1,
  again: 0,
  'too-hard': 3,
}
/** A minute less for everybody. */
const minuteCost = 0.5
/** An adult who plays along can be nowhere else. */
const adultPlaysCost = 4

/** Rules that must hold: a change that breaks one anew is no way to go on. */
const hard = ['places', 'adults', 'floor', 'noise', 'materials', 'adult']

/** Ways that are offered. */
const mostWays = 3

/**
 * Ways to go on when something went wrong, each holding every rule that must hold, the one that loses least first; of
 * a kind only the cheapest. Empty where there is none.
 */
export function waysToGoOn(
  running: Running,
  happened: Happened,
  context: PlanContext,
  figures: Figures,
): Way[] {
  const before = workOut(running.plan, context, figures)
  const look = (change: Change) => weighed(running, change, before, context, figures)
  const changes = [
    ...changesFor(running, happened),
    ...toClose(running, happened).flatMap((id) => bestClosing(running, id, look) ?? []),
  ]
  const ways = changes
    .flatMap((change) => look(change) ?? [])
    .sort((a, b) => a.cost - b.cost || (a.id < b.id ? -1 : 1))
  const kinds = new Set<string>()
  const offered = ways.filter(({ kind, modes }) => {
    const same = `${kind} ${modes.map(({ stationId }) => stationId).join()}`
    return kinds.has(same) ? false : kinds.add(same)
  })
  return offered.slice(0, mostWays)
}

/**
 * The cheapest way to send everybody elsewhere who was still to come to a station. Each visit is placed for itself: it
 * is another group in another slot, and neither rules nor costs of one reach into those of another.
 */
function bestClosing(running: Running, closed: string, look: (change: Change) => Way | null): Change | null {
  const places = closings(running, closed)
  if (places.length === 0) return null
  const moved: Change['moved'][number][] = []
  for (const choices of places) {
    const ways = choices.flatMap((one) => look(changeOf(running, 'close-station', { moved: [one] })) ?? [])
    if (ways.length === 0) return null
    moved.push(...ways.reduce((best, way) => (way.cost < best.cost ? way : best)).moved)
  }
  return changeOf(running, 'close-station', { moved, modes: [{ stationId: closed, mode: 'own' }] })
}

/** A change with what it loses; null: it breaks a rule that must hold. */
export function weighed(
  running: Running,
  change: Change,
  before: PlanView,
  context: PlanContext,
  figures: Figures,
): Way | null {
  const plan = planAfter(running, change)
  const after = workOut(plan, context, figures)
  const from = running.slot
  const breaks = (view: PlanView) =>
    view.conflicts.filter(({ kind, slot }) => hard.includes(kind) && slot >= from).length
  if (breaks(after) > breaks(before)) return null
  const joining = joinCost(running, change, context, figures)
  if (joining === null) return null
  const loses = lossesOf(running, change, before, after, figures)
  const minutes = running.plan.slotMinutes - change.slotMinutes
  const cost =
    loses.reduce((sum, { kind }) => sum + lossCosts[kind], 0) +
    minuteCost * minutes +
    joining +
    (change.kind === 'adult-plays' ? adultPlaysCost : 0) +
    plannerCost(after) -
    plannerCost(before)
  const id = [
    change.kind,
    ...change.dropped,
    ...change.moved.flatMap(({ visitId, slot, stationId }) => [visitId, slot, stationId]),
  ]
  return {
    ...change,
    id: fingerprint([...id, ...change.joins.flatMap(({ visitIds }) => visitIds)].join()),
    loses,
    cost,
  }
}

/** The planner's own count of what should hold and does not, but for groups that are nowhere: that is told as lost. */
const plannerCost = ({ costs }: PlanView) =>
  costs.reduce((sum, { rule, cost }) => sum + (rule === 'unplaced' ? 0 : cost), 0)

/** What it costs a child to play beside another group; null: there is no room for one more. */
function joinCost(
  running: Running,
  { joins }: Change,
  context: PlanContext,
  figures: Figures,
): number | null {
  let cost = 0
  for (const { pupilId, visitIds } of joins) {
    if (visitIds.length === 0) return null
    const child = context.grouping.groups.flatMap(({ pupils }) => pupils).find(({ id }) => id === pupilId)!
    for (const id of visitIds) {
      const visit = running.visits.find((one) => one.id === id)!
      const { gameId, places } = running.plan.stations.find((one) => one.id === visit.stationId)!
      const game = gameOf(gameId)
      const children = running.present[visit.groupId].length + 1
      const sets = splitIntoSets(children, game.players)
      if (places !== null && children > places) return null
      if (!sets.every((size) => size >= game.players.min && size <= game.players.max)) return null
      const cell = running.plan.cells.find((one) => one.slot === visit.slot && one.groupId === visit.groupId)!
      const theirs = Math.max(
        0,
        game.levels.findIndex(({ id }) => id === cell.levelId),
      )
      const level = levelBeside(gameId, child, theirs, context.grouping, figures)
      cost += fitCost(successAt(gameId, [child], figures)[0][level], ownBand)
    }
  }
  return cost
}

/** Who misses what, of the slot under way and those to come. */
function lossesOf(
  running: Running,
  change: Change,
  before: PlanView,
  after: PlanView,
  figures: Figures,
): Loss[] {
  const { slot, visits, plan } = running
  const joined = new Set(change.joins.flatMap(({ pupilId }) => pupilId))
  const modeBefore = new Map(before.stations.map(({ id, mode }) => [id, mode]))
  const modeAfter = new Map(after.stations.map(({ id, mode }) => [id, mode]))
  const gameAt = new Map(plan.stations.map(({ id, gameId }) => [id, gameId]))
  const led = (view: PlanView, modes: typeof modeBefore, groupId: string) =>
    view.visits.some((visit) => visit.groupId === groupId && modes.get(visit.stationId) === 'adult-led')
  const strands = (view: PlanView, groupId: string) =>
    new Set(
      view.visits
        .filter((visit) => visit.groupId === groupId)
        .map(({ stationId }) => mainStrand(gameAt.get(stationId)!, figures)),
    )
  const losses: Loss[] = []
  if (change.slotMinutes < plan.slotMinutes)
    losses.push({ kind: 'minutes', each: plan.slotMinutes - change.slotMinutes, to: change.slotMinutes })
  for (const { id: groupId, children } of before.groups) {
    const present = running.present[groupId] ?? []
    // Who joins another group goes on there.
    if (children.length === 0 || present.length === 0 || present.every((pupil) => joined.has(pupil))) continue
    for (const visit of visits)
      if (visit.groupId === groupId && change.dropped.includes(visit.id))
        losses.push({ kind: 'visit', groupId, stationId: visit.stationId })
    if (led(before, modeBefore, groupId) && !led(after, modeAfter, groupId))
      losses.push({ kind: 'adult', groupId })
    const still = strands(after, groupId)
    for (const strand of strands(before, groupId))
      if (!still.has(strand)) losses.push({ kind: 'strand', groupId, strand })
  }
  for (const visit of after.visits) {
    if (visit.slot < slot) continue
    const { groupId, stationId } = visit
    const was = before.visits.find((one) => one.groupId === groupId && one.stationId === stationId)
    const ended = was?.finishInSlot ?? null
    if (ended !== null && ended >= likelyEnough && (visit.finishInSlot ?? 1) < likelyEnough)
      losses.push({ kind: 'unfinished', groupId, stationId })
    const movedHere = change.moved.some(({ visitId, stationId: to }) => {
      const old = visits.find(({ id }) => id === visitId)!
      return old.groupId === groupId && to === stationId && old.stationId !== stationId
    })
    if (!movedHere) continue
    if (after.visits.some((one) => one !== visit && one.groupId === groupId && one.stationId === stationId))
      losses.push({ kind: 'again', groupId, stationId })
    if (visit.tooHard > 0) losses.push({ kind: 'too-hard', groupId, stationId })
  }
  return losses
}

/** A short name of a way: the same for the same change. */
function fingerprint(text: string): string {
  let hash = 2166136261
  for (let i = 0; i < text.length; i++) hash = Math.imul(hash ^ text.charCodeAt(i), 16777619)
  return (hash >>> 0).toString(36)
}
