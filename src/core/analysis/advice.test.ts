import { games, gameOf } from '../games'
import { adviceIn, tryChanges } from './advice'
import { analyse, analyseInputSchema } from './analyse'

const advice = (input: object) => {
  const parsed = analyseInputSchema.parse(input)
  return adviceIn(tryChanges(parsed, analyse(parsed)), parsed.slotMinutes)
}

test('a board that rarely finishes is shortened just enough, and the figures are those of the changed game', () => {
  const [first] = advice({ game: 'tower-bay', level: 'two-dice', players: 2, slotMinutes: 6 })
  expect(first).toMatchObject({ change: 'fewer-spaces', why: 'finishes' })
  const changed = analyse(
    analyseInputSchema.parse({ game: 'tower-bay', params: first.params, players: 2, slotMinutes: 6 }),
  )
  expect(first.after.finishInSlot).toBe(changed.minutes!.finishInSlot)
  expect(first.after.goes).toBe(changed.set!.goes!.mean)
})

test('waiting for the exact number: let passing count', () => {
  const found = advice({ game: 'landfall', level: 'to-10-die', players: 2, slotMinutes: 10 })
  expect(found.map(({ change }) => change)).toContain('let-passing-count')
})

test('four in a set: smaller sets spare waiting', () => {
  const found = advice({ game: 'landfall', level: 'to-20-die', players: 4, slotMinutes: 10 })
  expect(found.find(({ change }) => change === 'smaller-sets')).toMatchObject({
    amount: 2,
    why: 'less-waiting',
  })
})

test('nothing is advised where no change helps', () => {
  expect(advice({ game: 'the-gap', level: 'to-10', players: 2, slotMinutes: 10 })).toEqual([])
})

test.each(games.map(({ id }) => id))(
  '%s: whatever is advised was tried, and its figures are those of the change',
  (id) => {
    const input = analyseInputSchema.parse({
      game: id,
      level: gameOf(id).levels.at(-1)!.id,
      slotMinutes: 4,
      games: 150,
    })
    for (const { params, players, after } of adviceIn(tryChanges(input, analyse(input)), input.slotMinutes)) {
      const changed = analyse(
        analyseInputSchema.parse({ game: id, params, players, slotMinutes: 4, games: 150 }),
      )
      expect(after.deadShare).toBe(changed.set!.deadShare)
      expect(after.finishInSlot).toBe(changed.minutes?.finishInSlot ?? null)
      expect(after.waitingShare).toBe(changed.practice!.waitingShare)
    }
  },
)
