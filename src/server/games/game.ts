import { z } from 'zod'
import { splitIntoSets } from '@/core/games/engine/sets'
import { adviceIn, type Advice } from '@/core/analysis/advice'
import { analyseInputSchema } from '@/core/analysis/analyse'
import { aroundPlay, type Around } from '@/core/analysis/around'
import type { LevelMeasure } from '@/core/analysis/level-measure'
import { gameIdSchema, gameOf, usualLevel, type AnyGame } from '@/core/games'
import { textsOf } from '@/core/games/texts'
import { inBand } from '@/core/grouping/problem/fit-cost'
import { materialsOf, type Need } from '@/core/planning/materials'
import { houseStyleOf } from '@/data/queries/house-style'
import { childrenOf, fittingBand } from '../children'
import { classIdSchema } from '../classes'
import { levelMeasure, successAt, type FiguresInput } from '../figures'
import { habitsOf } from '../habits'
import { soFar, stopAsking, type SoFar } from '../heavy/threads'
import { pagesOfGame } from '../print/print'
import { readingClass } from '../use-case'
import { shareWithin, timesPace } from './minutes'

/** Games played for a page where there is no exact figure; more are played in the browser. */
const playedHere = 2000

const gameViews = ['play', 'teach', 'figures'] as const
export type GameView = (typeof gameViews)[number]

const gamePageSchema = classIdSchema.extend({
  gameId: gameIdSchema,
  levelId: z.string().optional(),
  /** Rules changed by hand or by advice; null: those of the level. */
  params: z.unknown().optional(),
  players: z.number().int().min(1).max(34).optional(),
  slotMinutes: z.number().int().min(3).max(60).default(12),
  /** What is looked at: how it is played, how it is taught, what it comes to. */
  view: z.enum(gameViews).default('play').catch('play'),
})

export interface LevelRow {
  id: string
  title: string
  /** Children who are in their zone here, each at the level that suits it best. */
  children: string[]
}

/** Children whom no level of a game fits, by why. */
export interface NoLevel {
  /** Every level is too hard for them, or for what they have not begun. */
  tooHard: string[]
  tooEasy: string[]
  /** One level is too easy and the next too hard. */
  between: string[]
}

/** What was measured of a level when this version was set up: known at once, whatever else is still worked out. */
export interface KnownFigures {
  finishInSlot: number | null
  minutes: LevelMeasure['minutes']
  /** Players the minutes were measured for. */
  players: number
}

/** One game at one level: what a slot of it comes to, as far as it is known by now. */
export const gamePage = readingClass(
  'gamePage',
  gamePageSchema,
  async (scope, { gameId, levelId, params, players, slotMinutes, view }) => {
    const game = gameOf(gameId)
    const [children, { pace }, { coinage }] = await Promise.all([
      childrenOf(scope),
      habitsOf(scope),
      houseStyleOf(scope),
    ])
    const success = successAt(gameId, children)
    const suiting = success.map(suitingLevel)
    const level =
      game.levels.find(({ id }) => id === levelId) ?? game.levels[mostCommon(suiting)] ?? usualLevel(game)
    const changed = params === undefined ? null : game.params.safeParse(params)
    const rules = changed?.success ? changed.data : level.params
    const setOf = Math.min(game.players.max, Math.max(game.players.min, players ?? game.players.typical))
    const around = aroundPlay(game, rules, setOf)
    const setAside = pace.factor * (around.setUp + around.packUp)
    // To the second: what is left of the slot to play in.
    const playing = Math.max(1, Math.round(60 * (slotMinutes - setAside)) / 60)
    const asked = {
      players: setOf,
      slotMinutes: playing,
      games: playedHere,
      // Left out where it is the usual one: then everything was measured beforehand.
      ...(pace.factor === 1 ? {} : { pace: { factor: pace.factor } }),
    }
    const input: FiguresInput = changed?.success
      ? { game: gameId, params: rules, ...asked }
      : { game: gameId, level: level.id, ...asked }
    const measure = levelMeasure(gameId, level.id)
    const figures =
      view === 'figures'
        ? await figuresOf(game, input, changed?.success || pace.factor !== 1 ? null : measure)
        : null
    // Two sets beside each other; of a whole-class game there is one.
    const forChildren = game.room.whole ? setOf : setOf * 2
    return {
      game: {
        id: gameId,
        title: game.title,
        summary: game.summary,
        players: game.players,
        room: game.room,
      },
      level: { id: level.id, title: level.title },
      changed: changed?.success ? rules : null,
      refused: changed !== null && !changed.success ? changed.error.issues.map(({ message }) => message) : [],
      levels: game.levels.map(({ id, title }, index): LevelRow => ({
        id,
        title,
        children: children.filter((_, child) => suiting[child] === index).map(({ name }) => name),
      })),
      noLevel: noLevelOf(
        children.map(({ name }) => name),
        success,
      ),
      view,
      texts: textsOf(gameId, rules, coinage),
      /** The rules as they are played. */
      rules,
      input,
      /** Worked out where they are looked at. */
      figures,
      pace,
      slotMinutes,
      around: { setUp: pace.factor * around.setUp, packUp: pace.factor * around.packUp } satisfies Around,
      known: changed?.success ? null : knownOf(measure, setOf, playing, pace.factor),
      pages: await pagesOfGame(scope, gameId, level.id, forChildren),
      materials: { children: forChildren, needs: needsOf(gameId, rules, forChildren, setOf) },
    }
  },
)

async function figuresOf(game: AnyGame, input: FiguresInput, measure: LevelMeasure | null) {
  const [analysis, byChance, strain, advice] = await Promise.all([
    soFar('analyse', input),
    chosenByChance(game, input),
    soFar('strain', input),
    adviceFor(input, measure),
  ])
  return { analysis, byChance, strain: strain.state === 'done' ? strain.value : null, advice }
}

/** Mean goes where children choose by chance; null where there is nothing to choose, or the time ends the game. */
async function chosenByChance(game: AnyGame, input: FiguresInput): Promise<number | null> {
  if (!game.planner) return null
  const found = await soFar('analyse', { ...input, choice: 'novice', games: 1000 })
  return found.state === 'done' ? (found.value.set?.goes?.mean ?? null) : null
}

/** Advice was tried beforehand for the usual sets of every level; for others it is worked out now. */
async function adviceFor(input: FiguresInput, measure: LevelMeasure | null): Promise<SoFar<Advice[]>> {
  if (measure && measure.players === input.players)
    return { state: 'done', value: adviceIn(measure.tried, input.slotMinutes ?? 12) }
  return soFar('advise', input)
}

function knownOf(
  { players, minutes, within }: LevelMeasure,
  setOf: number,
  playing: number,
  factor: number,
): KnownFigures {
  return {
    players,
    minutes: minutes && { mean: minutes.mean * factor, ...timesPace(minutes, factor) },
    finishInSlot: shareWithin(within[setOf], playing / factor),
  }
}

/** The adult waits no longer for the figures of a game. */
export const stopWaiting = readingClass(
  'stopWaiting',
  classIdSchema.extend({ input: analyseInputSchema.in }),
  async (_scope, { input }) => stopAsking(input),
)

function needsOf(gameId: string, params: unknown, children: number, setOf: number): Need[] {
  const game = gameOf(gameId)
  const sets = splitIntoSets(children, { ...game.players, typical: setOf })
  return materialsOf([{ slot: 0, station: 0, materials: game.materials(params), sets }], 1).all
}

const middle = (fittingBand[0] + fittingBand[1]) / 2

/** Of the levels at which a child is in its zone the nearest to its middle; −1: there is none. */
function suitingLevel(success: readonly number[]): number {
  const off = (level: number) => Math.abs(success[level] - middle)
  return success.reduce(
    (best, share, level) =>
      inBand(share, fittingBand) && (best < 0 || off(level) < off(best)) ? level : best,
    -1,
  )
}

function noLevelOf(names: readonly string[], success: readonly number[][]): NoLevel {
  const [low, high] = fittingBand
  const those = (all: (row: readonly number[]) => boolean) =>
    names.filter((_, child) => suitingLevel(success[child]) < 0 && all(success[child]))
  const hard = (row: readonly number[]) => row.every((share) => share < low)
  const easy = (row: readonly number[]) => row.every((share) => share > high)
  return {
    tooHard: those(hard),
    tooEasy: those(easy),
    between: those((row) => !hard(row) && !easy(row)),
  }
}

/** The level that fits most children; −1 where none fits any. */
function mostCommon(levels: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const level of levels) if (level >= 0) counts.set(level, (counts.get(level) ?? 0) + 1)
  return [...counts].reduce((most, entry) => (entry[1] > most[1] ? entry : most), [-1, 0])[0]
}
