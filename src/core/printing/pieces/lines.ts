import { box, fitted, line, type Mark } from '../../drawing/marks'
import { at, framed, range, type Piece } from '../piece'
import { textRound } from '../text'

/** Numbers in boxes side by side. */
export function strip(numbers: readonly number[], width: number): Piece {
  const side = width / numbers.length
  return framed(
    width,
    side + 6,
    numbers.map((n, i) =>
      at(
        -width / 2 + (i + 0.5) * side,
        0,
        [
          box(0, 0, side - 1, side - 1, 1, 'sheet', 'ink', 0.4),
          fitted(String(n), 0, 0, side * 0.7, side * 0.7),
        ],
        `box ${n}`,
      ),
    ),
  )
}

export function numberLine(to: number, marks: 'all' | 'some' | 'ends'): Piece {
  const width = 180
  const every = marks === 'all' ? 1 : marks === 'ends' ? to : to > 50 ? 10 : 5
  const step = (width * 0.92) / to
  const fine = to <= 50 ? 1 : 10
  const x = (n: number) => Number((-width * 0.46 + n * step).toFixed(2))
  const ticks = range(0, to, marks === 'ends' ? to : fine).map((n) => line(`M${x(n)} -3V3`, 'ink', 0.4))
  const named = range(0, to, every).map((n) =>
    at(x(n), 8, [fitted(String(n), 0, 0, Math.max(6, step * every * 0.9), 7)], `number ${n}`),
  )
  return framed(width, 34, [line(`M${x(0)} 0H${x(to)}`, 'ink', 0.6), ...ticks, ...named])
}

/** Rows of ten from the left, from the top. */
export function hundredGrid(to: number): Piece {
  const side = 18
  const rows = Math.ceil(to / 10)
  return framed(
    182,
    rows * side + 2,
    range(1, to).map((n) =>
      at(
        -90 + ((n - 1) % 10) * side + side / 2,
        (-rows * side) / 2 + Math.floor((n - 1) / 10) * side + side / 2,
        [box(0, 0, side, side, 0, 'sheet', 'ink', 0.3), fitted(String(n), 0, 0, side * 0.7, side * 0.62)],
        `square ${n}`,
      ),
    ),
  )
}

/** A track by itself, in rows of ten; squalls are shaded. */
export function trackInRows(from: number, to: number, squalls: readonly number[]): Piece {
  const side = 18
  const numbers = range(from, to)
  const rows = Math.ceil(numbers.length / 10)
  return framed(
    184,
    rows * side + 4,
    numbers.map((n, i) =>
      at(
        -90 + (i % 10) * side + side / 2,
        (-rows * side) / 2 + Math.floor(i / 10) * side + side / 2,
        [
          box(
            0,
            0,
            side - 1.5,
            side - 1.5,
            3,
            squalls.includes(n) ? 'hazard' : 'sheet',
            'ink',
            n === to ? 1 : 0.4,
          ),
          fitted(String(n), 0, 0, side * 0.66, side * 0.6),
        ],
        `square ${n}`,
      ),
    ),
  )
}

/** So many centimetres fit on a page side by side, with the flap. */
const centimetresAcross = 18
const flap = 6

/** Something of so many centimetres in parts that fit a page, each with a flap to tape over the next. */
function taped(length: number, height: number, marksAt: (centimetre: number, x: number) => Mark[]): Piece[] {
  return range(0, length - 1, centimetresAcross).map((from) => {
    const to = Math.min(length, from + centimetresAcross)
    const last = to === length
    const width = (to - from) * 10 + (last ? 0 : flap)
    const left = -width / 2
    return framed(width, height, [
      ...range(from, to - 1).flatMap((n) => marksAt(n, left + (n - from) * 10)),
      ...(last ? [] : [textRound('tape', width / 2 - flap / 2, -8, { size: 2.4, tone: 'soft' })]),
    ])
  })
}

/** A metre to measure with: squares and lines are centimetres. */
export const metreStrips = (): Piece[] =>
  taped(100, 26, (n, x) => [
    box(x + 5, -4, 10, 10, 0, n % 2 ? 'none' : 'water', 'ink', 0.3),
    textRound(String(n + 1), x + (n + 1 >= 10 ? 7.4 : 8.3), 8, { size: 3.6, heavy: (n + 1) % 10 === 0 }),
    line(`M${x + 10} 1V4`, 'ink', (n + 1) % 10 === 0 ? 0.7 : 0.3),
  ])

/** A number track of squares of a centimetre, for cubes of that size and for measuring; squalls are shaded. */
export const centimetreTrack = (from: number, to: number, squalls: readonly number[] = []): Piece[] =>
  taped(to - from + 1, 22, (n, x) => [
    box(x + 5, 0, 10, 10, 0, squalls.includes(from + n) ? 'hazard' : 'sheet', 'ink', 0.3),
    at(x + 5, 0, [fitted(String(from + n), 0, 0, 7.4, 5.6)], `square ${from + n}`),
  ])
