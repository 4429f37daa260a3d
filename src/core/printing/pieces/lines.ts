import { box, fitted, line } from '../../drawing/marks'
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

/** A metre in parts that fit a page, each with a flap to tape over the next. Squares and lines are centimetres. */
export function metreStrips(): Piece[] {
  const [part, flap, height] = [18, 6, 26]
  return range(0, 99, part).map((from) => {
    const to = Math.min(100, from + part)
    const last = to === 100
    const width = (to - from) * 10 + (last ? 0 : flap)
    const left = -width / 2
    const squares = range(from, to - 1).flatMap((n) => {
      const x = left + (n - from) * 10
      return [
        box(x + 5, -4, 10, 10, 0, n % 2 ? 'none' : 'water', 'ink', 0.3),
        textRound(String(n + 1), x + (n + 1 >= 10 ? 7.4 : 8.3), 8, { size: 3.6, heavy: (n + 1) % 10 === 0 }),
        line(`M${x + 10} 1V4`, 'ink', (n + 1) % 10 === 0 ? 0.7 : 0.3),
      ]
    })
    return framed(width, height, [
      ...squares,
      ...(last ? [] : [textRound('tape', width / 2 - flap / 2, -8, { size: 2.4, tone: 'soft' })]),
    ])
  })
}
