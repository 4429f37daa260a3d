import { games } from '../games'
import { analyse, analyseInputSchema } from './analyse'
import { factTable } from './fact-table'
import type { Practice } from './figures'

const fact = (key: string, item: Practice['items'][number]['item'], share: number) => ({
  key,
  item,
  share,
  perGame: 20 * share,
})

test('facts stand by their two numbers; those of a rarer kind are only named', () => {
  const { op, cells, commonest } = factTable([
    fact('3 + 4', { op: 'add', a: 3, b: 4, answer: 7 }, 0.5),
    fact('4 + 3', { op: 'add', a: 4, b: 3, answer: 7 }, 0.3),
    fact('9 − 2', { op: 'subtract', a: 9, b: 2, answer: 7 }, 0.2),
  ])
  expect(op).toBe('add')
  expect(cells).toEqual([
    { column: 3, row: 4, times: 100 },
    { column: 4, row: 3, times: 60 },
  ])
  expect(commonest.map(({ fact }) => fact)).toEqual(['3 + 4', '4 + 3', '9 − 2'])
})

test('many numbers share columns, and no fact is lost by it', () => {
  const items = Array.from({ length: 90 }, (_, a) =>
    fact(`${a} + 1`, { op: 'add', a, b: 1, answer: a + 1 }, 1 / 90),
  )
  const { cells } = factTable(items)
  expect(cells.map(({ column }) => column)).toEqual([0, 10, 20, 30, 40, 50, 60, 70, 80])
  expect(cells.reduce((sum, { times }) => sum + times, 0)).toBeCloseTo(200, 9)
})

test('a level of ten thousand facts is small enough for a page', () => {
  const game = games.find(({ id }) => id === 'leaky-claim')!
  const params = game.levels.find(({ id }) => id === 'more-or-less-100')!.params
  const { items } = analyse(analyseInputSchema.parse({ game: game.id, params, players: 3 })).practice!
  expect(items.length).toBeGreaterThan(5_000)
  expect(JSON.stringify(factTable(items)).length).toBeLessThan(20_000)
})
