import type { Mark } from '../../drawing/marks'

type Text = Extract<Mark, { op: 'text' }>

/** Every text of these marks, at its place on the whole. */
export const placedTexts = (marks: readonly Mark[], x = 0, y = 0): Text[] =>
  marks.flatMap((mark) =>
    mark.op === 'group'
      ? placedTexts(mark.marks, x + mark.x, y + mark.y)
      : mark.op === 'text'
        ? [{ ...mark, x: mark.x + x, y: mark.y + y }]
        : [],
  )
