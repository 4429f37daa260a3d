import { gameOf } from '@/core/games'
import { placeAdults, type AdultNeed, type AdultPlace } from '@/core/planning/adults'
import { againstInventory, type Stocked } from '@/core/planning/inventory'
import { materialsOf, type Need } from '@/core/planning/materials'
import { repeats, type Place } from '@/core/planning/rotation'
import { isPrinted } from '@/core/planning/shelf'
import { timetable, type Timetable } from '@/core/planning/timetable'
import type { StoredGrouping } from '@/data/queries/groupings'
import type { StationMode, StoredSession } from '@/data/queries/sessions'
import type { Child } from '../children'
import { everybodyMovesOn, groupsOf, placesOf } from './places'
import { ruledBy, showFirst, type Room } from './room'
import type { Gap, PlannerInput, RuleConflict, Ruled } from './rules'
import { planOf, type Plan } from './schema'
import { seated, storedSeats, type Seater } from './seating'
import { LevelTable, materialsAt, visitAt, type PlannedVisit } from './visits'

export type Conflict =
  | { kind: 'again'; slot: number; group: number }
  | { kind: 'too-long'; slot: number; group: number; finishInSlot: number }
  | { kind: 'too-few'; slot: number; group: number; least: number }
  | RuleConflict

export interface PlanView {
  plan: Plan
  times: Timetable
  groups: { pennant: number; children: { id: string; name: string }[]; sinceTeacher: number | null }[]
  stations: {
    gameId: string
    title: string
    mode: StationMode
    levels: { id: string; title: string }[]
    cautions: string[]
    needs: Need[]
  }[]
  visits: PlannedVisit[]
  /** Children play in pairs that stay, as the groups were made. */
  pairsStay: boolean
  /** Which adult is at which station; 0 is the teacher. */
  adults: AdultPlace[]
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

/** What a plan is worked out from beside itself. */
export interface PlanContext {
  grouping: StoredGrouping
  children: readonly Child[]
  seater: Seater
  /** Null: a plan that is only run or looked at, whose rules nobody asks about. */
  room: Room | null
}

const likelyEnough = 0.8

/** Works a plan out: who is where, at which level, in which sets, with what, and what does not go. Writes nothing. */
export function workOut(given: Plan, { grouping, children, seater, room }: PlanContext): PlanView {
  const groups = groupsOf(grouping, children)
  const plan = { ...given, placed: given.placed ?? everybodyMovesOn(given, groups.length) }
  const places = placesOf(plan, groups.length)
  const at = new LevelTable(plan, groups, grouping)
  const visits = seated(
    groups,
    places.map((place) => visitAt(plan, groups[place.group], place, at)),
    seater,
  )
  const materials = materialsOf(
    visits.flatMap((visit) => demandsOf(plan.stations[visit.station].gameId, visit)),
    plan.stations.length,
  )
  const ruled = room && ruledBy(plan, groups, visits, at, grouping.mode, room)
  return {
    plan,
    times: timetable(plan.startsAt, plan),
    groups: groups.map(({ pennant, pupils }, g) => ({
      pennant,
      children: pupils.map(({ id, name }) => ({ id, name })),
      sinceTeacher: ruled?.pasts[g].sinceTeacher ?? null,
    })),
    stations: plan.stations.map(({ gameId, mode }, station) => {
      const { title, levels, texts } = gameOf(gameId)
      return {
        gameId,
        title,
        mode,
        levels: levels.map((level) => ({ id: level.id, title: level.title })),
        cautions: [...texts.cautions],
        needs: materials.stations[station],
      }
    }),
    visits,
    pairsStay: grouping.mode === 'pairs',
    adults: adultsIn(plan, visits),
    conflicts: [...conflictsOf(plan, visits, places), ...(ruled?.conflicts ?? [])],
    gaps: ruled?.gaps ?? [],
    costs: ruled?.costs ?? [],
    showFirst: ruled ? showFirst(plan, groups, ruled.pasts) : [],
    planner: ruled?.planner ?? null,
    shelf: againstInventory(
      materials.all.filter(({ item }) => !isPrinted(item)),
      room?.inventory ?? {},
    ),
    print: materials.all.filter(({ item }) => isPrinted(item)),
  }
}

function adultsIn({ slots, stations, adults }: Plan, visits: readonly PlannedVisit[]): AdultPlace[] {
  const needs = Array.from({ length: slots }, (_, slot) =>
    stations.flatMap(({ mode }, station): AdultNeed[] => {
      const busy = visits.some((visit) => visit.slot === slot && visit.station === station)
      return busy && mode !== 'own' ? [{ station, led: mode === 'adult-led' }] : []
    }),
  )
  return placeAdults(needs, adults)
}

/** What a visit needs: of own ranges in one set each its own board and pack. */
function demandsOf(gameId: string, { slot, station, levelId, ranges, ownLevels, sets, seats }: PlannedVisit) {
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

/** What a stored session comes to with the estimates of now. */
export const workOutSession = (
  session: StoredSession,
  grouping: StoredGrouping,
  children: readonly Child[],
): PlanView =>
  workOut(planOf(session), { grouping, children, seater: storedSeats(session, grouping.mode), room: null })

function conflictsOf(plan: Plan, visits: readonly PlannedVisit[], places: readonly Place[]): Conflict[] {
  const again = repeats(places).map(({ slot, group }): Conflict => ({ kind: 'again', slot, group }))
  const others = visits.flatMap(({ slot, group, station, children, finishInSlot }): Conflict[] => {
    const { players } = gameOf(plan.stations[station].gameId)
    if (children < players.min) return [{ kind: 'too-few', slot, group, least: players.min }]
    if (finishInSlot !== null && finishInSlot < likelyEnough)
      return [{ kind: 'too-long', slot, group, finishInSlot }]
    return []
  })
  return [...again, ...others]
}
