import { z } from 'zod'
import type { Game } from './engine/game'
import { anyPairs } from './catalogue/explain/any-pairs'
import { biggerHaul } from './catalogue/order/bigger-haul'
import { buoyBowl } from './catalogue/collect/buoy-bowl'
import { cardOrder } from './catalogue/order/card-order'
import { cardRun } from './catalogue/order/card-run'
import { clockCards } from './catalogue/explain/clock-cards'
import { coveredDie } from './catalogue/explain/covered-die'
import { currents } from './catalogue/tracks/currents'
import { deckDrill } from './catalogue/explain/deck-drill'
import { diceRun } from './catalogue/order/dice-run'
import { doorCards } from './catalogue/explain/door-cards'
import { doublesDash } from './catalogue/collect/doubles-dash'
import { evenCrews } from './catalogue/explain/even-crews'
import { quayStall } from './catalogue/explain/quay-stall'
import { fetchTwo } from './catalogue/explain/fetch-two'
import { fiveFlags } from './catalogue/lines/five-flags'
import { fogNumber } from './catalogue/explain/fog-number'
import { frameUp } from './catalogue/explain/frame-up'
import { fullNets } from './catalogue/collect/full-nets'
import { gridHop } from './catalogue/tracks/grid-hop'
import { harbourGuard } from './catalogue/tracks/harbour-guard'
import { hiddenCorner } from './catalogue/explain/hidden-corner'
import { jettyPlanks } from './catalogue/collect/jetty-planks'
import { landfall } from './catalogue/tracks/landfall'
import { lanternGrid } from './catalogue/collect/lantern-grid'
import { lastCover } from './catalogue/tracks/last-cover'
import { leakyClaim } from './catalogue/explain/leaky-claim'
import { lowTide } from './catalogue/collect/low-tide'
import { markAndMake } from './catalogue/collect/mark-and-make'
import { moreOrLess } from './catalogue/order/more-or-less'
import { neighbours } from './catalogue/order/neighbours'
import { patternChain } from './catalogue/explain/pattern-chain'
import { pebbleCount } from './catalogue/collect/pebble-count'
import { perch } from './catalogue/lines/perch'
import { pointFast } from './catalogue/order/point-fast'
import { quickLook } from './catalogue/explain/quick-look'
import { risingTide } from './catalogue/explain/rising-tide'
import { sandSteps } from './catalogue/collect/sand-steps'
import { shutChest } from './catalogue/explain/shut-chest'
import { silentLine } from './catalogue/order/silent-line'
import { skipLines } from './catalogue/explain/skip-lines'
import { squall } from './catalogue/tracks/squall'
import { switchback } from './catalogue/explain/switchback'
import { teamBoard } from './catalogue/explain/team-board'
import { tensCatch } from './catalogue/collect/tens-catch'
import { theGap } from './catalogue/explain/the-gap'
import { towerBay } from './catalogue/collect/tower-bay'
import { tradeUp } from './catalogue/collect/trade-up'
import { twinTotals } from './catalogue/explain/twin-totals'
import { twoHalves } from './catalogue/explain/two-halves'

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
  evenCrews,
  quayStall,
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

/** The level that is set out and shown where none was chosen. */
export const usualLevel = ({ levels, usual }: Pick<AnyGame, 'levels' | 'usual'>): AnyGame['levels'][number] =>
  levels.find(({ id }) => id === usual) ?? levels[0]

export type { SameLawEachGo, Choice, GameState, Variant } from './engine/game'
export type { Material } from './engine/material'
export { playGo } from './engine/game'
export type { GameEvent } from './engine/events'
