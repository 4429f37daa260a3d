import { alwaysEnds, evolve } from '../chance/chain'
import type { AnyGame, Choice } from '../games'
import { buildGoChain, goBranches, type GoChain } from './go-chain'
import { drawnSeconds, lattice } from './minutes'
import type { Pace } from './pace'
import type { Play } from './play'

/** Why a game's figures cannot be had exactly. */
export type Unsolved = 'too-many-states' | 'never-ends'

/** A game ready for exact figures: its chain, or the law of one go where every go has the same. */
export type Solved = { kind: 'chain'; chain: GoChain; race: boolean } | { kind: 'fixed'; play: Play }

/** Explores the game; the figures of any number of players follow from the answer. */
export function solve(game: AnyGame, params: unknown, choice: Choice, pace: Pace): Solved | Unsolved {
  if (game.fixedGoes) return { kind: 'fixed', play: playFixed(game, params, choice, pace) }
  const chain = buildGoChain(game, params, choice, pace)
  if (!chain) return 'too-many-states'
  if (!alwaysEnds(chain)) return 'never-ends'
  return { kind: 'chain', chain, race: game.interaction === 'race' }
}

/**
 * Exact figures of a set of `players`.
 *
 * A race: the tracks are independent, so P(go t of player j happens) is a product of the solo
 * survival function S: players before j are unfinished after t goes, those behind after t − 1.
 * @param seconds whether the law of the game's length in seconds is wanted too: it costs more than the rest
 */
export function playExactly(solved: Solved, players: number, seconds: boolean): Play {
  if (solved.kind === 'fixed') return solved.play
  const { chain } = solved
  const racers = solved.race ? players : 1
  const visits = new Float64Array(chain.states)
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
    for (let state = 0; state < chain.states; state++) visits[state] += before[state] * chances
    unfinished = surviving
  }

  const expected = new Float64Array(chain.outcomes.length)
  for (let state = 0; state < chain.states; state++)
    for (let branch = chain.start[state]; branch < chain.start[state + 1]; branch++)
      expected[chain.outcome[branch]] += visits[state] * chain.probability[branch]

  return {
    goes: { from: 0, mass: Float64Array.from(ends) },
    firstWins: racers > 1 ? firstWins : null,
    outcomes: chain.outcomes.map((outcome, index) => ({ outcome, expected: expected[index] })),
    seconds: seconds ? lattice(chain, racers) : null,
    sample: null,
  }
}

/** Goes known beforehand, each with the law of the first. */
function playFixed(game: AnyGame, params: unknown, choice: Choice, pace: Pace): Play {
  const goes = game.fixedGoes!(params)
  const mass = new Float64Array(goes + 1)
  mass[goes] = 1
  const branches = goBranches(game, game.setup(params, 1), choice, pace)
  return {
    goes: { from: 0, mass },
    firstWins: null,
    outcomes: branches.map(({ probability, result }) => ({
      outcome: result.outcome,
      expected: probability * goes,
    })),
    seconds: drawnSeconds(
      branches.map(({ result }) => result.outcome.seconds),
      goes,
    ),
    sample: null,
  }
}
