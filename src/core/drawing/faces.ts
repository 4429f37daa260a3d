import type { Face } from '../things/face'
import { dot, fingerMarks, frameMarks, groupMarks, inFives, pipMarks, tensMarks } from './amounts'
import { box, disc, fitted, fixed, line, type Mark, type Tone } from './marks'

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

/** How wide a coin is drawn, of the widest: what is worth more is larger. */
const coinSize: Record<number, number> = { 1: 0.66, 2: 0.74, 5: 0.82, 10: 0.88, 20: 0.94, 50: 1 }

/** A coin round (x, y) in a square of so many millimetres: its worth inside a rim. */
export function coinMarks(worth: number, x: number, y: number, side: number): Mark[] {
  const r = side * 0.48 * (coinSize[worth] ?? 1)
  return [
    disc(x, y, r, 'sheet', 'ink', 0.6),
    disc(x, y, r * 0.84, 'none', 'ink', 0.25),
    fitted(String(worth), x, y, r * 1.2, r * 1.1),
  ]
}

/** Coins in rows of four. */
function coinsInRows(coins: readonly number[], width: number, height: number): Mark[] {
  const columns = Math.min(4, coins.length)
  const rows = Math.ceil(coins.length / columns)
  const side = Math.min(width / columns, height / rows)
  return coins.flatMap((worth, i) => {
    const row = Math.floor(i / columns)
    const inRow = Math.min(columns, coins.length - row * columns)
    const x = ((i % columns) - (inRow - 1) / 2) * side
    return coinMarks(worth, x, (row - (rows - 1) / 2) * side, side)
  })
}

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
    case 'coins':
      return coinsInRows(face.coins, width, height)
    case 'words':
      return wordMarks(face.text, width, height)
    case 'shade':
      return [box(0, 0, width, height, 1, 'veil', 'none', 0)]
    case 'blank':
      return []
  }
}
