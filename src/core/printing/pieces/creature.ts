import { inFives } from '../../drawing/amounts'
import { disc, line } from '../../drawing/marks'
import { at, framed, type Piece } from '../piece'
import { wide } from './cards'

/**
 * Half of a creature with so many dots, all of one size: what is large does not give away what is many. Every top is as
 * wide as every bottom where they meet, so that any two fit.
 */
export function creatureHalf(half: 'top' | 'bottom', n: number): Piece {
  const [width, height] = wide
  const [across, deep] = [35, 50]
  // The half stands on the edge of its card: the other one is laid against it.
  const edge = half === 'top' ? height / 2 : -height / 2
  const far = half === 'top' ? edge - deep : edge + deep
  const body = line(
    `M${-across} ${edge}C${-across} ${far} ${-across / 2} ${far} 0 ${far}C${across / 2} ${far} ${across} ${far} ${across} ${edge}`,
    'ink',
    0.8,
    'sheet',
  )
  const parts =
    half === 'top'
      ? [-7, 7].flatMap((x) => [disc(x, far + 9, 3.4, 'sheet', 'ink', 0.6), disc(x, far + 9.6, 1.4, 'ink')])
      : [-14, 14].map((x) => line(`M${x - 7} ${far + 4}h14`, 'ink', 2.4))
  const dots = inFives(n, 50, 26, (x, y) => disc(x, y, 2.9, 'ink'))
  return framed(width, height, [body, ...parts, at(0, half === 'top' ? edge - 15 : edge + 15, dots, 'dots')])
}
