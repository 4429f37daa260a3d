import { tableMarks } from '../../drawing/table'
import type { AnyGame } from '../../games'
import { at, framed, type Piece } from '../piece'

/** What is printed of a game's table: its spaces with their numbers, without hands, piles and devices. */
export function boardOf(game: AnyGame, params: unknown): Piece {
  const { spots, paths } = game.table.layout(params, Math.max(1, game.players.min))
  const printed = spots.filter(({ shape }) => shape !== 'area')
  const kept = new Set(printed.map(({ id }) => id))
  const left = Math.min(...printed.map(({ at: [x], size: [w] }) => x - w / 2)) - 4
  const right = Math.max(...printed.map(({ at: [x], size: [w] }) => x + w / 2)) + 4
  const top = Math.min(...printed.map(({ at: [, y], size: [, h] }) => y - h / 2)) - 4
  const bottom = Math.max(...printed.map(({ at: [, y], size: [, h] }) => y + h / 2)) + 4
  const [width, height] = [right - left, bottom - top]
  const layout = {
    width,
    height,
    spots: printed.map((spot) => ({ ...spot, at: [spot.at[0] - left, spot.at[1] - top] as const })),
    paths: paths.filter(([a, b]) => kept.has(a) && kept.has(b)),
  }
  return framed(width, height, [at(-width / 2, -height / 2, tableMarks(layout, { things: [] }), 'board')])
}
