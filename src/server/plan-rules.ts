import { gameOf } from '@/core/games'
import type { Inventory } from '@/core/planning/inventory'
import { checkPlan } from '@/core/planning/plan/check'
import { planInputSchema, planProblem } from '@/core/planning/plan/problem'
import type { StationMode } from '@/data/queries/sessions'

/** A rule that must hold in a room and does not, at the visits that are in it. */
export interface RuleConflict {
  kind: 'floor' | 'noise' | 'materials' | 'adult'
  slot: number
  group: number
}

interface RuledPlan {
  slots: number
  slotMinutes: number
  stations: readonly { gameId: string; mode: StationMode }[]
}

interface RuledVisit {
  slot: number
  station: number
  group: number
  levelId: string
  children: number
}

/** Children a station takes in a plan made by hand: as many as come. */
const asManyAsCome = 60

/** What of a plan breaks the rules for all stations at once: floor, noise, materials, an adult where a game needs one. */
export function ruleConflicts(
  plan: RuledPlan,
  visits: readonly RuledVisit[],
  inventory: Inventory,
): RuleConflict[] {
  const groups = 1 + Math.max(-1, ...visits.map(({ group }) => group))
  if (groups === 0) return []
  const withoutAdult = visits.flatMap(({ slot, group, station }): RuleConflict[] => {
    const { gameId, mode } = plan.stations[station]
    return mode === 'own' && gameOf(gameId).room.adult ? [{ kind: 'adult', slot, group }] : []
  })
  const childrenOf = (group: number) =>
    Math.max(1, visits.find((visit) => visit.group === group)?.children ?? 1)
  // Every visit is an offer of its own, taken by its group in its slot; what should hold is not asked here.
  const problem = planProblem(
    planInputSchema.parse({
      slots: plan.slots,
      slotMinutes: plan.slotMinutes,
      groups: Array.from({ length: groups }, (_, g) => ({ id: `${g}`, children: childrenOf(g) })),
      stations: plan.stations.map(({ mode }, s) => ({ id: `${s}`, mode, places: asManyAsCome })),
      offers: visits.map(({ station, group, levelId }) => ({
        station: `${station}`,
        game: plan.stations[station].gameId,
        level: levelId,
        success: { [group]: 0.8 },
      })),
      adults: 10,
      inventory,
    }),
  )
  const taken = new Int32Array(plan.slots * groups).fill(-1)
  visits.forEach(({ slot, group }, offer) => (taken[slot * groups + group] = offer))
  const together = checkPlan(problem, taken).conflicts.flatMap(({ rule, time, groups: those }) =>
    rule === 'floor' || rule === 'noise' || rule === 'materials'
      ? those.map((group): RuleConflict => ({ kind: rule, slot: time, group }))
      : [],
  )
  return [...withoutAdult, ...together]
}
