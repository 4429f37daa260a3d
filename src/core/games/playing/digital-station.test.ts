import { games, gameOf } from '../index'
import { beginAtStation, goingOn, playedEnough, recordOf } from './digital-station'
import { movesOf } from '../engine/round'
import { answer, chooseMove, deviceUsed, isOwnGo, othersStep, pass, type Trying } from './trying'

/** One step of a child that answers every fourth question wrongly at first. */
function step(trying: Trying, asked: number): Trying {
  const [item] = trying.open
  if (!isOwnGo(trying)) return othersStep(trying)
  if (item) {
    const tried = asked % 4 === 3 && trying.wrong.length === 0 ? answer(trying, item.answer + 1) : trying
    return answer(tried, item.answer)
  }
  if (trying.round.phase === 'roll') return deviceUsed(trying)
  const legal = movesOf(trying.round)
  return legal.length === 0 ? pass(trying) : chooseMove(trying, legal[0])
}

test.each(games.map(({ id }) => [id] as const))(
  '%s: eight to twelve goes, however short the game, and each answer is in the record once',
  (id) => {
    let trying = beginAtStation(id, gameOf(id).levels[0].id, 3)
    for (let steps = 0; steps < 600 && !playedEnough(trying); steps++)
      trying = goingOn(step(trying, trying.done.length), steps)
    expect(playedEnough(trying)).toBe(true)
    expect(trying.goes).toBeGreaterThanOrEqual(8)
    expect(trying.goes).toBeLessThanOrEqual(12)
    const record = recordOf(trying)
    const read = ['count', 'numeral', 'clock', 'pattern', 'tens', 'say', 'order']
    const told = trying.done.filter(
      ({ item: { op } }) => !read.includes(op) && (op !== 'see' || id === 'quick-look'),
    )
    const first = told.filter(({ wrong }) => wrong.length === 0).length
    expect(record.reduce((sum, { value }) => sum + value.of, 0)).toBe(told.length)
    expect(record.reduce((sum, { value }) => sum + value.right, 0)).toBe(first)
    for (const { value, digital } of record) {
      expect(value.judged).toBeNull()
      expect(digital.guess).toBeLessThanOrEqual(0.5)
    }
  },
)

test('which of two is more can be guessed: the record says how often', () => {
  const compare = { op: 'compare', a: 3, b: 5, ask: 'more', answer: 5 } as const
  const add = { op: 'add', a: 3, b: 5, answer: 8 } as const
  const begun = beginAtStation('landfall', 'to-10-die', 1)
  const record = recordOf({
    ...begun,
    done: [
      { item: compare, wrong: [] },
      { item: add, wrong: [7] },
    ],
  })
  expect(record.map(({ digital }) => digital.guess).sort()).toEqual([0, 0.5])
  expect(record.find(({ digital }) => digital.guess === 0)).toMatchObject({
    value: { right: 0, of: 1 },
    digital: { slips: [{ reason: 'counted-own', count: 1 }] },
  })
})
