import { faceMarks } from '../../drawing/faces'
import { box, line, type Mark } from '../../drawing/marks'
import { pips } from '../../things/face'
import { at, type Piece } from '../piece'

/** Side of the die, and of the flaps it is glued by; millimetres. */
const side = 30
const flap = 7

/**
 * A cross of six squares: where each stands, in sides. Squares two apart in a line are opposite when it is folded, so
 * that their dots make seven, as on every die (common practice, no source).
 */
export const net = [
  { dots: 1, x: 0, y: 0 },
  { dots: 2, x: 0, y: 1 },
  { dots: 6, x: 0, y: 2 },
  { dots: 5, x: 0, y: 3 },
  { dots: 3, x: -1, y: 1 },
  { dots: 4, x: 1, y: 1 },
] as const

/** A die to cut out, fold along the dashes and glue. */
export function dieNet(): Piece {
  const [width, height] = [3 * side + 2 * flap, 4 * side + 2 * flap]
  const centre = (x: number, y: number) => [x * side, (y - 1.5) * side] as const
  const squares = net.map(({ dots, x, y }) =>
    at(
      ...centre(x, y),
      [box(0, 0, side, side, 0, 'sheet', 'ink', 0.35), ...faceMarks(pips(dots), side * 0.9, side * 0.9)],
      `face ${dots}`,
    ),
  )
  return { width, height, marks: [line(flaps(), 'soft', 0.3), ...squares, folds()] }
}

/** Flaps on the sides of the squares that hold the cube together. */
function flaps(): string {
  const [h, in_] = [side / 2, flap * 0.8]
  const along: [number, number, 'left' | 'right' | 'top' | 'bottom'][] = [
    [0, 0, 'left'],
    [0, 0, 'right'],
    [0, 0, 'top'],
    [0, 2, 'left'],
    [0, 2, 'right'],
    [-1, 1, 'left'],
    [1, 1, 'right'],
  ]
  return along
    .map(([x, y, edge]) => {
      const [cx, cy] = [x * side, (y - 1.5) * side]
      switch (edge) {
        case 'left':
          return `M${cx - h} ${cy - h}L${cx - h - flap} ${cy - h + in_}V${cy + h - in_}L${cx - h} ${cy + h}`
        case 'right':
          return `M${cx + h} ${cy - h}L${cx + h + flap} ${cy - h + in_}V${cy + h - in_}L${cx + h} ${cy + h}`
        case 'top':
          return `M${cx - h} ${cy - h}L${cx - h + in_} ${cy - h - flap}H${cx + h - in_}L${cx + h} ${cy - h}`
        case 'bottom':
          return `M${cx - h} ${cy + h}L${cx - h + in_} ${cy + h + flap}H${cx + h - in_}L${cx + h} ${cy + h}`
      }
    })
    .join('')
}

/** Where it is folded: between the squares. */
function folds(): Mark {
  const h = side / 2
  const across = [0, 1, 2].map((i) => `M${-h} ${(i - 1) * side}H${h}`)
  const down = [-h, h].map((x) => `M${x} ${-side}V0`)
  const fold = line([...across, ...down].join(''), 'soft', 0.5)
  return fold.op === 'path' ? { ...fold, dashed: true } : fold
}
