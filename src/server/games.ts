import { z } from 'zod'
import { splitIntoSets } from '@/core/games/engine/sets'
import { adviceIn, type Advice } from '@/core/analysis/advice'
import { analyseInputSchema, type Analysis } from '@/core/analysis/analyse'
import { aroundPlay, type Around } from '@/core/analysis/around'
import type { LevelMeasure } from '@/core/analysis/level-measure'
import { gameIdSchema, gameOf, games, type AnyGame } from '@/core/games'
import { textsOf } from '@/core/games/texts'
import { strandIds } from '@/core/skills'
import { mayOfferToMost, type Beginner } from '@/core/evidence/begun'
import { markedStep } from '@/core/evidence/fit'
import type { YearGroup } from '@/core/evidence/prior'
import { inBand, fitCost } from '@/core/grouping/problem/fit-cost'
import { countInZone, type InZone } from '@/core/grouping/in-zone'
import { materialsOf, type Need } from '@/core/planning/materials'
import { workedOn } from '@/core/house-style'
import { groupingOf } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import type { ClassScope } from '@/data/scope'
import { childrenOf, fittingBand, type Child } from './children'
import { classIdSchema } from './classes'
import { habitsOf } from './habits'
import { levelMeasure, levelUse, mainStrand, successAt, type FiguresInput } from './figures'
import { soFar, stopAsking, type SoFar } from './heavy/threads'
import { pagesOfGame } from './print/print'
import { readingClass } from './use-case'

const gamesFilterSchema = classIdSchema.extend({
  /** Pennant of a group, by which it goes on through versions; null: any children. */
  group: z.number().int().min(0).nullable().default(null),
  slotMinutes: z.number().int().min(3).max(60).default(12),
  needs: z.enum(['any', 'no-dice', 'no-print']).default('any'),
  /** What is practised most. */
  strand: z.enum(strandIds).nullable().default(null),
  /** The largest number that may be met. */
  to: z.number().int().min(5).max(1000).nullable().default(null),
  /** Children who play together; null: any number. */
  players: z.number().int().min(1).max(34).nullable().default(null),
  adult: z.enum(['any', 'none']).default('any'),
  /** The loudest that is welcome. */
  noise: z.number().int().min(0).max(3).default(3),
})

export type GamesFilter = Omit<z.output<typeof gamesFilterSchema>, 'classId'>

export interface GameRow {
  id: string
  title: string
  summary: string
  level: string
  levelId: string
  players: { min: number; max: number }
  setOf: number
  /** From sitting down to packed up; null: the time ends it. */
  minutes: { p10: number; p50: number; p90: number; finishInSlot: number; method: Analysis['method'] } | null
  /** The largest number met. */
  to: number
  needs: string[]
  /** Children of the group inside their zone at the level; null where no group is chosen. */
  fitting: InZone | null
  fits: boolean
  /** Tried and quick to lay out: what a new user sees first. */
  starter: boolean
}

/** Eight to begin with: short, little to prepare, every strand of the first years. */
const starters = [
  'landfall',
  'tower-bay',
  'the-gap',
  'frame-up',
  'tens-catch',
  'bigger-haul',
  'perch',
  'two-halves',
]

const likelyEnough = 0.8

/** What may be offered is asked of a child as it was listed. */
const beginner = ({ followed, listed }: Child): Beginner => ({ followed, yearGroup: listed.yearGroup })

/** The level, of those allowed, that costs these children least; the easiest where there are none. */
function bestLevel(gameId: string, children: readonly Child[], allowed: readonly number[]) {
  const success = successAt(
    gameId,
    children.map(({ rightAlone }) => rightAlone),
  )
  const costs = gameOf(gameId).levels.map((_, level) =>
    allowed.length > 0 && !allowed.includes(level)
      ? Infinity
      : success.reduce((sum, row) => sum + fitCost(row[level], fittingBand), 0),
  )
  const level = costs.indexOf(Math.min(...costs))
  const strand = mainStrand(gameId)
  return {
    level,
    zone: countInZone(
      success.map((row, child) => ({
        success: row[level],
        known: !children[child].notKnown.includes(strand),
      })),
    ),
    fitting: success.filter((row) => inBand(row[level], fittingBand)).length,
  }
}

async function groupsWithChildren(scope: ClassScope) {
  const [grouping, children] = await Promise.all([groupingOf(scope), childrenOf(scope)])
  const groups = (grouping?.groups ?? []).map(({ pennant, pupils }) => ({
    pennant,
    children: children.filter(({ id }) => pupils.includes(id)),
  }))
  return { children, groups }
}

/** Every game, measured for a group and a slot, at the level that fits and that the filter allows. */
export const gamesPage = readingClass(
  'gamesPage',
  gamesFilterSchema,
  async (scope, { classId: _classId, ...filter }) => {
    const [{ children, groups }, { pace }, style] = await Promise.all([
      groupsWithChildren(scope),
      habitsOf(scope),
      houseStyleOf(scope),
    ])
    const worked = workedOn(style)
    const chosen = groups.find(({ pennant }) => pennant === filter.group) ?? null
    const offeredTo = (chosen?.children ?? children).map(beginner)
    const rows = games.map((game): GameRow => {
      const allowed = game.levels.flatMap(({ id }, index) => {
        const measure = levelMeasure(game.id, id)
        // Who asks for a strand by its name need not wait until it is begun, or worked on.
        const mayBe =
          filter.strand !== null ||
          (worked.includes(markedStep(measure.marked).strand) && mayOfferToMost(measure, offeredTo))
        return suits(measure, filter) && mayBe ? [index] : []
      })
      const { level, zone, fitting } = bestLevel(game.id, chosen?.children ?? [], allowed)
      const { id: levelId, title } = game.levels[level]
      const { players: setOf, to, method, minutes: measured, within } = levelMeasure(game.id, levelId)
      const minutes = measured && timesPace(measured, pace.factor)
      const { needs, around } = levelUse(game.id, levelId, setOf)
      const setAside = pace.factor * around
      const playing = Math.max(0, filter.slotMinutes - setAside)
      const finishInSlot = shareWithin(within[setOf], playing / pace.factor) ?? 1
      return {
        id: game.id,
        title: game.title,
        summary: game.summary,
        level: title,
        levelId,
        players: game.players,
        setOf,
        minutes: minutes && {
          p10: minutes.p10 + setAside,
          p50: minutes.p50 + setAside,
          p90: minutes.p90 + setAside,
          finishInSlot,
          method,
        },
        to,
        needs,
        fitting: chosen && zone,
        fits:
          allowed.length > 0 &&
          suitsRoom(game, needs, filter) &&
          (!game.room.timed || !tooYoungForTheClock.includes(scope.classroom.yearGroup)) &&
          finishInSlot >= likelyEnough &&
          (chosen === null || fitting * 2 >= chosen.children.length),
        starter: starters.includes(game.id),
      }
    })
    return {
      rows,
      groups: groups.map(({ pennant }) => pennant),
      filter: { ...filter, group: chosen ? filter.group : null },
      pace,
    }
  },
)

const timesPace = ({ p10, p50, p90 }: { p10: number; p50: number; p90: number }, factor: number) => ({
  p10: p10 * factor,
  p50: p50 * factor,
  p90: p90 * factor,
})

/** Share of games that end within some minutes, between whole ones in proportion; null: time-boxed or not measured. */
function shareWithin(within: number[] | null | undefined, minutes: number): number | null {
  if (!within) return null
  const at = Math.min(within.length - 1, minutes)
  const before = Math.floor(at)
  return within[before] + (within[Math.ceil(at)] - within[before]) * (at - before)
}

/** Whether a level practises what is asked for, within the range. */
function suits({ steps, to }: LevelMeasure, { strand, to: most }: GamesFilter): boolean {
  const share = steps.filter((step) => step.strand === strand).reduce((sum, step) => sum + step.share, 0)
  return (strand === null || share >= worthPractising) && (most === null || to <= most)
}

/** From this share of its items on a level counts as practising a strand. */
const worthPractising = 0.25

/** Timed tasks worry younger children. */
const tooYoungForTheClock: YearGroup[] = ['Reception', 'Year 1']

/** Whether a game suits the room: what has to be found, who plays, who is near, how loud it gets. */
function suitsRoom({ players, room }: AnyGame, items: readonly string[], filter: GamesFilter): boolean {
  if (filter.needs === 'no-dice' && items.some((item) => /\bdie\b/.test(item))) return false
  if (
    filter.needs === 'no-print' &&
    items.some((item) => /sheet|board|card|track|strip|grid|mat\b|path/.test(item))
  )
    return false
  if (filter.players !== null && (filter.players < players.min || filter.players > players.max)) return false
  if (filter.adult === 'none' && room.adult) return false
  return room.noise <= filter.noise
}

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
  /** Children for whom this is the level that fits best. */
  children: string[]
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
    const [{ children }, { pace }, { coinage }] = await Promise.all([
      groupsWithChildren(scope),
      habitsOf(scope),
      houseStyleOf(scope),
    ])
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
        children: children.filter((_, child) => best[child] === index).map(({ name }) => name),
      })),
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

/** The level that fits most children; the easiest where there are none. */
function mostCommon(levels: readonly number[]): number {
  const counts = new Map<number, number>()
  for (const level of levels) counts.set(level, (counts.get(level) ?? 0) + 1)
  return [...counts].reduce((most, entry) => (entry[1] > most[1] ? entry : most), [0, 0])[0]
}
