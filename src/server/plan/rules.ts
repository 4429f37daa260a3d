import type { z } from 'zod'
import { gameOf, type games } from '@/core/games'
import type { Inventory } from '@/core/planning/inventory'
import { checkPlan, whyNowhere } from '@/core/planning/plan/check'
import { planInputSchema, planProblem } from '@/core/planning/plan/problem'
import type { HardRule, SoftRule } from '@/core/planning/plan/rules'
import type { GroupPast } from './past'
import type { Plan } from './schema'

/** What the planner is asked: the input of the core's `plan`, for one session. */
export type PlannerInput = z.input<typeof planInputSchema>

/** Children at a station that names no number of places. */
const asManyAsCome = 60

/** One group at one station: at which level, and how likely the game ends in the slot. */
export interface Stay {
  station: number
  group: number
  levelId: string
  success: number
  finish: number | null
}

type GameId = (typeof games)[number]['id']

/**
 * The plan as the planner sees it. Stations on their own get what is shown to the class first, so every
 * game counts as known here; who has to be shown what is told apart.
 */
export function plannerInput(
  { slots, slotMinutes, adults, stations }: Plan,
  groups: readonly { children: number; past: GroupPast; lastSets: string[][]; together: string[][] }[],
  stays: readonly Stay[],
  inventory: Inventory,
  pinned: readonly { slot: number; group: number; station: number }[] = [],
): PlannerInput {
  const onOffer = [...new Set(stations.map(({ gameId }) => gameId))] as GameId[]
  return {
    slots,
    slotMinutes,
    adults,
    inventory,
    groups: groups.map(({ children, past, lastSets, together }, g) => ({
      id: `${g}`,
      children: Math.max(1, children),
      notYet: past.notYet,
      known: onOffer,
      lastPlayed: past.lastPlayed,
      lastSets,
      together,
    })),
    stations: stations.map(({ mode, places }, s) => ({ id: `${s}`, mode, places: places ?? asManyAsCome })),
    offers: stays.map(({ station, group, levelId, success, finish }) => ({
      station: `${station}`,
      game: stations[station].gameId,
      level: levelId,
      success: { [group]: success },
      finish,
    })),
    pins: pinned.map(({ slot, group, station }) => ({
      session: 0,
      slot,
      group: `${group}`,
      station: `${station}`,
    })),
    tries: 20_000,
  }
}

/** A rule that must hold and does not, at the group that is in it. */
export interface RuleConflict {
  kind: Exclude<HardRule, 'not-shown'> | 'adult' | 'game-again'
  slot: number
  group: number
}

/** A cell without a station, and how many of the stations each rule stands against. */
export interface Gap {
  slot: number
  group: number
  nothingOffered: boolean
  rules: Partial<Record<HardRule, number>>
}

export interface Ruled {
  conflicts: RuleConflict[]
  gaps: Gap[]
  /** What should hold and does not, by rule, with what it weighs in all. */
  costs: { rule: SoftRule; cost: number }[]
}

/**
 * Holds a plan against the rules of the room.
 * @param taken `slot · groups + group` → stay, −1: nowhere
 */
export function holdAgainstRules(
  plan: Plan,
  input: PlannerInput,
  stays: readonly Stay[],
  taken: Int32Array,
): Ruled {
  const problem = planProblem(planInputSchema.parse(input))
  const groups = input.groups.length
  const { conflicts, costs } = checkPlan(problem, taken)
  const withoutAdult = [...taken].flatMap((stay, at): RuleConflict[] => {
    if (stay < 0) return []
    const { gameId, mode } = plan.stations[stays[stay].station]
    return mode === 'own' && gameOf(gameId).room.adult
      ? [{ kind: 'adult', slot: Math.floor(at / groups), group: at % groups }]
      : []
  })
  const weighed = new Map<SoftRule, number>()
  for (const { rule, cost } of costs)
    if (Number.isFinite(cost)) weighed.set(rule, (weighed.get(rule) ?? 0) + cost)
  return {
    conflicts: [
      ...withoutAdult,
      ...conflicts.flatMap(({ rule, time, groups: those }) =>
        rule === 'not-shown' ? [] : those.map((group): RuleConflict => ({ kind: rule, slot: time, group })),
      ),
      ...costs.flatMap(({ rule, time, group }): RuleConflict[] =>
        rule === 'game-again' &&
        time !== null &&
        group !== null &&
        !repeatsToday(taken, stays, time, group, groups)
          ? [{ kind: 'game-again', slot: time, group }]
          : [],
      ),
    ],
    gaps: [...taken].flatMap((stay, at) => {
      const [slot, group] = [Math.floor(at / groups), at % groups]
      return stay >= 0 ? [] : [{ slot, group, ...whyNowhere(problem, taken, slot, group) }]
    }),
    costs: [...weighed].map(([rule, cost]) => ({ rule, cost })),
  }
}

/** True if the group was at the station earlier the same session: told as that, not as played lately. */
function repeatsToday(
  taken: Int32Array,
  stays: readonly Stay[],
  slot: number,
  group: number,
  groups: number,
) {
  const here = stays[taken[slot * groups + group]].station
  for (let before = 0; before < slot; before++) {
    const stay = taken[before * groups + group]
    if (stay >= 0 && stays[stay].station === here) return true
  }
  return false
}
