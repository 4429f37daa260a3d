import { gameOf } from '../../games'
import { splitIntoSets } from '../../games/sets'
import type { Seats } from '../seating/partners'
import type { Figures, PlannedGroup, PlannedGrouping } from './context'
import { levelOfGroup, type GroupLevel } from './levels'
import { stationAt, type Cell, type Plan } from './plan'

export interface PlannedVisit {
  slot: number
  stationId: string
  groupId: string
  levelId: string
  levelTitle: string
  /** Where children have own ranges: each level with how many play at it; empty: one level for all. */
  ranges: { levelId: string; title: string; children: number }[]
  /** Level of each child who plays at another than the group's. */
  ownLevels: Record<string, string>
  /** Sizes of the sets the group plays in. */
  sets: number[]
  /** Children by the set they play in. */
  seats: Seats
  /** Pairs who play together twice running. */
  partnersAgain: [string, string][]
  children: number
  fitting: number
  /** Chance that the largest set's game ends in the slot; null: time-boxed. */
  finishInSlot: number | null
  chosen: boolean
  pinned: boolean
}

/** What each group comes to at each station, worked out once. */
export class LevelTable {
  private readonly fitting = new Map<string, GroupLevel>()
  private readonly groups: Map<string, PlannedGroup>

  constructor(
    private readonly plan: Plan,
    private readonly grouping: PlannedGrouping,
    readonly figures: Figures,
  ) {
    this.groups = new Map(grouping.groups.map((group) => [group.id, group]))
  }

  /** At the level that fits, or at the one the teacher chose for the cell. */
  of({ stationId, groupId, levelId }: Cell): GroupLevel & { chosen: boolean } {
    const { gameId } = stationAt(this.plan, stationId)
    const index = gameOf(gameId).levels.findIndex(({ id }) => id === levelId)
    const fits = this.fits(stationId, groupId)
    // Own ranges have no level to choose; the level that fits need not be chosen.
    if (index < 0 || fits.own || index === fits.level) return { ...fits, chosen: index >= 0 && !fits.own }
    return { ...this.at(gameId, groupId, index), chosen: true }
  }

  fits(stationId: string, groupId: string): GroupLevel {
    const { gameId } = stationAt(this.plan, stationId)
    const key = `${gameId} ${groupId}`
    const known = this.fitting.get(key)
    if (known) return known
    const made = this.at(gameId, groupId, null)
    this.fitting.set(key, made)
    return made
  }

  private at(gameId: string, groupId: string, chosen: number | null): GroupLevel {
    return levelOfGroup(gameId, this.groups.get(groupId)!, this.grouping.mode, chosen, this.figures)
  }
}

/** All of a visit but who plays with whom. */
export type UnseatedVisit = Omit<PlannedVisit, 'seats' | 'partnersAgain'>

export function visitAt(plan: Plan, { pupils }: PlannedGroup, cell: Cell, table: LevelTable): UnseatedVisit {
  const { gameId } = stationAt(plan, cell.stationId)
  const game = gameOf(gameId)
  const { level, own, fitting, chosen } = table.of(cell)
  const sets = splitIntoSets(pupils.length, game.players)
  const { id: levelId, title: levelTitle } = game.levels[level]
  const ranges = own
    ? game.levels.flatMap(({ id, title }, index) => {
        const there = own.filter((one) => one === index).length
        return there > 0 ? [{ levelId: id, title, children: there }] : []
      })
    : []
  return {
    slot: cell.slot,
    stationId: cell.stationId,
    groupId: cell.groupId,
    levelId,
    levelTitle,
    ranges,
    ownLevels: Object.fromEntries(
      (own ?? []).flatMap((one, child) => (one === level ? [] : [[pupils[child].id, game.levels[one].id]])),
    ),
    sets,
    children: pupils.length,
    fitting,
    finishInSlot: finishOf(gameId, levelId, sets, plan.slotMinutes, table.figures),
    chosen,
    pinned: cell.pinned,
  }
}

/** Chance that a game of the largest set ends in a slot; null: time-boxed. */
export const finishOf = (
  gameId: string,
  levelId: string,
  sets: readonly number[],
  slotMinutes: number,
  figures: Figures,
): number | null => figures.finish(gameId, levelId, Math.max(1, ...sets), slotMinutes)

/** What a level of a game needs, by set and player. */
export function materialsAt(gameId: string, levelId: string) {
  const game = gameOf(gameId)
  return game.materials(game.levels.find(({ id }) => id === levelId)!.params)
}
