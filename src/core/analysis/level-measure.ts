import { z } from 'zod'
import { isAskedEnough, markedStep, type ProfileStep } from '../skills/marked-step'
import type { AnyGame } from '../games'
import { placeOf, strandIds } from '../skills'
import { tryChanges, withinMinutes, type Tried } from './advice'
import { analyse, type AnalyseInput } from './analyse'
import { focusedSteps, type Practice } from './figures'
import { defaultPace } from './pace'

/** Games for a level that has to be simulated: half-widths of a few per cent, enough to choose by. */
const gamesPlayed = 1000
/** The largest set that is measured beside the usual one. */
const largestSet = 6

export const levelMeasureSchema = z.object({
  players: z.number(),
  method: z.enum(['exact', 'simulated']),
  /** The largest number met, and the share of each skill step. */
  to: z.number(),
  steps: z.array(z.object({ strand: z.enum(strandIds), step: z.string(), share: z.number() })),
  /** The same of the items the game is for: what it is marked by. */
  marked: z.array(z.object({ strand: z.enum(strandIds), step: z.string(), share: z.number() })),
  itemsPerChildPer10Min: z.number(),
  waitingShare: z.number(),
  deadShare: z.number(),
  /** Length in minutes; null where the time ends the game. */
  minutes: z.object({ mean: z.number(), p10: z.number(), p50: z.number(), p90: z.number() }).nullable(),
  /** By the players of a set: P(the game ends within m minutes); null where the time ends it. */
  within: z.record(z.string(), z.array(z.number()).nullable()),
  /** Every change the game offers at this level, tried. */
  tried: z.custom<Tried>((value) => typeof value === 'object' && value !== null && 'changes' in value),
})

/** What a level of the catalogue comes to with its usual number of players, to choose and to fit by. */
export type LevelMeasure = z.infer<typeof levelMeasureSchema>

/** How a level is measured with sets of so many. */
const measuringInput = (game: AnyGame, params: unknown, players: number): AnalyseInput => ({
  game,
  params,
  players,
  slotMinutes: 10,
  method: 'auto',
  choice: 'planner',
  games: gamesPlayed,
  seed: 1,
  pace: defaultPace,
})

/**
 * Measures a level with the game's usual number of players (of a whole-class game: eight).
 * @throws if nothing is practised or the end can't be reached: no level of the catalogue may be like that
 */
export function measureLevel(game: AnyGame, params: unknown): LevelMeasure {
  const players = Math.min(8, game.players.typical)
  const input = measuringInput(game, params, players)
  const analysis = analyse(input)
  const { method, set, minutes, practice } = analysis
  if (!practice || !set) throw new Error(`${game.title}: a level that can’t be measured.`)
  return {
    players,
    method,
    to: practice.to,
    steps: practice.steps,
    marked: markedBy(game, params, practice),
    itemsPerChildPer10Min: practice.itemsPerChildPer10Min,
    waitingShare: practice.waitingShare,
    deadShare: set.deadShare,
    minutes: minutes && { mean: minutes.mean, p10: minutes.p10, p50: minutes.p50, p90: minutes.p90 },
    within: {
      [players]: withinMinutes(analysis),
      ...Object.fromEntries(
        otherSets(game, players).map((size) => [
          size,
          minutes ? withinMinutes(analyse(measuringInput(game, params, size))) : null,
        ]),
      ),
    },
    tried: tryChanges(input, analysis),
  }
}

/**
 * Steps that a level is marked by, as shares of all its items: what the game names, else what it is for, else all it
 * practises. What is not asked for often enough is passed over, whoever names it.
 */
function markedBy(game: AnyGame, params: unknown, { items, steps }: Practice): Practice['steps'] {
  const isEnough = (step: ProfileStep, among: readonly ProfileStep[]) =>
    isAskedEnough(
      step,
      among.filter(({ strand }) => strand === step.strand),
    )
  const wanted = game.marked?.(params)
  const place = wanted && ('op' in wanted ? placeOf(wanted) : wanted)
  const named = steps.find((step) => step.strand === place?.strand && step.step === place.step)
  if (named && isEnough(named, steps)) return [named]
  const focused = focusedSteps(items, game.focus?.(params))
  return isEnough(markedStep(focused), focused) ? focused : focusedSteps(items, undefined)
}

/** Sizes a group may be split into beside the usual one. */
function otherSets({ players: { min, max } }: AnyGame, usual: number): number[] {
  const sizes: number[] = []
  for (let size = min; size <= Math.min(max, largestSet); size++) if (size !== usual) sizes.push(size)
  return sizes
}

/** Minutes within which half of the games of a level end; null: the time ends it, or they last longer than is counted. */
export function usualMinutes(
  game: AnyGame,
  params: unknown,
  { within, minutes }: LevelMeasure,
  players: number,
): number | null {
  if (minutes === null) return null
  const known = within[players] ?? withinMinutes(analyse(measuringInput(game, params, players)))
  const full = known?.findIndex((share) => share >= 0.5) ?? -1
  if (!known || full < 1) return null
  // Between two whole minutes in proportion: half a minute and one are not the same slot.
  const [before, after] = [known[full - 1], known[full]]
  return full - 1 + (0.5 - before) / (after - before)
}

/** Chance that a game of a level ends in a slot of whole minutes; null: the time ends it. Measured where it was, else worked out. */
export function finishInSlot(
  game: AnyGame,
  params: unknown,
  { within, minutes }: LevelMeasure,
  players: number,
  slotMinutes: number,
): number | null {
  if (minutes === null) return null
  const known = within[players] ?? withinMinutes(analyse(measuringInput(game, params, players)))
  return known?.[Math.min(known.length - 1, slotMinutes)] ?? null
}
