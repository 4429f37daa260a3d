import { gameOf } from '../../games'
import { textsAt } from '../../games/texts'
import type { AdultPlace } from '../adults'
import { againstInventory, type Stocked } from '../inventory'
import { materialsOf, type Need, type SlotDemand } from '../materials'
import { isPrinted } from '../../things'
import { timetable, type Timetable } from '../timetable'
import type { Figures, PlanContext, PlannedGroup } from './context'
import type { Habits } from './habits'
import { atPace } from './paced'
import { misfitOf } from './levels'
import { placed, stationAt, type PlacedPlan, type Plan, type StationMode } from './plan'
import { ruledBy, showFirst } from './room'
import type { Gap, PlannerInput, RuleConflict, Ruled } from './rules'
import { keptSeater, partnersPast, seated, seaterFrom } from './seating'
import { LevelTable, likelyEnough, materialsAt, visitAt, type PlannedVisit } from './visits'

export type Conflict =
  | { kind: 'again'; slot: number; groupId: string }
  | { kind: 'too-long'; slot: number; groupId: string; finishInSlot: number }
  | { kind: 'nobody-in-zone'; slot: number; groupId: string; known: number }
  | { kind: 'too-hard'; slot: number; groupId: string; children: number; known: number }
  | { kind: 'too-few'; slot: number; groupId: string; least: number }
  | { kind: 'adult-near'; slot: number; groupId: string; names: string[] }
  | RuleConflict

export interface PlanView {
  plan: PlacedPlan
  /** The groups it is made for: it is kept for these and no others. */
  groupingId: string
  times: Timetable
  groups: {
    id: string
    pennant: number
    children: { id: string; name: string }[]
    sinceTeacher: number | null
  }[]
  stations: {
    id: string
    gameId: string
    title: string
    mode: StationMode
    levels: { id: string; title: string }[]
    cautions: string[]
    needs: Need[]
  }[]
  visits: PlannedVisit[]
  /** The class's own pace, by which the minutes are told. */
  pace: Habits['pace']
  /** What was told of the games at the stations: how often a group liked it, of how often. */
  liked: { title: string; liked: number; of: number }[]
  /** Children play in pairs that stay, as the groups were made. */
  pairsStay: boolean
  /** Which adult is at which station; 0 is the teacher. */
  adults: AdultPlace<string>[]
  conflicts: Conflict[]
  gaps: Gap[]
  costs: Ruled['costs']
  /** Games at stations on their own that groups have not played before. */
  showFirst: { title: string; pennants: number[] }[]
  /** What the planner is asked when gaps are to be filled. */
  planner: PlannerInput | null
  /** Things to fetch for all stations at once, beside what was counted. */
  shelf: Stocked[]
  /** Pages to print for all stations at once. */
  print: Need[]
}

/** Works a plan out: who is where, at which level, in which sets, with what, and what does not go. */
export function workOut(
  given: Plan,
  { grouping, seatedBefore, kept, room, habits }: PlanContext,
  measured: Figures,
): PlanView {
  const figures = atPace(measured, habits.pace.factor)
  const { groups, mode } = grouping
  const groupById = new Map(groups.map((group) => [group.id, group]))
  const order = new Map(groups.map(({ id }, position) => [id, position]))
  const plan = placed(
    given,
    groups.map(({ id }) => id),
  )
  const table = new LevelTable(plan, grouping, figures, kept)
  const partners = partnersPast(seatedBefore)
  const visits = seated(
    groups,
    plan.cells
      .map((cell) => visitAt(plan, groupById.get(cell.groupId)!, cell, table))
      .sort((a, b) => a.slot - b.slot || order.get(a.groupId)! - order.get(b.groupId)!),
    kept ? keptSeater(kept, mode) : seaterFrom(partners, mode),
  )
  const positions = new Map(plan.stations.map(({ id }, position) => [id, position]))
  const materials = materialsOf(
    visits.flatMap((visit) => demandsOf(plan, visit, positions.get(visit.stationId)!)),
    plan.stations.length,
  )
  const ruled = room && groups.length > 0 ? ruledBy(plan, grouping, table, room, partners, habits) : null
  return {
    plan,
    groupingId: grouping.id,
    times: timetable(plan.startsAt, plan),
    groups: groups.map(({ id, pennant, pupils }) => ({
      id,
      pennant,
      children: pupils.map((child) => ({ id: child.id, name: child.name })),
      sinceTeacher: ruled?.pasts.get(id)?.sinceTeacher ?? null,
    })),
    stations: plan.stations.map(({ id, gameId, mode: adult }, position) => {
      const { title, levels } = gameOf(gameId)
      const played = visits.filter(({ stationId }) => stationId === id)
      return {
        id,
        gameId,
        title,
        mode: adult,
        levels: levels.map((level) => ({ id: level.id, title: level.title })),
        cautions: [
          ...new Set(
            played.flatMap(({ levelId, ownLevels }) =>
              [levelId, ...Object.values(ownLevels)].flatMap((level) => textsAt(gameId, level).cautions),
            ),
          ),
        ],
        needs: materials.stations[position],
      }
    }),
    visits,
    pace: habits.pace,
    liked: plan.stations.flatMap(({ gameId }) => {
      const notes = habits.liked[gameId]
      return notes ? [{ title: gameOf(gameId).title, ...notes }] : []
    }),
    pairsStay: mode === 'pairs',
    adults: ruled?.adults ?? [],
    conflicts: [...conflictsOf(plan, visits), ...withoutAdultNear(plan, groups), ...(ruled?.conflicts ?? [])],
    gaps: ruled?.gaps ?? [],
    costs: ruled?.costs ?? [],
    showFirst: ruled ? showFirst(plan, groups, ruled.pasts) : [],
    planner: ruled?.planner ?? null,
    shelf: againstInventory(
      materials.all.filter(({ thing }) => !isPrinted(thing)),
      room?.inventory ?? {},
    ),
    print: materials.all.filter(({ thing }) => isPrinted(thing)),
  }
}

/** What a visit needs: of several levels in one set each its own board and pack. */
function demandsOf(plan: Plan, visit: PlannedVisit, station: number): SlotDemand[] {
  const { slot, stationId, levelId, ranges, ownLevels, sets, seats } = visit
  const { gameId } = stationAt(plan, stationId)
  if (ranges.length === 0) return [{ slot, station, sets, materials: materialsAt(gameId, levelId) }]
  return ranges.map((range) => ({
    slot,
    station,
    sets: seats
      .map((set) => set.filter((child) => (ownLevels[child] ?? levelId) === range.levelId).length)
      .filter((size) => size > 0),
    materials: materialsAt(gameId, range.levelId),
  }))
}

function conflictsOf(plan: Plan, visits: readonly PlannedVisit[]): Conflict[] {
  return visits.flatMap((visit): Conflict[] => {
    const { slot, groupId, stationId, children, finishInSlot } = visit
    const { players } = gameOf(stationAt(plan, stationId).gameId)
    const before = visits.some(
      (one) => one.groupId === groupId && one.stationId === stationId && one.slot < slot,
    )
    const found: Conflict[] = [
      ...(before ? [{ kind: 'again' as const, slot, groupId }] : []),
      ...misfitIn(visit),
    ]
    if (children < players.min) return [...found, { kind: 'too-few', slot, groupId, least: players.min }]
    if (finishInSlot !== null && finishInSlot < likelyEnough)
      return [...found, { kind: 'too-long', slot, groupId, finishInSlot }]
    return found
  })
}

/** Children whom an adult should be near, at stations where none is. */
function withoutAdultNear(plan: PlacedPlan, groups: readonly PlannedGroup[]): Conflict[] {
  const names = new Map(
    groups.map(({ id, pupils }) => [id, pupils.filter(({ adultNear }) => adultNear).map(({ name }) => name)]),
  )
  return plan.cells.flatMap(({ slot, groupId, stationId }): Conflict[] => {
    const alone = names.get(groupId) ?? []
    return alone.length > 0 && stationAt(plan, stationId).mode === 'own'
      ? [{ kind: 'adult-near', slot, groupId, names: alone }]
      : []
  })
}

/** A level that is wrong for the group as a whole. */
function misfitIn(visit: PlannedVisit): Conflict[] {
  const { slot, groupId, zone, tooHard } = visit
  switch (misfitOf(visit, visit.children)) {
    case 'too-hard':
      return [{ kind: 'too-hard', slot, groupId, children: tooHard, known: zone.known }]
    case 'nobody-in-zone':
      return [{ kind: 'nobody-in-zone', slot, groupId, known: zone.known }]
    case null:
      return []
  }
}
