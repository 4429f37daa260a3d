import { box, disc, type Mark } from './marks'

/** Places of the dots of a die, in thirds from the middle. */
const pipsAt: readonly (readonly [number, number])[][] = [
  [],
  [[0, 0]],
  [
    [-1, -1],
    [1, 1],
  ],
  [
    [-1, -1],
    [0, 0],
    [1, 1],
  ],
  [
    [-1, -1],
    [1, -1],
    [-1, 1],
    [1, 1],
  ],
  [
    [-1, -1],
    [1, -1],
    [0, 0],
    [-1, 1],
    [1, 1],
  ],
  [
    [-1, -1],
    [1, -1],
    [-1, 0],
    [1, 0],
    [-1, 1],
    [1, 1],
  ],
  [
    [-1, -1],
    [1, -1],
    [-1, 0],
    [0, 0],
    [1, 0],
    [-1, 1],
    [1, 1],
  ],
  [
    [-1, -1],
    [0, -1],
    [1, -1],
    [-1, 0],
    [1, 0],
    [-1, 1],
    [0, 1],
    [1, 1],
  ],
  [
    [-1, -1],
    [0, -1],
    [1, -1],
    [-1, 0],
    [0, 0],
    [1, 0],
    [-1, 1],
    [0, 1],
    [1, 1],
  ],
]

/** Dots as on a die round (x, y), in a square of the given side. */
export function pipMarks(n: number, x: number, y: number, side: number): Mark[] {
  return pipsAt[n].map(([a, b]) => disc(x + a * side * 0.28, y + b * side * 0.28, side * 0.1))
}

/** Equal things in rows of five, a gap after ten: so many are seen as fives and tens. */
export function inFives(
  n: number,
  width: number,
  height: number,
  draw: (x: number, y: number, size: number) => Mark,
): Mark[] {
  if (n === 0) return []
  // Two rows of five stand together; then as many blocks beside each other as look best.
  const blocks = Math.ceil(n / 10)
  const across = Math.min(blocks, Math.max(1, Math.round(Math.sqrt((blocks * width) / height / 2.5))))
  const down = Math.ceil(blocks / across)
  const columns = n < 5 ? n : 5
  const size = Math.min(
    width / (columns * across + (across - 1) * 0.6),
    height / ((n > 5 ? 2 : 1) * down + (down - 1) * 0.5),
  )
  const marks: Mark[] = []
  const blockWidth = columns * size
  const blockHeight = (n > 5 ? 2 : 1) * size
  const whole = [
    across * blockWidth + (across - 1) * 0.6 * size,
    down * blockHeight + (down - 1) * 0.5 * size,
  ]
  for (let i = 0; i < n; i++) {
    const block = Math.floor(i / 10)
    const [column, row] = [i % 5, Math.floor((i % 10) / 5)]
    const x = (block % across) * (blockWidth + 0.6 * size) + (column + 0.5) * size
    const y = Math.floor(block / across) * (blockHeight + 0.5 * size) + (row + 0.5) * size
    marks.push(draw(x - whole[0] / 2, y - whole[1] / 2, size))
  }
  return marks
}

export const dot = (x: number, y: number, size: number) => disc(x, y, size * 0.36)

/** Dots of one group: as on a die up to six, in fives beyond. */
export function groupMarks(n: number, x: number, width: number, height: number): Mark[] {
  const side = Math.min(width, height)
  if (n <= 6) return pipMarks(n, x, 0, side)
  return shifted(inFives(n, width * 0.9, height * 0.8, dot), x, 0)
}

const shifted = (marks: readonly Mark[], x: number, y: number): Mark[] =>
  marks.map((mark) => (mark.op === 'circle' ? { ...mark, x: mark.x + x, y: mark.y + y } : mark))

export function frameMarks(n: number, cells: number, width: number, height: number): Mark[] {
  const rows = cells / 5
  const size = Math.min(width / 5, height / (rows + (rows > 2 ? 0.4 : 0)))
  const marks: Mark[] = []
  for (let cell = 0; cell < cells; cell++) {
    const row = Math.floor(cell / 5)
    const x = ((cell % 5) - 2) * size
    const y = (row - (rows - 1) / 2) * size + (rows > 2 ? (row < 2 ? -0.2 : 0.2) * size : 0)
    marks.push(box(x, y, size, size, 0, 'sheet', 'ink', 0.35))
    if (cell < n) marks.push(disc(x, y, size * 0.34))
  }
  return marks
}

/** Hands with so many fingers up, folded ones short; the left hand first. */
export function fingerMarks(n: number, width: number, height: number): Mark[] {
  const hands = n > 5 ? 2 : 1
  const size = Math.min(width / (hands * 6.2), height / 8.5)
  const marks: Mark[] = []
  for (let hand = 0; hand < hands; hand++) {
    const middle = (hand - (hands - 1) / 2) * 6.2 * size
    const up = hand === 0 ? Math.min(5, n) : n - 5
    marks.push(box(middle, 2.2 * size, 4.9 * size, 3.4 * size, 1.4 * size, 'sheet', 'ink', 0.5))
    for (let finger = 0; finger < 5; finger++) {
      const long = finger < up ? [3.4, 4.1, 4.4, 4, 3.1][finger] : 0.9
      const x = middle + (finger - 2) * 0.98 * size
      marks.push(
        box(
          x,
          (0.9 - long / 2) * size,
          0.86 * size,
          long * size,
          0.42 * size,
          finger < up ? 'water' : 'sheet',
          'ink',
          0.5,
        ),
      )
    }
  }
  return marks
}

/** Tens as rods, ones beside them. */
export function tensMarks(tens: number, ones: number, width: number, height: number): Mark[] {
  const cell = Math.min(height / 10, width / (1.5 * tens + (ones > 0 ? 2.6 : 0) + 0.01))
  const whole = 1.5 * tens * cell + (ones > 0 ? 2.6 * cell : 0)
  const left = -whole / 2
  return [
    ...Array.from({ length: tens }, (_, i) =>
      box(left + (1.5 * i + 0.75) * cell, 0, cell, 10 * cell, 0.2, 'water', 'ink', 0.4),
    ),
    ...Array.from({ length: ones }, (_, i) =>
      box(
        left + (1.5 * tens + 0.7 + (i % 2) * 1.3) * cell,
        (4.4 - Math.floor(i / 2) * 1.3) * cell,
        cell,
        cell,
        0.2,
        'sheet',
        'ink',
        0.4,
      ),
    ),
  ]
}
