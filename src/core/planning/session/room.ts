import { gameOf } from '../../games'
import { splitIntoSets } from '../../games/engine/sets'
import type { PlannedGroup, PlannedGrouping, Room } from './context'
import { likingOf, type Habits } from './habits'
import type { GroupLevel } from './levels'
import { pastOf, type GroupPast } from './past'
import { stationAt, type PlacedPlan, type Plan } from './plan'
import { holdAgainstRules, plannerInput, type Offer } from './rules'
import { lastSetsOf, togetherIn, type PartnersPast } from './seating'
import { finishOf, type LevelTable } from './visits'

/** Holds the plan against the rules of the room, and makes the planner's input. */
export function ruledBy(
  plan: PlacedPlan,
  { groups, mode }: PlannedGrouping,
  table: LevelTable,
  { inventory, played, marks, day }: Room,
  partners: PartnersPast,
  habits: Habits,
) {
  const counted = groups.map((group) => {
    const ids = group.pupils.map(({ id }) => id)
    return {
      id: group.id,
      children: ids.length,
      past: pastOf(ids, played, marks, day),
      lastSets: lastSetsOf(ids, partners),
      together: togetherIn(group, mode),
    }
  })
  const offerOf = (stationId: string, group: PlannedGroup, { level, success }: GroupLevel): Offer => {
    const game = gameOf(stationAt(plan, stationId).gameId)
    const sets = splitIntoSets(group.pupils.length, game.players)
    const levelId = game.levels[level].id
    return {
      stationId,
      groupId: group.id,
      levelId,
      success,
      finish: finishOf(game.id, levelId, sets, plan.slotMinutes, table.figures),
      liked: likingOf(habits, game.id),
    }
  }
  // Every group at every station at the level that fits; beside these, levels the teacher set for a cell.
  const fitting = plan.stations.flatMap(({ id }) =>
    groups.map((group) => offerOf(id, group, table.fits(id, group.id))),
  )
  const offers = [...fitting]
  const taken = new Int32Array(plan.slots * groups.length).fill(-1)
  for (const cell of plan.cells) {
    const g = groups.findIndex(({ id }) => id === cell.groupId)
    const usual = plan.stations.findIndex(({ id }) => id === cell.stationId) * groups.length + g
    const here = table.of(cell)
    const { gameId } = stationAt(plan, cell.stationId)
    const same = fitting[usual].levelId === gameOf(gameId).levels[here.level].id
    if (!same) offers.push(offerOf(cell.stationId, groups[g], here))
    taken[cell.slot * groups.length + g] = same ? usual : offers.length - 1
  }
  const pinned = plan.cells.filter((cell) => cell.pinned)
  return {
    pasts: new Map(counted.map(({ id, past }) => [id, past])),
    planner: plannerInput(plan, counted, fitting, inventory, [], true),
    ...holdAgainstRules(plan, plannerInput(plan, counted, offers, inventory, pinned), taken),
  }
}

/** What has to be shown before it is played without an adult, and to whom. */
export function showFirst(
  plan: Plan,
  groups: readonly PlannedGroup[],
  pasts: ReadonlyMap<string, GroupPast>,
) {
  const alone = new Set(plan.stations.filter(({ mode }) => mode === 'own').map(({ gameId }) => gameId))
  return [...alone].flatMap((gameId) => {
    const pennants = groups.flatMap(({ id, pennant, pupils }) =>
      pupils.length > 0 && !pasts.get(id)!.met.includes(gameId) ? [pennant] : [],
    )
    return pennants.length > 0 ? [{ title: gameOf(gameId).title, pennants }] : []
  })
}
