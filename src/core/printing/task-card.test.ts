import type { Mark } from '../drawing/marks'
import { games } from '../games'
import { taskCard } from './task-card'

type Text = Extract<Mark, { op: 'text' }>

test('on every task card the steps stay above the foot, and the foot inside the card', () => {
  const faults = games.flatMap((game) =>
    game.levels.flatMap((level) => {
      const { height, marks } = taskCard(game, level.title, level.params)
      const rule = marks.find((mark) => mark.op === 'path')!
      const low = Number(/ (-?[\d.]+)H/.exec(rule.d)![1])
      return marks
        .filter((mark): mark is Text => mark.op === 'text')
        .filter(({ y }) => (y < low ? y > low - 1.5 : y > height / 2 - 2))
        .map(({ text }) => `${game.id} ${level.id}: “${text}”`)
    }),
  )
  expect(faults).toEqual([])
})
