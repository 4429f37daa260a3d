import type { AnyGame } from '../games'
import { splitIntoSets } from '../games/engine/sets'
import { materialsOf } from '../planning/materials'
import { bagOf } from './bag'
import type { Pile } from './item'

/** Everything for a game at one level: a task card for every two sets of children, then the things of paper. */
export function gamePile(
  game: AnyGame,
  level: { id: string; title: string; params: unknown },
  children: number,
  minutes: number | null = null,
): Pile {
  // What is made for a whole class at once is played by all of it.
  const sets = game.room.whole
    ? [Math.min(game.players.max, Math.max(game.players.min, children))]
    : splitIntoSets(children, game.players)
  const needs = materialsOf([{ slot: 0, station: 0, materials: game.materials(level.params), sets }], 1).all
  const played = [{ levelId: level.id, players: Math.max(...sets), sets: sets.length }]
  const known = minutes === null ? [] : [[level.id, minutes] as const]
  return {
    title: `${game.title}, ${level.title}`,
    bundles: [bagOf(game.id, needs, played, new Map(known))],
  }
}
