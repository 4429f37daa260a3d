import { adviceIn, tryChanges, type Advice } from '@/core/analysis/advice'
import { analyse, analyseInputSchema, type Analysis } from '@/core/analysis/analyse'
import { strainOf, type Strain } from '@/core/analysis/strain'
import { factTable, type FactTable } from '@/core/analysis/fact-table'
import type { Practice } from '@/core/analysis/figures'
import { aroundMinutes } from '@/core/analysis/around'
import { finishInSlot, usualMinutes } from '@/core/analysis/level-measure'
import { throughHistory, type Counted, type PlacedOn } from '@/core/evidence/history'
import { gameOf, games } from '@/core/games'
import { pictureOf } from '@/core/games/playing/showing'
import { stepPictures, type StepPicture } from '@/core/games/playing/step-pictures'
import { textsOf } from '@/core/games/texts'
import type { Layout, Scene } from '@/core/table'
import { demonstrate, type Demonstration } from '@/core/games/engine/demonstration'
import { schoolDaysBetween, type Day } from '@/core/planning/calendar'
import type { Figures, PlanContext } from '@/core/planning/session/context'
import type { Happened } from '@/core/planning/replan/happened'
import type { Running, Way } from '@/core/planning/replan/running'
import { waysToGoOn } from '@/core/planning/replan/ways'
import { firstPlan } from '@/core/planning/session/first-plan'
import { otherGames, type OtherGame } from '@/core/planning/session/other-games'
import type { Plan, SessionFrame } from '@/core/planning/session/plan'
import { workOut, type PlanView } from '@/core/planning/session/work-out'
import type { Coinage } from '@/core/skills/coins'
import { playedAtHome, type HomeGame } from '@/core/printing/home-kit'
import { pagesOf, type Job } from '@/core/printing/pages'
import { pagesInCoinage } from '@/core/printing/in-coinage'
import { TooMuch } from '@/core/printing/too-much'
import { countsToPrint, type Kept } from '@/core/printing/to-print'
import type { Page } from '@/core/printing/pack'
import { levelMeasure, practised, type FiguresInput } from '../figures'
import { pileOf, type PileSource } from '../print/source'

const known = new Map<string, number | null>()

const paramsOf = (gameId: string, levelId: string) =>
  gameOf(gameId).levels.find(({ id }) => id === levelId)!.params

/** Chance that a game ends within whole minutes of play; of sets of a size that was not measured, worked out once. */
function finishWithin(gameId: string, levelId: string, players: number, minutes: number): number | null {
  const key = `${gameId} ${levelId} ${players} ${minutes}`
  const found = known.get(key)
  if (found !== undefined) return found
  const params = paramsOf(gameId, levelId)
  const made = finishInSlot(gameOf(gameId), params, levelMeasure(gameId, levelId), players, minutes)
  known.set(key, made)
  return made
}

const around = (gameId: string, levelId: string, players: number) =>
  aroundMinutes(gameOf(gameId), paramsOf(gameId, levelId), players)

/** Measured figures. */
const figures: Figures = {
  ...practised,
  around,
  finish(gameId, levelId, players, slotMinutes) {
    const playing = Math.max(0, slotMinutes - around(gameId, levelId, players))
    const whole = Math.floor(playing)
    const [before, after] = [whole, whole + 1].map((m) => finishWithin(gameId, levelId, players, m))
    // Between two whole minutes in proportion.
    return before === null || after === null ? null : before + (after - before) * (playing - whole)
  },
  usualMinutes(gameId, levelId, players) {
    const game = gameOf(gameId)
    const { params } = game.levels.find(({ id }) => id === levelId)!
    return usualMinutes(game, params, levelMeasure(gameId, levelId), players)
  },
}

/** An analysis as a page needs it: its facts in a table, for a level may have ten thousand of them. */
export interface LevelFigures extends Omit<Analysis, 'practice'> {
  practice: (Omit<Practice, 'items'> & { facts: FactTable }) | null
}

function forPage({ practice, ...analysis }: Analysis): LevelFigures {
  if (!practice) return { ...analysis, practice }
  const { items, ...rest } = practice
  return { ...analysis, practice: { ...rest, facts: factTable(items) } }
}

export interface LevelPictures {
  table: { layout: Layout; scene: Scene }
  /** One for each step; null: its sign says it all. */
  steps: (StepPicture | null)[]
}

/** What is worked out beside the server's own thread. */
export const jobs = {
  analyse: (input: FiguresInput): LevelFigures => forPage(analyse(analyseInputSchema.parse(input))),

  advise: (input: FiguresInput): Advice[] => {
    const parsed = analyseInputSchema.parse(input)
    return adviceIn(tryChanges(parsed, analyse(parsed)), parsed.slotMinutes)
  },

  /** What is hard to bear in it: of games that are played. */
  strain: (input: FiguresInput): Strain => {
    const { game, params, players, choice } = analyseInputSchema.parse(input)
    return strainOf(game, params, players, choice)
  },

  /** The round of a level that shows most of its rules. */
  demonstrate: ({
    game: id,
    level,
    players,
  }: {
    game: string
    level: string
    players: number
  }): Demonstration => {
    const game = gameOf(id)
    return demonstrate(game, game.levels.find((one) => one.id === level)!.params, players)
  },

  /** What a level looks like: its table after a few goes, and each step of a child; chosen by playing it. */
  pictures: ({ game: id, params }: { game: string; params: unknown }): LevelPictures => {
    const game = gameOf(id)
    const gestures = textsOf(id, params).steps.map(([gesture]) => gesture)
    return { table: pictureOf(game, params), steps: stepPictures(game, params, gestures) }
  },

  throughHistory: ({ placed, history }: { placed: PlacedOn; history: Counted[] }) =>
    throughHistory(placed, history, schoolDaysBetween),

  firstPlan: ({
    today,
    context,
    frame,
  }: {
    today: Day
    context: PlanContext
    /** Of the session before; left out: the usual one. */
    frame?: SessionFrame
  }): Plan => firstPlan(today, context, figures, () => crypto.randomUUID(), frame),

  otherGames: ({ context, slotMinutes }: { context: PlanContext; slotMinutes: number }): OtherGame[] =>
    otherGames(context, slotMinutes, figures),

  workOut: ({ plan, context }: { plan: Plan; context: PlanContext }): PlanView =>
    workOut(plan, context, figures),

  /** Ways to go on with a session in which something went wrong. */
  waysToGoOn: ({
    running,
    happened,
    context,
  }: {
    running: Running
    happened: Happened
    context: PlanContext
  }): Way[] => waysToGoOn(running, happened, context, figures),

  /** The pages of what is to be printed; words, where they would be too many. */
  pages: ({
    source,
    job,
    coinage,
  }: {
    source: PileSource
    job: Job
    coinage: Coinage
  }): Page[] | { tooMuch: string } => {
    try {
      return pagesInCoinage(pagesOf(pileOf(source), job), coinage)
    } catch (error) {
      if (error instanceof TooMuch) return { tooMuch: error.message }
      throw error
    }
  },

  /** How many pages there are for what is needed and not in the bags; null: more than are printed in one go. */
  pagesToPrint: ({ source, kept }: { source: PileSource; kept: [string, Kept][] }): number | null => {
    const pile = pileOf(source)
    try {
      const counts = countsToPrint(pile.bundles, new Map(kept))
      return pagesOf(pile, { paper: 'A4', backs: 'none', seed: 1, taskCards: 'small', counts }).length
    } catch (error) {
      if (error instanceof TooMuch) return null
      throw error
    }
  },

  /** Every level that two can play at a table at home. */
  homeLevels: (_: Record<never, never>): HomeGame[] =>
    games.flatMap((game) =>
      game.levels
        .filter(({ params }) => playedAtHome(game, params))
        .map(({ id }) => ({ gameId: game.id, levelId: id })),
    ),
}

export type HeavyJobs = typeof jobs
