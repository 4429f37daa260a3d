import { gameOf, usualLevel } from './index'
import { inCoinage, type Coinage } from '../skills/coins'
import type { LevelTexts } from './engine/texts'
import { buoyBowlTexts } from './catalogue/collect/buoy-bowl.texts'
import { doublesDashTexts } from './catalogue/collect/doubles-dash.texts'
import { fullNetsTexts } from './catalogue/collect/full-nets.texts'
import { jettyPlanksTexts } from './catalogue/collect/jetty-planks.texts'
import { lanternGridTexts } from './catalogue/collect/lantern-grid.texts'
import { lowTideTexts } from './catalogue/collect/low-tide.texts'
import { markAndMakeTexts } from './catalogue/collect/mark-and-make.texts'
import { pebbleCountTexts } from './catalogue/collect/pebble-count.texts'
import { sandStepsTexts } from './catalogue/collect/sand-steps.texts'
import { tensCatchTexts } from './catalogue/collect/tens-catch.texts'
import { towerBayTexts } from './catalogue/collect/tower-bay.texts'
import { tradeUpTexts } from './catalogue/collect/trade-up.texts'
import { anyPairsTexts } from './catalogue/explain/any-pairs.texts'
import { clockCardsTexts } from './catalogue/explain/clock-cards.texts'
import { coveredDieTexts } from './catalogue/explain/covered-die.texts'
import { deckDrillTexts } from './catalogue/explain/deck-drill.texts'
import { doorCardsTexts } from './catalogue/explain/door-cards.texts'
import { evenCrewsTexts } from './catalogue/explain/even-crews.texts'
import { fetchTwoTexts } from './catalogue/explain/fetch-two.texts'
import { fogNumberTexts } from './catalogue/explain/fog-number.texts'
import { frameUpTexts } from './catalogue/explain/frame-up.texts'
import { hiddenCornerTexts } from './catalogue/explain/hidden-corner.texts'
import { leakyClaimTexts } from './catalogue/explain/leaky-claim.texts'
import { patternChainTexts } from './catalogue/explain/pattern-chain.texts'
import { quayStallTexts } from './catalogue/explain/quay-stall.texts'
import { quickLookTexts } from './catalogue/explain/quick-look.texts'
import { risingTideTexts } from './catalogue/explain/rising-tide.texts'
import { shutChestTexts } from './catalogue/explain/shut-chest.texts'
import { skipLinesTexts } from './catalogue/explain/skip-lines.texts'
import { switchbackTexts } from './catalogue/explain/switchback.texts'
import { teamBoardTexts } from './catalogue/explain/team-board.texts'
import { theGapTexts } from './catalogue/explain/the-gap.texts'
import { twinTotalsTexts } from './catalogue/explain/twin-totals.texts'
import { twoHalvesTexts } from './catalogue/explain/two-halves.texts'
import { fiveFlagsTexts } from './catalogue/lines/five-flags.texts'
import { perchTexts } from './catalogue/lines/perch.texts'
import { biggerHaulTexts } from './catalogue/order/bigger-haul.texts'
import { cardOrderTexts } from './catalogue/order/card-order.texts'
import { cardRunTexts } from './catalogue/order/card-run.texts'
import { diceRunTexts } from './catalogue/order/dice-run.texts'
import { moreOrLessTexts } from './catalogue/order/more-or-less.texts'
import { neighboursTexts } from './catalogue/order/neighbours.texts'
import { pointFastTexts } from './catalogue/order/point-fast.texts'
import { silentLineTexts } from './catalogue/order/silent-line.texts'
import { currentsTexts } from './catalogue/tracks/currents.texts'
import { gridHopTexts } from './catalogue/tracks/grid-hop.texts'
import { harbourGuardTexts } from './catalogue/tracks/harbour-guard.texts'
import { landfallTexts } from './catalogue/tracks/landfall.texts'
import { lastCoverTexts } from './catalogue/tracks/last-cover.texts'
import { squallTexts } from './catalogue/tracks/squall.texts'

/**
 * What adults and children read, apart from the games: a screen that plays a game need not load the words of all.
 * The parameters of each are those of its own schema.
 */
// eslint-disable-next-line @typescript-eslint/no-explicit-any
const texts: Record<string, (params: any) => LevelTexts> = {
  'buoy-bowl': buoyBowlTexts,
  'doubles-dash': doublesDashTexts,
  'full-nets': fullNetsTexts,
  'jetty-planks': jettyPlanksTexts,
  'lantern-grid': lanternGridTexts,
  'low-tide': lowTideTexts,
  'mark-and-make': markAndMakeTexts,
  'pebble-count': pebbleCountTexts,
  'sand-steps': sandStepsTexts,
  'tens-catch': tensCatchTexts,
  'tower-bay': towerBayTexts,
  'trade-up': tradeUpTexts,
  'any-pairs': anyPairsTexts,
  'clock-cards': clockCardsTexts,
  'covered-die': coveredDieTexts,
  'deck-drill': deckDrillTexts,
  'door-cards': doorCardsTexts,
  'even-crews': evenCrewsTexts,
  'quay-stall': quayStallTexts,
  'fetch-two': fetchTwoTexts,
  'fog-number': fogNumberTexts,
  'frame-up': frameUpTexts,
  'hidden-corner': hiddenCornerTexts,
  'leaky-claim': leakyClaimTexts,
  'pattern-chain': patternChainTexts,
  'quick-look': quickLookTexts,
  'rising-tide': risingTideTexts,
  'shut-chest': shutChestTexts,
  'skip-lines': skipLinesTexts,
  switchback: switchbackTexts,
  'team-board': teamBoardTexts,
  'the-gap': theGapTexts,
  'twin-totals': twinTotalsTexts,
  'two-halves': twoHalvesTexts,
  'five-flags': fiveFlagsTexts,
  perch: perchTexts,
  'bigger-haul': biggerHaulTexts,
  'card-order': cardOrderTexts,
  'card-run': cardRunTexts,
  'dice-run': diceRunTexts,
  'more-or-less': moreOrLessTexts,
  neighbours: neighboursTexts,
  'point-fast': pointFastTexts,
  'silent-line': silentLineTexts,
  currents: currentsTexts,
  'grid-hop': gridHopTexts,
  'harbour-guard': harbourGuardTexts,
  landfall: landfallTexts,
  'last-cover': lastCoverTexts,
  squall: squallTexts,
}

/** The words of a game at these settings, in what a class calls its coins; of a game that was checked before. */
export function textsOf(game: string, params: unknown, coinage: Coinage = 'shells'): LevelTexts {
  const written = texts[game](params)
  // Texts are plain data through and through: all of their sentences at once.
  return coinage === 'shells'
    ? written
    : (JSON.parse(inCoinage(JSON.stringify(written), coinage)) as LevelTexts)
}

/** The words of a level; of a level that is not there any more those of the usual one. */
export function textsAt(gameId: string, levelId: string): LevelTexts {
  const game = gameOf(gameId)
  return textsOf(gameId, (game.levels.find(({ id }) => id === levelId) ?? usualLevel(game)).params)
}
