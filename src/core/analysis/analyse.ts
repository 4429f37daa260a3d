import { z } from 'zod'
import { gameIdSchema, gameOf, usualLevel, type AnyGame } from '../games'
import { playExactly, solve } from './exact'
import {
  deadShareOf,
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
import type { Distribution } from '../chance/distribution'

/** Games simulated where none are asked for, unless the intervals are narrow before. */
const MOST_GAMES = 20_000

export const analyseInputSchema = z
  .object({
    game: gameIdSchema,
    params: z.unknown().optional(),
    level: z.string().optional(),
    players: z.number().int().min(1).max(40).optional(),
    slotMinutes: z.number().min(1).max(120).default(10),
    method: z.enum(['auto', 'exact', 'simulate']).default('auto'),
    choice: z.enum(['planner', 'novice']).default('planner'),
    /** Left out: until the intervals are narrow, 20 000 at most. */
    games: z.number().int().min(1).max(1_000_000).optional(),
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
  const parsed = game.params.safeParse(params ?? usualLevel(game).params)
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
  /** One player alone; null where the game needs another, or the time ends it. */
  solo: { goes: number | null; deadGoes: number | null } | null
  set: {
    /** Null where the time ends the game. */
    goes: Spread | null
    distribution: Distribution | null
    deadShare: number
    firstPlayerWins: number | null
  } | null
  minutes: Minutes | null
  practice: Practice | null
  /** Figures that only this game has. */
  own: Record<string, unknown>
  /** Why figures are missing: the end can't be reached, or the time is what ends the game. */
  reason?: 'never-ends' | 'time-boxed'
}

/** The plan by which the games of an input are simulated. */
export function simulationOf(input: AnalyseInput, players = input.players): Simulation {
  const { game, params, choice, pace, games, seed } = input
  const plan = { game, params, players, choice, pace, seed }
  return { ...plan, games: games ?? MOST_GAMES, untilPrecise: games === undefined }
}

/**
 * The figures of a game: exact where the method allows and the chain is small enough, else simulated.
 * @throws {NoExactAnalysis} if `method` is `exact` and the game is too large for it
 */
export function analyse(input: AnalyseInput): Analysis {
  const { game, params, players, choice, pace, method } = input
  // A game with no end need not be simulated to be told: where the chain is small, it is asked.
  const effort = method === 'simulate' ? 'a-moment' : 'as-needed'
  const solved = solve(game, params, players, choice, pace, effort)
  if (solved === 'never-ends') return endless(input)
  if (solved === 'too-many-states' && method === 'exact') throw new NoExactAnalysis()
  if (solved === 'too-many-states' || method === 'simulate') return simulated(input)
  const set = playExactly(solved, players, true)
  const dependent = players > 1 && (game.interaction === 'contest' || game.goes === 'call')
  return compose(input, set, dependent ? soloOf(input) : set.alone)
}

function simulated(input: AnalyseInput): Analysis {
  const set = simulateAll(simulationOf(input))
  if (set.sample!.unended === set.sample!.games) return endless(input)
  return compose(input, set, set.alone ?? soloOf(input))
}

/** One player alone, or null where the game needs another. */
function soloOf(input: AnalyseInput): Play['alone'] {
  const { game, params, choice, pace } = input
  if (game.players.min > 1) return null
  const solved = solve(game, params, 1, choice, pace)
  if (typeof solved !== 'string' && input.method !== 'simulate') return playExactly(solved, 1, false).alone
  return simulateAll(simulationOf(input, 1)).alone
}

/** Sums up what is known of a set and of one child alone. */
function compose(input: AnalyseInput, set: Play, solo: Play['alone']): Analysis {
  const { game, players, params, slotMinutes } = input
  const tooFew = players < game.players.min
  const timeBoxed = set.goes === null
  const long = timeBoxed || set.seconds ? set : simulateAll(simulationOf(input))
  return {
    method: set.sample ? 'simulated' : 'exact',
    games: set.sample?.games ?? null,
    sample: set.sample,
    solo: timeBoxed || !solo ? null : { goes: solo.goes, deadGoes: solo.dead },
    set: tooFew
      ? null
      : {
          goes: goesOf(set),
          distribution: set.goes,
          deadShare: deadShareOf(set),
          firstPlayerWins: set.firstWins,
        },
    minutes: minutesOf(long, slotMinutes),
    practice: practiceOf(set, players),
    own: game.figures?.(params, players) ?? {},
    ...(timeBoxed ? { reason: 'time-boxed' as const } : {}),
  }
}

function endless({ method, game, params, players }: AnalyseInput): Analysis {
  return {
    method: method === 'simulate' ? 'simulated' : 'exact',
    games: null,
    sample: null,
    solo: { goes: null, deadGoes: null },
    set: null,
    minutes: null,
    practice: null,
    own: game.figures?.(params, players) ?? {},
    reason: 'never-ends',
  }
}

export class NoExactAnalysis extends Error {
  constructor() {
    super('This game has too many states for an exact analysis; ask for "auto" or "simulate".')
  }
}
