import { seededChance } from '../chance/chance'
import { piecesOf } from '../printing/pieces/of-thing'
import { itemAsked, slips, type PracticeItem } from '../skills'
import { thing } from '../things'
import { gameOf, playGo, type GameEvent, type GameState } from './index'
import { go, start } from './testing/script'

const stall = gameOf('quay-stall')

/** What lies on the stall, coin by coin. */
const paid = (state: GameState): number[] =>
  stall.table
    .things(state, 0)
    .flatMap(({ at, face }) => (at === 'stall' && face?.kind === 'numeral' ? [face.n] : []))

test('a purse lies in order on the stall once it is counted', () => {
  const { next, items } = go('quay-stall', start('quay-stall', { level: 'purses' }), [2])
  // The third of all purses.
  expect(items).toEqual([{ op: 'coins', coins: [2, 20, 20], answer: 42 }])
  expect(paid(next)).toEqual([20, 20, 2])
})

test('a price is paid exactly, with the fewest coins, and change makes up what was paid', () => {
  const eight = go('quay-stall', start('quay-stall', { level: 'prices-10' }), [4])
  // Prices that take more than one coin: 3, 4, 6, 7, 8, 9.
  expect(itemAsked(eight.items[0] as PracticeItem)).toBe('Pay 8: ? coins')
  expect(paid(eight.next)).toEqual([5, 2, 1])
  const seven = go('quay-stall', start('quay-stall', { level: 'change' }), [1, 7])
  expect(seven.items).toEqual([{ op: 'change', price: 7, paid: 10, answer: 3 }])
  expect(paid(seven.next)).toEqual([2, 1])
})

test('no card of any level needs a coin that its set does not hold, nor more of one than there are', () => {
  for (const { id, params } of stall.levels) {
    const set = stall
      .materials(params)
      .map(({ thing: one }) => one)
      .find(({ kind }) => kind === 'coins')
    if (set?.kind !== 'coins') throw new Error('There are no coins.')
    const chance = seededChance(8)
    for (let round = 0; round < 20; round++) {
      let state: GameState = start('quay-stall', { level: id })
      const answered: PracticeItem[] = []
      const sink = (event: GameEvent) => event.kind === 'answered' && answered.push(event.item)
      while (!state.ended) {
        state = playGo(stall, state, 'planner', chance, sink)
        const coins = paid(state)
        expect(Math.max(...coins)).toBeLessThanOrEqual(set.to)
        for (const coin of coins)
          expect(coins.filter((one) => one === coin).length).toBeLessThanOrEqual(set.copies)
      }
      expect(answered).toHaveLength(10)
    }
  }
})

test('who counts coins in place of their worth is told apart from who leaves one out', () => {
  expect(slips({ op: 'coins', coins: [5, 5, 5], answer: 15 })).toEqual([
    { answer: 3, reason: 'counted-coins' },
    { answer: 10, reason: 'left-one-coin' },
    { answer: 16, reason: 'one-too-many' },
  ])
})

test('a printed set holds as many coins of each worth as it says, all of one size', () => {
  const pieces = piecesOf(thing({ kind: 'coins', to: 20, copies: 6 }), 1, null, 1)!
  expect(pieces).toHaveLength(5 * 6)
  expect(new Set(pieces.map(({ width, height }) => `${width} ${height}`)).size).toBe(1)
})

test('Point to It, written down: the number is heard as a word and stands nowhere as a numeral until it is written', () => {
  const point = gameOf('point-fast')
  const begun = start('point-fast', { level: 'write-100' })
  const called = point.roll(begun, seededChance(5))
  const faces = (state: GameState) => point.table.things(state, 0).map(({ face }) => face!)
  expect(faces(called).map(({ kind }) => kind)).toEqual(['words'])
  const written = point.play(called, 'answer')
  expect(faces(written).map(({ kind }) => kind)).toContain('numeral')
})
