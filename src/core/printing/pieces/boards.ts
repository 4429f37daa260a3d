import { scaled } from '../../drawing/scaled'
import { tableMarks } from '../../drawing/table'
import type { AnyGame } from '../../games'
import { at, framed, type Piece } from '../piece'

/** Millimetres of a space on which a counter or a marker stands with room to be picked up; common practice, no source. */
const spaceForCounter = 18
/**
 * The largest a board becomes for it, on A4 or Letter: a sheet as it stands, half a sheet for one that every child has, a quarter for
 * the cards of a set.
 */
const largest = {
  board: [[186, 236]],
  own: [
    [95, 236],
    [186, 118],
  ],
  card: [[95, 118]],
} as const

/**
 * What is printed of a game's table: its spaces with their numbers, without hands, piles and devices. As large as it is drawn, or
 * larger, until counters fit on its spaces.
 */
export function boardOf(game: AnyGame, params: unknown, as: keyof typeof largest = 'board'): Piece {
  const { spots, paths } = game.table.layout(params, Math.max(1, game.players.min))
  // Areas hold what lies about; one with a face on it, such as the head of a column, is part of the board.
  const printed = spots.filter(({ shape, face }) => shape !== 'area' || face !== undefined)
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
  const narrowest = Math.min(...printed.flatMap(({ shape, size }) => (shape === 'area' ? [] : size)))
  const fits = Math.max(...largest[as].map(([most, tallest]) => Math.min(most / width, tallest / height)))
  const scale = Math.max(1, Math.min(spaceForCounter / narrowest, fits))
  return framed(width * scale, height * scale, [
    scaled(at(-width / 2, -height / 2, tableMarks(layout, { things: [] }), 'board'), scale),
  ])
}
