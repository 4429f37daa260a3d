import { z } from 'zod'
import { gameIdSchema, gameOf, type AnyGame } from '../games'
import { playExactly, solve } from './exact'
import {
  deadShareOf,
  expectedDeadGoes,
  expectedGoes,
  goesOf,
  minutesOf,
  practiceOf,
  type Minutes,
  type Practice,
  type Spread,
} from './figures'
import { paceSchema } from './pace'
import type { Play, Sample } from './play'
import { simulateAll, type Simulation } from './simulate'

export const analyseInputSchema = z
  .object({
    game: gameIdSchema,
    params: z.unknown().optional(),
    level: z.string().optional(),
    players: z.number().int().min(1).max(8).optional(),
    slotMinutes: z.number().min(1).max(120).default(10),
    method: z.enum(['auto', 'exact', 'simulate']).default('auto'),
    choice: z.enum(['planner', 'novice']).default('planner'),
    games: z.number().int().min(1).max(1_000_000).default(20_000),
    seed: z.number().int().default(1),
    pace: paceSchema.prefault({}),
  })
  .transform((input, context) => {
    const game = gameOf(input.game)
    const params = levelParams(game, input, context)
    const players = input.players ?? game.players.typical
    if (players > game.players.max)
      context.addIssue({
        code: 'custom',
        path: ['players'],
        message: `${game.title} takes at most ${game.players.max} players.`,
      })
    return { ...input, game, params, players }
  })

/** Parsed: the game itself, its checked parameters and the players of the set. */
export type AnalyseInput = z.output<typeof analyseInputSchema>

function levelParams(
  game: AnyGame,
  { params, level }: { params?: unknown; level?: string },
  context: z.RefinementCtx,
) {
  if (level !== undefined && params === undefined) {
    const found = game.levels.find(({ id }) => id === level)
    if (found) return found.params
    const known = game.levels.map(({ id }) => id).join(', ')
    context.addIssue({
      code: 'custom',
      path: ['level'],
      message: `${game.title} has no level “${level}”. It has: ${known}.`,
    })
    return z.NEVER
  }
  const parsed = game.params.safeParse(params ?? game.levels[0].params)
  if (parsed.success) return parsed.data
  for (const { path, message } of parsed.error.issues)
    context.addIssue({ code: 'custom', path: ['params', ...path], message })
  return z.NEVER
}

export interface Analysis {
  method: 'exact' | 'simulated'
  /** Simulated games; null where exact. */
  games: number | null
  sample: Sample | null
  solo: { goes: number | null; deadGoes: number | null } | null
  set: { goes: Spread; distribution: Float64Array; deadShare: number; firstPlayerWins: number | null } | null
  minutes: Minutes | null
  practice: Practice | null
  /** Set where there are no figures: the end can't be reached. */
  reason?: 'never-ends'
}

/** The plan by which the games of an input are simulated. */
export function simulationOf(input: AnalyseInput, players = input.players): Simulation {
  const { game, params, choice, pace, games, seed } = input
  return { game, params, players, choice, pace, games, seed }
}

/**
 * The figures of a game: exact where the method allows and the chain is small enough, else simulated.
 * @throws {NoExactAnalysis} if `method` is `exact` and the game is too large for it
 */
export function analyse(input: AnalyseInput): Analysis {
  // Simulating a game with no end would take for ever: whether it ends is always asked of the chain.
  const solved = solve(input.game, input.params, input.choice, input.pace)
  if (solved === 'never-ends') return endless(input)
  if (solved === 'too-many-states' && input.method === 'exact') throw new NoExactAnalysis()
  if (solved === 'too-many-states' || input.method === 'simulate') return simulated(input)
  return compose(input, playExactly(solved, input.players, true), playExactly(solved, 1, false))
}

function simulated(input: AnalyseInput): Analysis {
  const set = simulateAll(simulationOf(input))
  return compose(input, set, input.players === 1 ? set : simulateAll(simulationOf(input, 1)))
}

/** Sums up what is known of a set and of one child alone. */
function compose(input: AnalyseInput, set: Play, solo: Play): Analysis {
  const tooFew = input.players < input.game.players.min
  return {
    method: set.sample ? 'simulated' : 'exact',
    games: set.sample?.games ?? null,
    sample: set.sample,
    solo: { goes: expectedGoes(solo), deadGoes: expectedDeadGoes(solo) },
    set: tooFew
      ? null
      : {
          goes: goesOf(set),
          distribution: set.goes.mass,
          deadShare: deadShareOf(set),
          firstPlayerWins: set.firstWins,
        },
    minutes: minutesOf(set.seconds ? set : simulateAll(simulationOf(input)), input.slotMinutes),
    practice: practiceOf(set, input.players),
  }
}

function endless({ method }: AnalyseInput): Analysis {
  return {
    method: method === 'simulate' ? 'simulated' : 'exact',
    games: null,
    sample: null,
    solo: { goes: null, deadGoes: null },
    set: null,
    minutes: null,
    practice: null,
    reason: 'never-ends',
  }
}

export class NoExactAnalysis extends Error {
  constructor() {
    super('This game has too many states for an exact analysis; ask for "auto" or "simulate".')
  }
}
