import { gameOf } from '@/core/games'
import { splitIntoSets } from '@/core/games/sets'
import type { GroupingMode } from '@/core/grouping/mode'
import { placeAdults, type AdultNeed, type AdultPlace } from '@/core/planning/adults'
import { againstInventory, type Inventory, type Stocked } from '@/core/planning/inventory'
import { materialsOf, type Need } from '@/core/planning/materials'
import { repeats, rotate, type Place } from '@/core/planning/rotation'
import { isPrinted } from '@/core/planning/shelf'
import { timetable, type Timetable } from '@/core/planning/timetable'
import type { StoredGrouping } from '@/data/queries/groupings'
import type { StationMode, StoredSession } from '@/data/queries/sessions'
import type { Child } from '../children'
import type { GroupLevel, PlannedGroup } from './levels'
import type { GroupPast } from './past'
import {
  holdAgainstRules,
  plannerInput,
  type Gap,
  type PlannerInput,
  type RuleConflict,
  type Ruled,
  type Stay,
} from './rules'
import { cellKey, planOf, type Plan } from './schema'
import { lastSetsOf, storedSeats, togetherIn, type PartnersPast, type Seater } from './seating'
import { finishOf, LevelTable, materialsAt, visitAt, type PlannedVisit, type UnseatedVisit } from './visits'

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
  room: {
    inventory: Inventory
    pastOf: (pupils: readonly string[]) => GroupPast
    partners: PartnersPast
  } | null
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

/** Says who plays with whom, group by group through the session. */
function seated(
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

function groupsOf(grouping: StoredGrouping, children: readonly Child[]): PlannedGroup[] {
  const byId = new Map(children.map((child) => [child.id, child]))
  return grouping.groups.map(({ pennant, pupils, pairs }) => {
    const present = pupils.filter((id) => byId.has(id))
    return {
      pennant,
      pupils: present.map((id) => byId.get(id)!),
      pairs: present.map((id) => pairs[id] ?? null),
    }
  })
}

/** Everybody at the next station at each signal: a plan to begin with. */
function everybodyMovesOn({ stations, slots }: Plan, groups: number): Record<string, number> {
  return Object.fromEntries(
    rotate(groups, stations.length, slots).map(({ slot, group, station }) => [cellKey(slot, group), station]),
  )
}

/** The cells that have a station which is there. */
function placesOf({ placed = {}, slots, stations }: Plan, groups: number): Place[] {
  const places: Place[] = []
  for (let slot = 0; slot < slots; slot++)
    for (let group = 0; group < groups; group++) {
      const station = placed[cellKey(slot, group)]
      if (station !== undefined && station < stations.length) places.push({ slot, station, group })
    }
  return places
}

/** Holds the plan against the rules of the room, and makes the planner's input. */
function ruledBy(
  plan: Plan,
  groups: readonly PlannedGroup[],
  visits: readonly PlannedVisit[],
  table: LevelTable,
  mode: GroupingMode,
  { inventory, pastOf, partners }: NonNullable<PlanContext['room']>,
) {
  const pasts = groups.map(({ pupils }) => pastOf(pupils.map(({ id }) => id)))
  const counted = groups.map((group, g) => ({
    children: group.pupils.length,
    past: pasts[g],
    lastSets: lastSetsOf(
      group.pupils.map(({ id }) => id),
      partners,
    ),
    together: togetherIn(group, mode),
  }))
  const stayOf = (station: number, group: number, { level, success }: GroupLevel): Stay => {
    const game = gameOf(plan.stations[station].gameId)
    const sets = splitIntoSets(groups[group].pupils.length, game.players)
    const levelId = game.levels[level].id
    return {
      station,
      group,
      levelId,
      success,
      finish: finishOf(game.id, levelId, sets, plan.slotMinutes),
    }
  }
  // Every group at every station at the level that fits; beside these, levels the teacher set for a cell.
  const fitting = plan.stations.flatMap((_, station) =>
    groups.map((_, group) => stayOf(station, group, table.fits(station, group))),
  )
  const stays = [...fitting]
  const taken = new Int32Array(plan.slots * groups.length).fill(-1)
  for (const { slot, group, station, levelId } of visits) {
    const usual = station * groups.length + group
    const same = fitting[usual].levelId === levelId
    if (!same) stays.push(stayOf(station, group, table.of({ slot, station, group })))
    taken[slot * groups.length + group] = same ? usual : stays.length - 1
  }
  return {
    pasts,
    planner: plannerInput(plan, counted, fitting, inventory),
    ...holdAgainstRules(
      plan,
      plannerInput(
        plan,
        counted,
        stays,
        inventory,
        visits.filter(({ pinned }) => pinned),
      ),
      stays,
      taken,
    ),
  }
}

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

/** What has to be shown before it is played without an adult, and to whom. */
function showFirst(plan: Plan, groups: readonly PlannedGroup[], pasts: readonly GroupPast[]) {
  const alone = new Set(plan.stations.filter(({ mode }) => mode === 'own').map(({ gameId }) => gameId))
  return [...alone].flatMap((gameId) => {
    const pennants = groups.flatMap(({ pennant, pupils }, g) =>
      pupils.length > 0 && !pasts[g].met.includes(gameId) ? [pennant] : [],
    )
    return pennants.length > 0 ? [{ title: gameOf(gameId).title, pennants }] : []
  })
}
