import { gameOf } from '@/core/games'
import { splitIntoSets } from '@/core/games/sets'
import type { GroupingMode } from '@/core/grouping/mode'
import type { Inventory } from '@/core/planning/inventory'
import type { GroupLevel, PlannedGroup } from './levels'
import type { GroupPast } from './past'
import { holdAgainstRules, plannerInput, type Stay } from './rules'
import type { Plan } from './schema'
import { lastSetsOf, togetherIn, type PartnersPast } from './seating'
import { finishOf, type LevelTable, type PlannedVisit } from './visits'

/** What the rules of the room are about beside the plan: the shelf, and what was played before. */
export interface Room {
  inventory: Inventory
  pastOf: (pupils: readonly string[]) => GroupPast
  partners: PartnersPast
}

/** Holds the plan against the rules of the room, and makes the planner's input. */
export function ruledBy(
  plan: Plan,
  groups: readonly PlannedGroup[],
  visits: readonly PlannedVisit[],
  table: LevelTable,
  mode: GroupingMode,
  { inventory, pastOf, partners }: Room,
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

/** What has to be shown before it is played without an adult, and to whom. */
export function showFirst(plan: Plan, groups: readonly PlannedGroup[], pasts: readonly GroupPast[]) {
  const alone = new Set(plan.stations.filter(({ mode }) => mode === 'own').map(({ gameId }) => gameId))
  return [...alone].flatMap((gameId) => {
    const pennants = groups.flatMap(({ pennant, pupils }, g) =>
      pupils.length > 0 && !pasts[g].met.includes(gameId) ? [pennant] : [],
    )
    return pennants.length > 0 ? [{ title: gameOf(gameId).title, pennants }] : []
  })
}
