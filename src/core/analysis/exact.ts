import { alwaysEnds, evolve } from '../chance/chain'
import type { Branch } from '../chance/enumerate'
import { certainly, largestOf, mean, sumOf, type Distribution } from '../chance/distribution'
import type { SameLawEachGo, AnyGame, Choice, GameState } from '../games'
import { buildGoChain, goBranches, type GoChain, type GoOutcome } from './go-chain'
import { countItems } from './items'
import { drawnSeconds, lattice } from './minutes'
import type { Pace } from './pace'
import type { Play } from './play'

/** Why a game's figures cannot be had exactly. */
export type Unsolved = 'too-many-states' | 'never-ends'

/** A game ready for exact figures: its chain, or the law of one go where every go has the same. */
export type Solved =
  | { kind: 'chain'; game: AnyGame; chain: GoChain }
  | { kind: 'same-law'; game: AnyGame; law: SameLawEachGo; branches: readonly WeightedOutcome[] }

interface WeightedOutcome {
  outcome: GoOutcome
  probability: number
}

/**
 * Explores the game for sets of `players`. Only where one call serves all, or where what one does
 * changes what others can do, does the exploration depend on their number.
 */
export function solve(
  game: AnyGame,
  params: unknown,
  players: number,
  choice: Choice,
  pace: Pace,
  effort: 'as-needed' | 'a-moment' = 'as-needed',
): Solved | Unsolved {
  const explored = game.goes === 'call' || game.interaction === 'contest' ? players : 1
  if (game.tooMany?.(params) || (players > 1 && (game.throwsAgain?.(params) || game.contested?.(params))))
    return 'too-many-states'
  const law = game.sameLawEachGo?.(params)
  if (law) {
    const branches = goBranches(game, game.setup(params, explored) as GameState, choice, pace)
    if (!branches) return 'too-many-states'
    return { kind: 'same-law', game, law, branches: weighted(branches) }
  }
  const chain =
    effort === 'a-moment'
      ? buildGoChain(game, params, explored, choice, pace, 1_000, 10_000)
      : buildGoChain(game, params, explored, choice, pace)
  if (!chain) return 'too-many-states'
  return alwaysEnds(chain) ? { kind: 'chain', game, chain } : 'never-ends'
}

const weighted = (branches: readonly Branch<{ outcome: GoOutcome }>[]): WeightedOutcome[] =>
  branches.map(({ probability, result }) => ({ outcome: result.outcome, probability }))

/**
 * Exact figures of a set of `players`.
 * @param seconds whether the law of the game's length in seconds is wanted too: it costs more than the rest
 */
export function playExactly(solved: Solved, players: number, seconds: boolean): Play {
  const { game } = solved
  const racers = solved.kind === 'chain' && game.interaction === 'race' && players > 1 ? players : 1
  const one =
    solved.kind === 'chain' ? playChain(solved.chain, racers, seconds) : playSameLaw(solved, seconds)
  // Each on an own board at once: until the slowest is through. Each an own round in turn: one after another.
  if (game.goes === 'parallel') return together(one, players, largestOf)
  return game.interaction === 'rounds' ? together(one, players, sumOf) : one
}

/**
 * One board, or a race: the tracks are independent, so P(go t of player j happens) is a product of the
 * solo survival function S: players before j are unfinished after t goes, those behind after t − 1.
 */
function playChain(chain: GoChain, racers: number, seconds: boolean): Play {
  const visits = new Float64Array(chain.states)
  const soloVisits = new Float64Array(chain.states)
  const ends: number[] = [0]
  let unfinished = 1
  let firstWins = 0

  for (const { time, before, absorbed, surviving } of evolve(chain)) {
    let chances = 0
    for (let ahead = 0; ahead < racers; ahead++) {
      const others = surviving ** ahead * unfinished ** (racers - 1 - ahead)
      chances += others
      ends[(time - 1) * racers + ahead + 1] = absorbed * others
    }
    firstWins += absorbed * unfinished ** (racers - 1)
    for (let state = 0; state < chain.states; state++) {
      visits[state] += before[state] * chances
      soloVisits[state] += before[state]
    }
    unfinished = surviving
  }

  return {
    goes: { from: 0, mass: Float64Array.from(ends) },
    firstWins: racers > 1 ? firstWins : null,
    ...expectedOf(timesOf(chain, visits)),
    alone: aloneOf(timesOf(chain, soloVisits)),
    seconds: seconds ? lattice(chain, racers) : null,
    sample: null,
  }
}

/** How often each kind of go is to be expected, from the visits to the states. */
function timesOf(chain: GoChain, visits: Float64Array): WeightedOutcome[] {
  const times = new Float64Array(chain.outcomes.length)
  for (let state = 0; state < chain.states; state++)
    for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++)
      times[chain.outcome[branch]] += visits[state] * chain.probability[branch]
  return chain.outcomes.map((outcome, index) => ({ outcome, probability: times[index] }))
}

function aloneOf(times: readonly WeightedOutcome[]): { goes: number; dead: number } {
  const alone = { goes: 0, dead: 0 }
  for (const { outcome, probability } of times) {
    alone.goes += probability
    if (outcome.dead) alone.dead += probability
  }
  return alone
}

/** Goes of one law: as many as are known beforehand, or one where the time ends the game. */
function playSameLaw({ law, branches }: Extract<Solved, { kind: 'same-law' }>, seconds: boolean): Play {
  const goes = law.goes
  const times = branches.map(({ outcome, probability }) => ({
    outcome,
    probability: probability * (goes ?? 1),
  }))
  return {
    goes: goes === null ? null : certainly(goes),
    firstWins: null,
    ...expectedOf(times),
    alone: aloneOf(times),
    seconds: seconds && goes !== null ? secondsOf(branches, goes, law.pack) : null,
    sample: null,
  }
}

/** Seconds of `goes` goes: whole packs turned, and the rest of a pack drawn without putting back. */
function secondsOf(branches: readonly WeightedOutcome[], goes: number, pack: number | null): Distribution {
  // A pack whose cards turn out in several ways each is treated as goes that stand by themselves.
  if (pack === null || pack !== branches.length) {
    const most = branches.reduce((longest, { outcome }) => Math.max(longest, outcome.seconds), 0)
    const mass = new Float64Array(most + 1)
    for (const { outcome, probability } of branches) mass[outcome.seconds] += probability
    return sumOf({ from: 0, mass }, goes)
  }
  const each = branches.map(({ outcome }) => outcome.seconds)
  const wholePacks = Math.floor(goes / pack)
  const rest = drawnSeconds(each, goes - wholePacks * pack)
  return { ...rest, from: rest.from + wholePacks * each.reduce((sum, s) => sum + s, 0) }
}

function expectedOf(times: readonly WeightedOutcome[]): Pick<Play, 'expected' | 'items'> {
  const expected = { goes: 0, dead: 0, seconds: 0, active: 0 }
  const items = countItems()
  for (const { outcome, probability } of times) {
    expected.goes += probability
    if (outcome.dead) expected.dead += probability
    expected.seconds += probability * outcome.seconds
    expected.active += probability * outcome.active
    for (const item of outcome.items) items.add(item, probability)
  }
  return { expected, items: items.list() }
}

/** `players` boards or rounds of which `one` is each; `combine` says how their lengths make the game's. */
function together(
  one: Play,
  players: number,
  combine: (law: Distribution, times: number) => Distribution,
): Play {
  const { goes, expected, seconds } = one
  if (players === 1) return one
  const all = seconds && combine(seconds, players)
  return {
    ...one,
    goes: goes && combine(goes, players),
    expected: {
      goes: expected.goes * players,
      dead: expected.dead * players,
      active: expected.active * players,
      // Where the time ends the game all work at once and a go takes as long as one child's.
      seconds: all ? mean(all) : combine === sumOf ? expected.seconds * players : expected.seconds,
    },
    items: one.items.map((item) => ({ ...item, count: item.count * players })),
    seconds: all,
  }
}
