import type { AnyGame } from '../../games'
import { auto, newRound, sceneOf } from '../../games/engine/round'
import type { Face } from '../../things/face'
import type { ThingKind } from '../../things'

/** Steps of a round that are looked at: enough for every card of a game to come up. */
const mostSteps = 120

/**
 * What the cards of a kind show in a round of the game itself, while their questions stand open: where only its rules
 * know what is on them. Each once for each place it lay at, in the order they came; strips of claims, which come together
 * anew in every round, each time.
 */
export function facesShown(
  game: AnyGame,
  params: unknown,
  kind: ThingKind,
  players: number,
  seed: number,
): Face[] {
  const playing = Math.min(game.players.max, Math.max(game.players.min, players))
  const found = new Map<string, Face>()
  let round = newRound(game.id, params, playing, seed)
  for (let step = 0; step < mostSteps && round.phase !== 'over'; step++) {
    if (round.phase === 'choose')
      for (const { id, kind: other, face } of sceneOf(round, 'all').things)
        if (other === kind && face)
          found.set(`${id} ${kind === 'claim strips' ? step : JSON.stringify(face)}`, face)
    round = auto(round, 'novice').round
  }
  return [...found.values()]
}
