import { z } from 'zod'
import type { Game } from './game'
import { anyPairs } from './any-pairs'
import { biggerHaul } from './bigger-haul'
import { buoyBowl } from './buoy-bowl'
import { cardOrder } from './card-order'
import { cardRun } from './card-run'
import { clockCards } from './clock-cards'
import { coveredDie } from './covered-die'
import { currents } from './currents'
import { deckDrill } from './deck-drill'
import { diceRun } from './dice-run'
import { doorCards } from './door-cards'
import { doublesDash } from './doubles-dash'
import { fetchTwo } from './fetch-two'
import { fiveFlags } from './five-flags'
import { fogNumber } from './fog-number'
import { frameUp } from './frame-up'
import { fullNets } from './full-nets'
import { gridHop } from './grid-hop'
import { harbourGuard } from './harbour-guard'
import { hiddenCorner } from './hidden-corner'
import { jettyPlanks } from './jetty-planks'
import { landfall } from './landfall'
import { lanternGrid } from './lantern-grid'
import { lastCover } from './last-cover'
import { leakyClaim } from './leaky-claim'
import { lowTide } from './low-tide'
import { markAndMake } from './mark-and-make'
import { moreOrLess } from './more-or-less'
import { neighbours } from './neighbours'
import { patternChain } from './pattern-chain'
import { pebbleCount } from './pebble-count'
import { perch } from './perch'
import { pointFast } from './point-fast'
import { quickLook } from './quick-look'
import { risingTide } from './rising-tide'
import { sandSteps } from './sand-steps'
import { shutChest } from './shut-chest'
import { silentLine } from './silent-line'
import { skipLines } from './skip-lines'
import { squall } from './squall'
import { switchback } from './switchback'
import { teamBoard } from './team-board'
import { tensCatch } from './tens-catch'
import { theGap } from './the-gap'
import { towerBay } from './tower-bay'
import { tradeUp } from './trade-up'
import { twinTotals } from './twin-totals'
import { twoHalves } from './two-halves'

// The catalogue is the one place where games of different kinds stand side by side; the parameters of
// each are checked by its own schema before they reach its engine.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type AnyGame = Game<any, any, any, any>

/** Every game, in the order of the games index. A new game is one file and one line here. */
export const games: readonly AnyGame[] = [
  landfall,
  squall,
  gridHop,
  currents,
  lastCover,
  harbourGuard,
  pebbleCount,
  towerBay,
  sandSteps,
  fullNets,
  jettyPlanks,
  lanternGrid,
  buoyBowl,
  markAndMake,
  lowTide,
  tensCatch,
  tradeUp,
  doublesDash,
  fiveFlags,
  perch,
  moreOrLess,
  biggerHaul,
  cardOrder,
  silentLine,
  diceRun,
  cardRun,
  neighbours,
  pointFast,
  theGap,
  hiddenCorner,
  shutChest,
  coveredDie,
  twoHalves,
  quickLook,
  frameUp,
  twinTotals,
  anyPairs,
  fogNumber,
  switchback,
  risingTide,
  deckDrill,
  skipLines,
  fetchTwo,
  clockCards,
  patternChain,
  teamBoard,
  leakyClaim,
  doorCards,
]

export const gameIdSchema = z.enum(games.map(({ id }) => id) as [string, ...string[]])

/** @throws if there is no such game; parse ids with `gameIdSchema` first. */
export function gameOf(id: string): AnyGame {
  const game = games.find((candidate) => candidate.id === id)
  if (!game) throw new Error(`No game “${id}”.`)
  return game
}

export type { SameLawEachGo, Choice, GameState, Variant } from './game'
export type { Material } from './material'
export { playGo } from './game'
export type { GameEvent } from './events'
