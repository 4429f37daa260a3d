import type { Mark } from '../../drawing/marks'
import { games } from '../../games'
import { widthOf } from '../text'
import { taskCard, taskCardForms } from './task-card'

const group = (marks: readonly Mark[], id: string) =>
  marks.find((mark): mark is Extract<Mark, { op: 'group' }> => mark.op === 'group' && mark.id === id)!

/** The lowest base line of texts and rings of a block, from its own top. */
const lowest = (marks: readonly Mark[]): number =>
  Math.max(
    ...marks.map((mark) =>
      mark.op === 'group'
        ? mark.y
        : mark.op === 'text'
          ? mark.y
          : mark.op === 'circle'
            ? mark.y + mark.r
            : -Infinity,
    ),
  )

test.each(taskCardForms)(
  'on every task card, %s, picture, needs, steps and foot stand clear of one another',
  (form) => {
    const faults = games.flatMap((game) =>
      game.levels.flatMap((level) => {
        const { height, marks } = taskCard(game, level.title, level.params, form)
        const [picture, needs, steps] = ['picture', 'needs', 'steps'].map((id) => group(marks, id))
        const rules = marks.flatMap((mark) =>
          mark.op === 'path' ? [Number(/^M-?[\d.]+ (-?[\d.]+)H/.exec(mark.d)?.[1])] : [],
        )
        const [head, foot] = [Math.min(...rules), Math.max(...rules)]
        const inOrder =
          head < picture.y &&
          picture.y < needs.y &&
          needs.y + lowest(needs.marks) < steps.y &&
          steps.y + lowest(steps.marks) < foot &&
          foot < height / 2
        return inOrder ? [] : [`${game.id} ${level.id}`]
      }),
    )
    expect(faults).toEqual([])
  },
)

type Text = Extract<Mark, { op: 'text' }>
const leaves = (marks: readonly Mark[]): Exclude<Mark, { op: 'group' }>[] =>
  marks.flatMap((mark) => (mark.op === 'group' ? leaves(mark.marks) : [mark]))

test.each(taskCardForms)('the name of a game and of its level stand apart, %s', (form) => {
  const close = games.flatMap((game) =>
    game.levels.flatMap((level) => {
      const { marks } = taskCard(game, level.title, level.params, form)
      const named = (text: string) =>
        marks.find((mark): mark is Text => mark.op === 'text' && mark.text === text)!
      const [title, beside] = [named(game.title), named(level.title)]
      // The one begins at its left end; the other, as whatever ends at the margin, is placed by its middle.
      const end = title.x + widthOf(title.text, title)
      const begin = beside.x - (beside.starts ? 0 : widthOf(beside.text, beside) / 2)
      return begin - end >= 2 ? [] : [`${game.id} ${level.id}: ${(begin - end).toFixed(1)} mm`]
    }),
  )
  expect(close).toEqual([])
})

test('no step is shown by words alone that are too small to read: the sign of the gesture stands there', () => {
  const small = games.flatMap((game) =>
    game.levels.flatMap((level) => {
      const { marks } = taskCard(game, level.title, level.params, 'large')
      return group(marks, 'steps').marks.flatMap((mark) => {
        if (mark.op !== 'group' || !mark.id.startsWith('sign ')) return []
        const drawn = leaves(mark.marks)
        const readable = drawn.some((one) => one.op !== 'text' || one.size >= 3)
        return readable ? [] : [`${game.id} ${level.id} ${mark.id}`]
      })
    }),
  )
  expect(small).toEqual([])
})
