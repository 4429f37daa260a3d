import { gameOf } from '@/core/games'
import { splitIntoSets } from '@/core/games/sets'
import type { Place } from '@/core/planning/rotation'
import type { Seats } from '@/core/planning/seating/partners'
import type { StoredGrouping } from '@/data/queries/groupings'
import { analysisOf } from '../figures'
import { levelOfGroup, type GroupLevel, type PlannedGroup } from './levels'
import { cellKey, type Plan } from './schema'

export interface PlannedVisit {
  slot: number
  station: number
  group: number
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

/** Games played where there is no exact figure: enough to see whether a game fits its slot. */
const playedHere = 1000

/** What each group comes to at each station, worked out once. */
export class LevelTable {
  private readonly fitting = new Map<string, GroupLevel>()

  constructor(
    private readonly plan: Plan,
    private readonly groups: readonly PlannedGroup[],
    private readonly grouping: StoredGrouping,
  ) {}

  /** At the level that fits, or at the one the teacher chose for the cell. */
  of({ station, group, slot }: Place): GroupLevel & { chosen: boolean } {
    const { gameId } = this.plan.stations[station]
    const wanted = this.plan.chosen[cellKey(slot, group)]
    const index = gameOf(gameId).levels.findIndex(({ id }) => id === wanted)
    const fits = this.fits(station, group)
    // Own ranges have no level to choose; the level that fits need not be chosen.
    if (index < 0 || fits.own || index === fits.level) return { ...fits, chosen: index >= 0 && !fits.own }
    return { ...levelOfGroup(gameId, this.groups[group], this.grouping.mode, index), chosen: true }
  }

  fits(station: number, group: number): GroupLevel {
    const { gameId } = this.plan.stations[station]
    const key = `${gameId} ${group}`
    const known = this.fitting.get(key)
    if (known) return known
    const made = levelOfGroup(gameId, this.groups[group], this.grouping.mode, null)
    this.fitting.set(key, made)
    return made
  }
}

/** All of a visit but who plays with whom. */
export type UnseatedVisit = Omit<PlannedVisit, 'seats' | 'partnersAgain'>

export function visitAt(
  plan: Plan,
  { pupils }: PlannedGroup,
  place: Place,
  table: LevelTable,
): UnseatedVisit {
  const { gameId } = plan.stations[place.station]
  const game = gameOf(gameId)
  const { level, own, fitting, chosen } = table.of(place)
  const sets = splitIntoSets(pupils.length, game.players)
  const { id: levelId, title: levelTitle } = game.levels[level]
  const ranges = own
    ? game.levels.flatMap(({ id, title }, index) => {
        const there = own.filter((one) => one === index).length
        return there > 0 ? [{ levelId: id, title, children: there }] : []
      })
    : []
  return {
    ...place,
    levelId,
    levelTitle,
    ranges,
    ownLevels: Object.fromEntries(
      (own ?? []).flatMap((one, child) => (one === level ? [] : [[pupils[child].id, game.levels[one].id]])),
    ),
    sets,
    children: pupils.length,
    fitting,
    finishInSlot: finishOf(gameId, levelId, sets, plan.slotMinutes),
    chosen,
    pinned: plan.pinned.includes(cellKey(place.slot, place.group)),
  }
}

/** Chance that a game of the largest set ends in a slot; null: time-boxed. */
export function finishOf(
  game: string,
  level: string,
  sets: readonly number[],
  slotMinutes: number,
): number | null {
  const players = Math.max(1, ...sets)
  return analysisOf({ game, level, players, slotMinutes, games: playedHere }).minutes?.finishInSlot ?? null
}

/** What a level of a game needs, by set and player. */
export function materialsAt(gameId: string, levelId: string) {
  const game = gameOf(gameId)
  return game.materials(game.levels.find(({ id }) => id === levelId)!.params)
}
