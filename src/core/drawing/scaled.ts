import SvgPath from 'svgpath'
import type { Mark } from './marks'

/** The same mark at another size, round (0, 0). */
export function scaled(mark: Mark, by: number): Mark {
  switch (mark.op) {
    case 'group':
      return { ...mark, x: mark.x * by, y: mark.y * by, marks: mark.marks.map((one) => scaled(one, by)) }
    case 'circle':
      return { ...mark, x: mark.x * by, y: mark.y * by, r: mark.r * by, line: mark.line * by }
    case 'text':
      return { ...mark, x: mark.x * by, y: mark.y * by, size: mark.size * by }
    case 'rect':
      return {
        ...mark,
        x: mark.x * by,
        y: mark.y * by,
        width: mark.width * by,
        height: mark.height * by,
        round: mark.round * by,
        line: mark.line * by,
      }
    case 'path':
      return {
        ...mark,
        d: new SvgPath(mark.d).scale(by).round(3).toString(),
        line: mark.line * by,
      }
  }
}
