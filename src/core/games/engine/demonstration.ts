import type { AnyGame } from '../index'
import { choose, moveOf, newRound, roll, type Notable } from './round'
import { choiceFor } from '../playing/showing'

export interface Demonstration {
  /** Of the round that shows most; `newRound` with it plays the same. */
  seed: number
  goes: number
  /** In the order in which they come. */
  shows: Notable[]
  /** What this round doesn't show, with its share of the rounds tried: a share of a sample. */
  never: { case: Notable; share: number }[]
  /** In which share of the rounds tried each case came up, shown or not. */
  often: { case: Notable; share: number }[]
  /** Rounds tried. */
  tried: number
}

/** Goes after which a round that only the time ends has been shown long enough. */
const longEnough = 30

interface Told {
  /** Goes begun so far. */
  goes: number
  notable: readonly Notable[]
}

/** What a round tells, step by step, without anybody looking at the table. */
function* rounds(game: AnyGame, params: unknown, players: number, seed: number): Generator<Told> {
  let round = newRound(game.id, params, players, seed)
  let goes = 0
  for (let steps = 0; round.phase !== 'over' && steps < 6 * longEnough; steps++) {
    if (round.phase === 'roll') {
      if (goes === longEnough) return
      goes++
    }
    const { move, chance } =
      round.phase === 'roll' ? { move: null, chance: round.chance } : moveOf(round, choiceFor(round))
    const step = round.phase === 'roll' ? roll(round, null) : choose({ ...round, chance }, move, null)
    round = step.round
    yield { goes, notable: step.events.flatMap(({ notable = [] }) => notable) }
  }
}

/**
 * The shortest round, of those tried, that shows every notable case that came up in any of them; where none
 * does, the one that shows most.
 * @param most rounds to try
 */
export function demonstrate(game: AnyGame, params: unknown, players: number, most = 150): Demonstration {
  const counts = new Map<Notable, number>()
  let best: { seed: number; goes: number; shows: Notable[] } | null = null
  for (let seed = 1; seed <= most; seed++) {
    const seen = new Set<Notable>()
    let goes = 0
    for (const told of rounds(game, params, players, seed)) {
      goes = told.goes
      for (const one of told.notable) seen.add(one)
    }
    for (const one of seen) counts.set(one, (counts.get(one) ?? 0) + 1)
    const shows = [...seen]
    if (!best || shows.length > best.shows.length || (shows.length === best.shows.length && goes < best.goes))
      best = { seed, goes, shows }
  }
  const { seed, goes, shows } = best!
  const often = [...counts].map(([one, count]) => ({ case: one, share: count / most }))
  return {
    seed,
    goes,
    shows,
    never: often.filter((one) => !shows.includes(one.case)),
    often,
    tried: most,
  }
}

/** The first round, of those tried, in which a case comes up soonest, and in which go; null: in none of them. */
export function roundWith(
  wanted: Notable,
  game: AnyGame,
  params: unknown,
  players: number,
  most = 400,
): { seed: number; go: number } | null {
  let best: { seed: number; go: number } | null = null
  for (let seed = 1; seed <= most && best?.go !== 1; seed++)
    for (const { goes, notable } of rounds(game, params, players, seed)) {
      if (best && goes >= best.go) break
      if (!notable.includes(wanted)) continue
      best = { seed, go: goes }
      break
    }
  return best
}
