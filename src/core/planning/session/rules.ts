import type { z } from 'zod'
import { gameOf } from '../../games'
import type { AdultPlace } from '../adults'
import type { Inventory } from '../inventory'
import { planInputSchema, planProblem } from '../plan/problem'
import type { HardRule, SoftRule } from '../plan/rules'
import { tellPlan } from '../plan/tell'
import type { GroupPast } from './past'
import { pinsFrom } from './pins'
import { stationAt, type PlacedPlan, type Plan } from './plan'

/** What the planner is asked: the input of the core's `plan`, for one session. */
export type PlannerInput = z.input<typeof planInputSchema>

/** Children at a station that names no number of places. */
const asManyAsCome = 60

/** One group at one station: at which level, and how likely the game ends in the slot. */
export interface Offer {
  stationId: string
  groupId: string
  levelId: string
  success: number
  finish: number | null
  /** How much the class likes the game, 0 to 1. */
  liked: number
}

/** A group as the rules see it. */
export interface CountedGroup {
  id: string
  children: number
  past: GroupPast
  lastSets: string[][]
  together: string[][]
}

/**
 * The plan as the planner sees it. Stations on their own get what is shown to the class first, so every
 * game counts as known here; who has to be shown what is told apart.
 */
export function plannerInput(
  { slots, slotMinutes, adults, stations }: Plan,
  groups: readonly CountedGroup[],
  offers: readonly Offer[],
  inventory: Inventory,
  pinned: readonly { slot: number; groupId: string; stationId: string }[] = [],
  /** A station that names no places takes no more groups than it must: what the planner keeps to, and a teacher need not. */
  spread = false,
): PlannerInput {
  const fewest = Math.ceil(groups.length / stations.length)
  const onOffer = [...new Set(stations.map(({ gameId }) => gameId))]
  return {
    slots,
    slotMinutes,
    adults,
    inventory,
    groups: groups.map(({ id, children, past, lastSets, together }) => ({
      id,
      children: Math.max(1, children),
      notYet: past.notYet,
      known: onOffer,
      lastPlayed: past.lastPlayed,
      lastSets,
      together,
    })),
    stations: stations.map(({ id, mode, places }) => ({
      id,
      mode,
      places: places ?? asManyAsCome,
      ...(spread && places === null ? { groups: fewest } : {}),
    })),
    offers: offers.map(({ stationId, groupId, levelId, success, finish, liked }) => ({
      station: stationId,
      game: stationAt({ stations }, stationId).gameId,
      level: levelId,
      success: { [groupId]: success },
      finish,
      liked,
    })),
    pins: pinsFrom(pinned),
    tries: 20_000,
  }
}

/** A rule that must hold and does not, at the group that is in it. */
export interface RuleConflict {
  kind: Exclude<HardRule, 'not-shown'> | 'adult' | 'game-again'
  slot: number
  groupId: string
}

/** A cell without a station, and how many of the stations each rule stands against. */
export interface Gap {
  slot: number
  groupId: string
  nothingOffered: boolean
  rules: Partial<Record<HardRule, number>>
}

export interface Ruled {
  conflicts: RuleConflict[]
  gaps: Gap[]
  /** What should hold and does not, by rule, with what it weighs in all. */
  costs: { rule: SoftRule; cost: number }[]
  /** Which adult is at which station; 0 is the teacher. */
  adults: AdultPlace<string>[]
}

/**
 * Holds a plan against the rules of the room.
 * @param taken by slot and group, in the order of the input's groups: index of the offer, −1: nowhere
 */
export function holdAgainstRules(plan: PlacedPlan, input: PlannerInput, taken: Int32Array): Ruled {
  const told = tellPlan(planProblem(planInputSchema.parse(input)), taken)
  const withoutAdult = told.visits.flatMap(({ slot, group, station }): RuleConflict[] => {
    const { gameId, mode } = stationAt(plan, station)
    return mode === 'own' && gameOf(gameId).room.adult ? [{ kind: 'adult', slot, groupId: group }] : []
  })
  const weighed = new Map<SoftRule, number>()
  for (const { rule, cost } of told.costs)
    if (Number.isFinite(cost)) weighed.set(rule, (weighed.get(rule) ?? 0) + cost)
  return {
    conflicts: [
      ...withoutAdult,
      ...told.conflicts.flatMap(({ rule, slot, groups }) =>
        rule === 'not-shown' ? [] : groups.map((groupId): RuleConflict => ({ kind: rule, slot, groupId })),
      ),
      ...told.costs.flatMap(({ rule, slot, group }): RuleConflict[] =>
        rule === 'game-again' && slot !== undefined && group !== undefined && !repeatsToday(plan, slot, group)
          ? [{ kind: 'game-again', slot, groupId: group }]
          : [],
      ),
    ],
    gaps: told.nowhere.map(({ slot, group, nothingOffered, rules }) => ({
      slot,
      groupId: group,
      nothingOffered,
      rules,
    })),
    costs: [...weighed].map(([rule, cost]) => ({ rule, cost })),
    adults: told.adults.map(({ slot, station, adult }) => ({ slot, station, adult })),
  }
}

/** True if the group was at the station earlier the same session: told as that, not as played lately. */
function repeatsToday({ cells }: PlacedPlan, slot: number, groupId: string): boolean {
  const own = cells.filter((cell) => cell.groupId === groupId)
  const here = own.find((cell) => cell.slot === slot)?.stationId
  return own.some((cell) => cell.slot < slot && cell.stationId === here)
}
