import { z } from 'zod'
import { splitIntoSets } from '@/core/games/sets'
import { gameIdSchema, gameOf, games } from '@/core/games'
import { inBand, fitCost } from '@/core/grouping/fit-cost'
import { materialsOf, type Need } from '@/core/planning/materials'
import { groupingOf } from '@/data/queries/groupings'
import type { ClassScope } from '@/data/scope'
import { childrenOf, fittingBand, type Child } from './children'
import { classIdSchema } from './classes'
import { analysisOf, successAt, type FiguresInput } from './figures'
import { readingClass } from './use-case'

const gamesFilterSchema = classIdSchema.extend({
  /** Position of a group; null: any children. */
  group: z.number().int().min(0).nullable().default(null),
  slotMinutes: z.number().int().min(3).max(60).default(12),
  needs: z.enum(['any', 'no-dice']).default('any'),
})

export interface GameRow {
  id: string
  title: string
  summary: string
  level: string
  levelId: string
  players: { min: number; max: number }
  setOf: number
  minutes: { p10: number; p50: number; p90: number; finishInSlot: number } | null
  needs: string[]
  noise: number
  /** Children of the group inside their zone at the level; null where no group is chosen. */
  fitting: { of: number; inZone: number } | null
  fits: boolean
}

const likelyEnough = 0.8

/** The level of a game that costs these children least, the easiest where there are none. */
function bestLevel(gameId: string, children: readonly Child[]) {
  const success = successAt(
    gameId,
    children.map(({ rightAlone }) => rightAlone),
  )
  const costs = gameOf(gameId).levels.map((_, level) =>
    success.reduce((sum, row) => sum + fitCost(row[level], fittingBand), 0),
  )
  const level = costs.indexOf(Math.min(...costs))
  return { level, inZone: success.filter((row) => inBand(row[level], fittingBand)).length }
}

async function groupsWithChildren(scope: ClassScope) {
  const [grouping, children] = await Promise.all([groupingOf(scope), childrenOf(scope)])
  const groups = (grouping?.groups ?? []).map(({ pennant, pupils }) => ({
    pennant,
    children: children.filter(({ id }) => pupils.includes(id)),
  }))
  return { children, groups }
}

/** Every game, measured for a group and a slot. */
export const gamesPage = readingClass(gamesFilterSchema, async (scope, { group, slotMinutes, needs }) => {
  const { groups } = await groupsWithChildren(scope)
  const chosen = group === null ? null : (groups[group] ?? null)
  const rows = games.map((game): GameRow => {
    const { level, inZone } = bestLevel(game.id, chosen?.children ?? [])
    const { id: levelId, title, params } = game.levels[level]
    const sets = chosen ? splitIntoSets(chosen.children.length, game.players) : [game.players.typical]
    const setOf = Math.max(1, ...sets)
    const { minutes } = analysisOf({ game: game.id, level: levelId, players: setOf, slotMinutes })
    const items = game.materials(params).map(({ item }) => item)
    const rightNeeds = needs === 'any' || !items.includes('die')
    return {
      id: game.id,
      title: game.title,
      summary: game.summary,
      level: title,
      levelId,
      players: game.players,
      setOf,
      minutes: minutes && {
        p10: minutes.p10,
        p50: minutes.p50,
        p90: minutes.p90,
        finishInSlot: minutes.finishInSlot,
      },
      needs: items,
      noise: game.room.noise,
      fitting: chosen && { of: chosen.children.length, inZone },
      fits:
        rightNeeds &&
        (minutes === null || minutes.finishInSlot >= likelyEnough) &&
        (chosen === null || inZone * 2 >= chosen.children.length),
    }
  })
  return {
    rows,
    groups: groups.map(({ pennant }) => pennant),
    group: chosen ? group : null,
    slotMinutes,
    needs,
  }
})

const gamePageSchema = classIdSchema.extend({
  gameId: gameIdSchema,
  levelId: z.string().optional(),
  /** Rules changed by hand or by advice; null: those of the level. */
  params: z.unknown().optional(),
  players: z.number().int().min(1).max(8).optional(),
  slotMinutes: z.number().int().min(3).max(60).default(12),
})

export interface LevelRow {
  id: string
  title: string
  /** Children for whom this is the level that fits best. */
  children: string[]
}

/** One game at one level: what a slot of it comes to. */
export const gamePage = readingClass(
  gamePageSchema,
  async (scope, { gameId, levelId, params, players, slotMinutes }) => {
    const game = gameOf(gameId)
    const { children } = await groupsWithChildren(scope)
    const success = successAt(
      gameId,
      children.map(({ rightAlone }) => rightAlone),
    )
    const best = children.map((_, child) => {
      const costs = success[child].map((p) => fitCost(p, fittingBand))
      return costs.indexOf(Math.min(...costs))
    })
    const level = game.levels.find(({ id }) => id === levelId) ?? game.levels[mostCommon(best)]
    const changed = params === undefined ? null : game.params.safeParse(params)
    const rules = changed?.success ? changed.data : level.params
    const setOf = Math.min(game.players.max, players ?? game.players.typical)
    const input: FiguresInput = changed?.success
      ? { game: gameId, params: rules, players: setOf, slotMinutes }
      : { game: gameId, level: level.id, players: setOf, slotMinutes }
    const forChildren = setOf * 2
    return {
      game: {
        id: gameId,
        title: game.title,
        summary: game.summary,
        texts: game.texts,
        players: game.players,
        room: game.room,
      },
      level: { id: level.id, title: level.title },
      changed: changed?.success ? rules : null,
      refused: changed !== null && !changed.success ? changed.error.issues.map(({ message }) => message) : [],
      levels: game.levels.map(({ id, title }, index): LevelRow => ({
        id,
        title,
        children: children.filter((_, child) => best[child] === index).map(({ name }) => name),
      })),
      input,
      analysis: analysisOf(input),
      materials: { children: forChildren, needs: needsOf(gameId, rules, forChildren, setOf) },
    }
  },
)

function needsOf(gameId: string, params: unknown, children: number, setOf: number): Need[] {
  const game = gameOf(gameId)
  const sets = splitIntoSets(children, { ...game.players, typical: setOf })
  return materialsOf([{ slot: 0, station: 0, materials: game.materials(params), sets }], 1).all
}

/** The level that fits most children; the easiest where there are none. */
function mostCommon(levels: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const level of levels) counts.set(level, (counts.get(level) ?? 0) + 1)
  return [...counts].reduce((most, entry) => (entry[1] > most[1] ? entry : most), [0, 0])[0]
}
