import { box, line, type Mark } from '../../drawing/marks'
import { pennantMark } from '../../drawing/pennant'
import { scaled } from '../../drawing/scaled'
import { tableMarks } from '../../drawing/table'
import type { AnyGame } from '../../games'
import { pictureOf } from '../../games/playing/showing'
import { groupNames } from '../../grouping/pennants'
import { at, framed, type Piece } from '../piece'
import { linesOf, sizeFor, textFrom, textRound } from '../text'

/** What stands on the table: the station's number, its game and a picture of it, and its level where there is one for all. */
export function stationSign(number: number, game: AnyGame, level: string | null, params: unknown): Piece {
  const [width, height] = [190, 134]
  const { layout, scene } = pictureOf(game, params)
  const [roomWide, roomHigh] = [width - 70, height - 44]
  const scale = Math.min(roomWide / layout.width, roomHigh / layout.height)
  return framed(width, height, [
    textRound(String(number), -width / 2 + 30, 22, { size: 62, heavy: true }),
    textRound(game.title, 0, -height / 2 + 22, {
      size: sizeFor(game.title, width - 20, 18, true),
      heavy: true,
    }),
    ...(level === null
      ? []
      : [textRound(level, -width / 2 + 30, height / 2 - 12, { size: sizeFor(level, 52, 6) })]),
    at(
      width / 2 - 8 - layout.width * scale,
      -height / 2 + 34,
      tableMarks(layout, scene).map((mark) => scaled(mark, scale)),
      'picture',
    ),
  ])
}

/** What hangs over a group's things: its pennant, its name, its children. */
export function groupSign(pennant: number, children: readonly string[]): Piece {
  const [width, height] = [95, 130]
  const name = groupNames[pennant]
  const across = width - 12
  const size = Math.min(8, 62 / Math.max(1, children.length) / 1.35)
  return framed(width, height, [
    at(-width / 2 + 8, -height / 2 + 8, [pennantMark(pennant, 24)], 'pennant'),
    textFrom(name, -width / 2 + 8, -height / 2 + 48, { size: sizeFor(name, across, 14, true), heavy: true }),
    ...children.map((child, i) =>
      textFrom(child, -width / 2 + 8, -height / 2 + 62 + i * size * 1.35, {
        size: sizeFor(child, across, size),
      }),
    ),
  ])
}

/** A name to pin or clip to a board, with its group's pennant. */
export function namePeg(name: string, pennant: number | null): Piece {
  const [width, height] = [63, 22]
  const room = width - (pennant === null ? 10 : 26)
  const marks: Mark[] =
    pennant === null ? [] : [at(-width / 2 + 4, -6, [pennantMark(pennant, 12)], 'pennant')]
  return framed(width, height, [
    ...marks,
    textRound(name, width / 2 - 5 - room / 2, 3.2, { size: sizeFor(name, room, 9) }),
  ])
}

/** Something a child can now say of itself, to take home or to stick into its book. */
export function canSlip(name: string, iCan: string): Piece {
  const [width, height] = [95, 44]
  const style = { size: 5.4 }
  const lines = linesOf(iCan, width - 14, style)
  return framed(width, height, [
    box(0, 0, width - 4, height - 4, 3, 'none', 'soft', 0.4),
    textFrom(name, -width / 2 + 7, -height / 2 + 11, {
      size: sizeFor(name, width - 14, 6.4, true),
      heavy: true,
    }),
    ...lines.map((words, i) => textFrom(words, -width / 2 + 7, -height / 2 + 20 + i * 7, style)),
    line(`M${-width / 2 + 7} ${height / 2 - 6}h40`, 'soft', 0.3),
    textFrom('seen by', -width / 2 + 49, height / 2 - 6, { size: 2.6, tone: 'soft' }),
  ])
}

/** A word of thanks that an adult writes in: for how somebody played, never for having won. */
export function thanksSlip(name: string, pennant: number): Piece {
  const [width, height] = [95, 44]
  const left = -width / 2 + 7
  return framed(width, height, [
    box(0, 0, width - 4, height - 4, 3, 'none', 'ink', 0.6),
    at(width / 2 - 27, -height / 2 + 6, [pennantMark(pennant, 12)], 'pennant'),
    textFrom(`Thank you, ${name}`, left, -height / 2 + 13, {
      size: sizeFor(`Thank you, ${name}`, width - 44, 6.4, true),
      heavy: true,
    }),
    textFrom('You', left, -height / 2 + 24, { size: 4.6 }),
    line(
      `M${left + 11} ${-height / 2 + 25}H${width / 2 - 7}M${left} ${height / 2 - 9}H${width / 2 - 7}`,
      'soft',
      0.3,
    ),
    textFrom('took turns · helped · kept trying · explained', left, height / 2 - 4.5, {
      size: 2.6,
      tone: 'soft',
    }),
  ])
}

/** Rules for game time, which the class finds and an adult writes in. */
export function rulesPoster(): Piece {
  const [width, height] = [190, 268]
  const rows = Array.from({ length: 6 }, (_, i) => {
    const y = -height / 2 + 66 + i * 34
    return [
      textFrom(String(i + 1), -width / 2 + 10, y, { size: 16, heavy: true }),
      line(`M${-width / 2 + 28} ${y + 2}H${width / 2 - 10}`, 'soft', 0.5),
    ]
  }).flat()
  return framed(width, height, [
    textRound('Our rules for game time', 0, -height / 2 + 28, { size: 14, heavy: true }),
    ...rows,
  ])
}
