import type { Mark } from '../../drawing/marks'
import { games } from '../../games'
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
