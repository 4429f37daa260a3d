import type { AnyGame } from '../games'
import { splitIntoSets } from '../games/engine/sets'
import { materialsOf } from '../planning/materials'
import { isPrinted, nameOf } from '../things'
import { packed, type Page } from './pack'
import type { PaperId } from './paper'
import { piecesOf } from './piece'
import { taskCard } from './task-card'

export interface PrintJob {
  pages: readonly Page[]
  /** Things of paper that can't be printed yet, by name: they are drawn by hand. */
  missing: readonly string[]
}

/** Everything of paper that children need for a game at these settings: a task card for each set, then the things. */
export function gamePages(
  game: AnyGame,
  level: { title: string; params: unknown },
  children: number,
  paper: PaperId,
): PrintJob {
  const { params, title } = level
  // What is made for a whole class at once is played by all of it.
  const sets = game.room.whole
    ? [Math.min(game.players.max, Math.max(game.players.min, children))]
    : splitIntoSets(children, game.players)
  const needs = materialsOf([{ slot: 0, station: 0, materials: game.materials(params), sets }], 1).all
  const printed = needs.filter(({ thing }) => isPrinted(thing))
  const missing: string[] = []
  const cards = Array.from({ length: sets.length }, () => taskCard(game, title, params))
  const pages = [...packed(cards, paper, `${game.title}, ${title}: task card`)]
  for (const { thing, count } of printed) {
    const pieces = piecesOf(thing, count, game, params, sets)
    if (!pieces) missing.push(nameOf(thing))
    else pages.push(...packed(pieces, paper, `${game.title}: ${nameOf(thing)}`))
  }
  return { pages, missing }
}
