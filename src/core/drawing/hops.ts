import type { Layout } from '../table'
import { fixed, type Mark } from './marks'

/**
 * Hops from spot to spot, counted: an arc over each step with its number.
 * @param from where the piece stands
 * @param to the spots it goes over, in order; at most `shown` of them are drawn
 */
export function hopMarks({ spots }: Layout, from: string, to: readonly string[], shown = to.length): Mark[] {
  const at = new Map(spots.map((spot) => [spot.id, spot]))
  const marks: Mark[] = []
  let last = at.get(from)
  for (const [i, id] of to.slice(0, shown).entries()) {
    const next = at.get(id)
    if (!last || !next) break
    const b = next.at
    // Between rows the hop comes in from the side: an arc across the board would say nothing.
    const a =
      Math.abs(last.at[1] - b[1]) > 1 && Math.abs(last.at[0] - b[0]) > 2 * next.size[0]
        ? [b[0] + Math.sign(last.at[0] - b[0]) * -1.3 * next.size[0], b[1]]
        : last.at
    const up = Math.min(last.size[1], next.size[1]) * 0.62
    const middle = [(a[0] + b[0]) / 2, Math.min(a[1], b[1]) - up * 1.55]
    marks.push({
      op: 'path',
      d: `M${fixed(a[0] + Math.sign(b[0] - a[0]) * 2)} ${fixed(a[1] - up)}Q${fixed(middle[0])} ${fixed(middle[1])} ${fixed(b[0] - Math.sign(b[0] - a[0]) * 2)} ${fixed(b[1] - up)}`,
      fill: 'none',
      stroke: 'accent',
      line: 0.9,
    })
    marks.push({
      op: 'text',
      x: fixed(b[0]),
      y: fixed(b[1] - up * 1.35),
      size: 5.5,
      text: String(i + 1),
      font: 'numerals',
      fill: 'accent',
    })
    last = next
  }
  return marks
}

/** A ring round each spot that is meant. */
export function ringMarks({ spots }: Layout, ids: readonly string[]): Mark[] {
  return spots
    .filter(({ id }) => ids.includes(id))
    .map((spot): Mark => {
      const [width, height] = [spot.size[0] + 4, spot.size[1] + 4]
      return {
        op: 'rect',
        x: fixed(spot.at[0] - width / 2),
        y: fixed(spot.at[1] - height / 2),
        width,
        height,
        round: spot.shape === 'circle' || spot.shape === 'island' ? Math.min(width, height) / 2 : 2,
        fill: 'none',
        stroke: 'accent',
        line: 1.2,
      }
    })
}
