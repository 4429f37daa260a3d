import { z } from 'zod'
import type { Game } from './game'
import { landfall } from './landfall'
import { theGap } from './the-gap'
import { towerBay } from './tower-bay'

// The catalogue is the one place where games of different kinds stand side by side; the parameters of
// each are checked by its own schema before they reach its engine.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
export type AnyGame = Game<any, any, any, any>

/** Every game, in the order of the games index. A new game is one file and one line here. */
export const games: readonly AnyGame[] = [landfall, towerBay, theGap]

export const gameIdSchema = z.enum(games.map(({ id }) => id) as [string, ...string[]])

/** @throws if there is no such game; parse ids with `gameIdSchema` first. */
export function gameOf(id: string): AnyGame {
  const game = games.find((candidate) => candidate.id === id)
  if (!game) throw new Error(`No game “${id}”.`)
  return game
}

export type { Choice, GameState, Material, Variant } from './game'
export { playGo } from './game'
export type { GameEvent } from './events'
