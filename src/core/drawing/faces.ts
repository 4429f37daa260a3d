import type { Face } from '../things/face'
import { box, disc, fitted, line, type Mark, type Tone } from './marks'

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
function pipMarks(n: number, x: number, y: number, side: number): Mark[] {
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

const dot = (x: number, y: number, size: number) => disc(x, y, size * 0.36)

/** Dots of one group: as on a die up to six, in fives beyond. */
function groupMarks(n: number, x: number, width: number, height: number): Mark[] {
  const side = Math.min(width, height)
  if (n <= 6) return pipMarks(n, x, 0, side)
  return shifted(inFives(n, width * 0.9, height * 0.8, dot), x, 0)
}

const shifted = (marks: readonly Mark[], x: number, y: number): Mark[] =>
  marks.map((mark) => (mark.op === 'circle' ? { ...mark, x: mark.x + x, y: mark.y + y } : mark))

function frameMarks(n: number, cells: number, width: number, height: number): Mark[] {
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
function fingerMarks(n: number, width: number, height: number): Mark[] {
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

function clockMarks(minutes: number, side: number): Mark[] {
  const r = side * 0.47
  const at = (turn: number, far: number) =>
    [Math.sin(turn * 2 * Math.PI) * far, -Math.cos(turn * 2 * Math.PI) * far] as const
  const hand = (turn: number, far: number, width: number) => {
    const [x, y] = at(turn, far)
    return line(`M0 0L${fixed(x)} ${fixed(y)}`, 'ink', width)
  }
  return [
    disc(0, 0, r, 'sheet', 'ink', 0.6),
    ...Array.from({ length: 12 }, (_, i) => {
      const [x, y] = at((i + 1) / 12, r * 0.79)
      return fitted(String(i + 1), x, y, r * 0.4, r * 0.3)
    }),
    hand(minutes / 720, r * 0.45, side * 0.035),
    hand((minutes % 60) / 60, r * 0.68, side * 0.02),
    disc(0, 0, side * 0.025),
  ]
}

function wheelMarks(sectors: readonly string[], at: number | null, side: number): Mark[] {
  const r = side * 0.47
  const point = (turn: number, far: number) =>
    `${fixed(Math.sin(turn * 2 * Math.PI) * far)} ${fixed(-Math.cos(turn * 2 * Math.PI) * far)}`
  const marks: Mark[] = [disc(0, 0, r, 'sheet', 'ink', 0.6)]
  sectors.forEach((text, i) => {
    const [from, middle, to] = [i, i + 0.5, i + 1].map((part) => part / sectors.length)
    const large = sectors.length < 2 ? 1 : 0
    marks.push(
      line(
        `M0 0L${point(from, r)}A${fixed(r)} ${fixed(r)} 0 ${large} 1 ${point(to, r)}Z`,
        'ink',
        0.35,
        i === at ? 'water' : 'none',
      ),
    )
    const [x, y] = point(middle, r * 0.68)
      .split(' ')
      .map(Number)
    marks.push(fitted(text, x, y, r * (text.length > 2 ? 0.8 : 0.42), r * 0.34))
  })
  if (at !== null)
    marks.push(line(`M0 0L${point((at + 0.5) / sectors.length, r * 0.42)}`, 'accent', side * 0.03))
  return [...marks, disc(0, 0, side * 0.035, 'accent')]
}

function triangleMarks(
  { a, b, top, covered }: Extract<Face, { kind: 'triangle' }>,
  width: number,
  height: number,
): Mark[] {
  const [w, h] = [width * 0.48, height * 0.46]
  const corner = (text: number, x: number, y: number, hidden: boolean): Mark =>
    hidden
      ? disc(x, y, height * 0.13, 'veil', 'ink', 0.4)
      : fitted(String(text), x, y, width * 0.26, height * 0.26)
  return [
    line(`M0 ${fixed(-h)}L${fixed(w)} ${fixed(h)}L${fixed(-w)} ${fixed(h)}Z`, 'ink', 0.5, 'sheet'),
    corner(top, 0, -h * 0.38, covered === 'top'),
    corner(a, -w * 0.58, h * 0.66, covered === 'a'),
    corner(b, w * 0.58, h * 0.66, covered === 'b'),
  ]
}

const chainTone: Record<string, Tone> = { A: 'first', B: 'second', C: 'third' }

/** Cubes of a chain: colours that also differ by what stands on them. */
function chainMarks(colours: string, width: number, height: number): Mark[] {
  const size = Math.min(width / Math.max(1, colours.length), height)
  return [...colours].flatMap((colour, i) => {
    const x = (i - (colours.length - 1) / 2) * size
    const on: Mark[] =
      colour === 'B'
        ? [disc(x, 0, size * 0.16, 'ink')]
        : colour === 'C'
          ? [
              line(
                `M${fixed(x - size * 0.2)} 0H${fixed(x + size * 0.2)}M${fixed(x)} ${fixed(-size * 0.2)}V${fixed(size * 0.2)}`,
                'ink',
                size * 0.08,
              ),
            ]
          : []
    return [box(x, 0, size * 0.94, size * 0.94, size * 0.1, chainTone[colour], 'ink', 0.4), ...on]
  })
}

/** Tens as rods, ones beside them. */
function tensMarks(tens: number, ones: number, width: number, height: number): Mark[] {
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

/** Words in up to three lines. */
function wordMarks(text: string, width: number, height: number): Mark[] {
  const lines: string[] = []
  const most = Math.max(text.length > 14 ? 10 : 14, Math.ceil(text.length / 3))
  for (const word of text.split(' ')) {
    const last = lines.at(-1)
    if (last !== undefined && `${last} ${word}`.length <= most) lines[lines.length - 1] = `${last} ${word}`
    else lines.push(word)
  }
  const each = (height * 0.9) / lines.length
  const longest = Math.max(...lines.map(({ length }) => length))
  const size = Math.min(each * 0.78, width / (0.6 * Math.max(1, longest)))
  return lines.map((one, i): Mark => ({
    op: 'text',
    x: 0,
    y: (i - (lines.length - 1) / 2) * size * 1.25 + size * 0.36,
    size,
    text: one,
    font: 'numerals',
    fill: 'ink',
  }))
}

export const fixed = (x: number) => Number(x.toFixed(2))

/** A face round (0, 0) in a box of so many millimetres. */
export function faceMarks(face: Face, width: number, height: number): Mark[] {
  const side = Math.min(width, height)
  switch (face.kind) {
    case 'numeral':
      return [fitted(String(face.n), 0, 0, width * 0.9, height)]
    case 'pips':
      return pipMarks(face.n, 0, 0, side)
    case 'fingers':
      return fingerMarks(face.n, width, height)
    case 'frame':
      return frameMarks(face.n, face.cells, width, height)
    case 'groups':
      return face.b === 0
        ? groupMarks(face.a, 0, width, height)
        : [
            ...groupMarks(face.a, -width * 0.25, width * 0.48, height),
            ...groupMarks(face.b, width * 0.25, width * 0.48, height),
          ]
    case 'objects':
      return inFives(face.n, width, height, dot)
    case 'tens':
      return tensMarks(face.tens, face.ones, width, height)
    case 'domino':
      return [
        ...pipMarks(face.a, -width * 0.25, 0, Math.min(width / 2, height)),
        line(`M0 ${fixed(-height * 0.45)}V${fixed(height * 0.45)}`, 'ink', 0.4),
        ...pipMarks(face.b, width * 0.25, 0, Math.min(width / 2, height)),
      ]
    case 'clock':
      return clockMarks(face.minutes, side)
    case 'sum':
      return [fitted(`${face.a} + ${face.b}`, 0, 0, width, height)]
    case 'difference':
      return [fitted(`${face.a} − ${face.b}`, 0, 0, width, height)]
    case 'product':
      return [fitted(`${face.a} × ${face.b}`, 0, 0, width, height)]
    case 'triangle':
      return triangleMarks(face, width, height)
    case 'chest':
      return [
        box(0, height * 0.1, width * 0.9, height * 0.6, 1, 'sheet', 'ink', 0.6),
        line(
          `M${fixed(-width * 0.45)} ${fixed(-height * 0.2)}C${fixed(-width * 0.45)} ${fixed(-height * 0.5)} ${fixed(width * 0.45)} ${fixed(-height * 0.5)} ${fixed(width * 0.45)} ${fixed(-height * 0.2)}Z`,
          'ink',
          0.6,
          'water',
        ),
        fitted(String(face.n), 0, height * 0.12, width * 0.6, height * 0.5),
      ]
    case 'chain':
      return chainMarks(face.colours, width, height)
    case 'wheel':
      return wheelMarks(face.sectors, face.at, side)
    case 'words':
      return wordMarks(face.text, width, height)
    case 'shade':
      return [box(0, 0, width, height, 1, 'veil', 'none', 0)]
    case 'blank':
      return []
  }
}
