import type { AnyGame } from '../games'
import { isLoose, type ThingKind } from '../things'

/** Whole packs that are shuffled and laid out. */
const packs: readonly ThingKind[] = [
  'number cards',
  'picture cards',
  'question cards',
  'triangle cards',
  'time cards',
  'sum cards',
  'line-up cards',
  'dominoes',
]

/** Seconds of the parts of laying a game out. Common practice, no source. */
const sitDown = 20
const fetchEach = 4
const shuffle = 12
const countEach = 0.5
/** More than so many of a thing are tipped out, not counted. */
const countedAtMost = 40
/** Two minutes: what takes longer is laid out before the children come. */
const longest = 120
/** Putting away takes so many seconds, and a share of what laying out took. */
const tidy = 10
const tidyShare = 0.4

/** Minutes of a slot in which nobody plays: laying a game out and putting it away. */
export interface Around {
  setUp: number
  packUp: number
}

/**
 * Minutes to set a game up for a set of so many and to pack it up: children sit down and settle who begins, fetch what is
 * needed, shuffle packs, count out loose things.
 */
export function aroundPlay(game: AnyGame, params: unknown, players: number): Around {
  const seconds = game.materials(params).reduce((sum, { thing, perSet = 0, perPlayer = 0 }) => {
    const count = perSet + perPlayer * players
    if (packs.includes(thing.kind)) return sum + shuffle
    if (isLoose(thing)) return sum + countEach * Math.min(countedAtMost, count)
    return sum + fetchEach * count
  }, sitDown)
  const setUp = Math.min(longest, seconds)
  return { setUp: setUp / 60, packUp: (tidy + tidyShare * setUp) / 60 }
}

/** Both together, in minutes. */
export function aroundMinutes(game: AnyGame, params: unknown, players: number): number {
  const { setUp, packUp } = aroundPlay(game, params, players)
  return setUp + packUp
}
