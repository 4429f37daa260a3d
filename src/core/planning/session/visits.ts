import { gameOf } from '../../games'
import { splitIntoSets } from '../../games/engine/sets'
import type { InZone } from '../../grouping/in-zone'
import { eachItsOwn, type GroupingMode } from '../../grouping/making/mode'
import type { Seats } from '../seating/partners'
import type { Figures, KeptVisits, PlannedGroup, PlannedGrouping } from './context'
import { levelOfGroup, levelsGiven, type GroupLevel } from './levels'
import { stationAt, type Cell, type Plan } from './plan'
import { gamesThatFit } from './short'

/** A game that takes less than a third of its slot: what then. */
export interface ShortGame {
  /** Minutes within which half of the games end. */
  usualMinutes: number
  /** About so many fit into the slot. */
  games: number
  /** A level of the game that fits the group as well and takes longer; null: there is none. */
  longer: { levelId: string; title: string } | null
}

export interface PlannedVisit {
  slot: number
  stationId: string
  groupId: string
  levelId: string
  levelTitle: string
  /** No level is the group's: each child or pair has a range of its own. */
  eachItsOwn: boolean
  /** Where not all play at one level: each level with how many play at it; empty: one level for all. */
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
  /** Of the children known on what the game practises most: how many are in their zone. */
  zone: InZone
  /** Of those known, for whom it is too hard. */
  tooHard: number
  /** Chance that the largest set's game ends in the slot; null: time-boxed. */
  finishInSlot: number | null
  /** The game is usually over long before the slot; null: it is not. */
  short: ShortGame | null
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
    /** Levels of children that stay as a session was kept with them; null: those of now. */
    private readonly kept: KeptVisits | null = null,
  ) {
    this.groups = new Map(grouping.groups.map((group) => [group.id, group]))
  }

  get mode(): GroupingMode {
    return this.grouping.mode
  }

  /** At the level that fits, or at the one the teacher chose for all in the cell, or as it was kept. */
  of({ slot, stationId, groupId, levelId }: Cell): GroupLevel & { chosen: boolean } {
    const { gameId } = stationAt(this.plan, stationId)
    const index = gameOf(gameId).levels.findIndex(({ id }) => id === levelId)
    const kept = this.kept?.find((one) => one.slot === slot && one.groupId === groupId)
    if (index >= 0 && kept) return { ...this.asKept(gameId, groupId, index, kept.ownLevels), chosen: true }
    // Where each plays at its own there is no level to choose.
    if (index < 0 || eachItsOwn(this.grouping.mode))
      return { ...this.fits(stationId, groupId), chosen: false }
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

  at(gameId: string, groupId: string, chosen: number | null): GroupLevel {
    return levelOfGroup(gameId, this.groups.get(groupId)!, this.grouping, chosen, this.figures)
  }

  private asKept(
    gameId: string,
    groupId: string,
    level: number,
    ownLevels: Record<string, string>,
  ): GroupLevel {
    const { levels } = gameOf(gameId)
    const { pupils } = this.groups.get(groupId)!
    const own = pupils.map(({ id }) => levels.findIndex((one) => one.id === ownLevels[id]))
    return levelsGiven(
      gameId,
      pupils,
      level,
      own.map((at) => (at < 0 ? level : at)),
      this.figures,
    )
  }
}

/** All of a visit but who plays with whom. */
export type UnseatedVisit = Omit<PlannedVisit, 'seats' | 'partnersAgain'>

export function visitAt(plan: Plan, { pupils }: PlannedGroup, cell: Cell, table: LevelTable): UnseatedVisit {
  const { gameId } = stationAt(plan, cell.stationId)
  const game = gameOf(gameId)
  const { level, own, zone, tooHard, chosen } = table.of(cell)
  const sets = splitIntoSets(pupils.length, game.players)
  const { id: levelId, title: levelTitle } = game.levels[level]
  const each = eachItsOwn(table.mode)
  const ranges =
    own || each
      ? game.levels.flatMap(({ id, title }, index) => {
          const there = pupils.filter((_, child) => (own?.[child] ?? level) === index).length
          return there > 0 ? [{ levelId: id, title, children: there }] : []
        })
      : []
  return {
    slot: cell.slot,
    stationId: cell.stationId,
    groupId: cell.groupId,
    levelId,
    levelTitle,
    eachItsOwn: each,
    ranges,
    ownLevels: Object.fromEntries(
      (own ?? []).flatMap((one, child) => (one === level ? [] : [[pupils[child].id, game.levels[one].id]])),
    ),
    sets,
    children: pupils.length,
    zone,
    tooHard,
    short: each ? null : shortGame(plan, cell, sets, level, table),
    finishInSlot: finishOf(gameId, levelId, sets, plan.slotMinutes, table.figures),
    chosen,
    pinned: cell.pinned,
  }
}

/** What to do with a slot that the game of the largest set usually fills less than a third of. */
function shortGame(
  plan: Plan,
  cell: Cell,
  sets: readonly number[],
  level: number,
  table: LevelTable,
): ShortGame | null {
  const { gameId } = stationAt(plan, cell.stationId)
  const { levels } = gameOf(gameId)
  const { slotMinutes } = plan
  const players = Math.max(1, ...sets)
  const usual = (levelId: string) => table.figures.usualMinutes(gameId, levelId, players)
  const usualMinutes = usual(levels[level].id)
  const playing = (levelId: string) => slotMinutes - table.figures.around(gameId, levelId, players)
  const here = playing(levels[level].id)
  const games = usualMinutes === null ? null : gamesThatFit(usualMinutes, here)
  if (usualMinutes === null || games === null) return null
  const { fitting } = table.at(gameId, cell.groupId, level)
  const longer = levels.filter(({ id }, index) => {
    const minutes = usual(id)
    if (minutes === null || gamesThatFit(minutes, playing(id)) !== null) return false
    const finish = finishOf(gameId, id, sets, slotMinutes, table.figures)
    return (
      (finish ?? 1) >= likelyEnough && table.at(gameId, cell.groupId, index).fitting >= Math.max(1, fitting)
    )
  })[0]
  return {
    usualMinutes,
    games,
    longer: longer ? { levelId: longer.id, title: longer.title } : null,
  }
}

/** Ends in the slot so often: nobody need wait for the end. */
export const likelyEnough = 0.8

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
