import { isTrue } from '../skills'
import { gameOf } from './index'
import { go, start } from './testing/script'
import { fairShares, fiveInLineCards } from './families/board-maker'
import { workedOut, waysToMake } from './families/cover-ways'

test('Pebble Count: two dice, 5 and 2: add, count out seven, write 7', () => {
  const { items, written } = go('pebble-count', start('pebble-count', { level: 'two-dice' }), [5, 2])
  expect(items).toEqual([
    { op: 'add', a: 5, b: 2, answer: 7 },
    { op: 'count', answer: 7 },
  ])
  expect(written).toEqual(['7'])
})

test('Sand Steps: a six on a path to five is a dead go, a covered step too', () => {
  const state = start('sand-steps', { level: 'to-5' })
  expect(go('sand-steps', state, [6]).kinds).toEqual(['rolled', 'waited', 'handed-over'])
  const once = go('sand-steps', state, [4]).next
  expect(go('sand-steps', once, [4]).kinds).toContain('waited')
})

test('Full Nets: every card once; six nets from 0, 5 and 11 take 15, 45 and 81 objects', () => {
  const objects = gameOf('full-nets').levels.map(
    ({ params }) =>
      gameOf('full-nets')
        .materials(params)
        .find(({ thing }) => thing.kind === 'counter')!.perSet,
  )
  expect(objects).toEqual([15, 45, 81])
  let state = start('full-nets', { level: 'to-5' })
  const filled: number[] = []
  for (const index of [2, 2, 0, 0, 0, 0]) {
    const { next, events } = go('full-nets', state, [index])
    state = next as typeof state
    filled.push(...events.flatMap((event) => (event.kind === 'built' ? [event.cubes] : [])))
  }
  expect([...filled].sort()).toEqual([0, 1, 2, 3, 4, 5])
  expect(state.ended).toBe(true)
})

test('Jetty Planks: dice 3 and 4 fill row 7 of one’s own side, the second time it is a dead go', () => {
  const state = start('jetty-planks', { level: 'to-20', players: 2 })
  const { next, written } = go('jetty-planks', state, [3, 4])
  expect(written).toHaveLength(3)
  expect(written.map(Number)).toEqual([+written[0], +written[0] + 1, +written[0] + 2])
  // The other side is not touched by it.
  expect(go('jetty-planks', next, [3, 4]).kinds).toContain('placed')
  expect(go('jetty-planks', { ...next, turn: 0 }, [3, 4]).kinds).toContain('waited')
})

test('Lantern Grid: three boxes show a 4; the fourth spin of it is dead', () => {
  let state = start('lantern-grid', { level: 'to-5' })
  for (let spin = 0; spin < 3; spin++) state = go('lantern-grid', state, [4]).next as typeof state
  expect(go('lantern-grid', state, [4]).kinds).toEqual(['spun', 'waited', 'handed-over'])
})

test('Buoy Bowl: three of ten fell, seven stand; hidden ones are worked out', () => {
  const seen = go('buoy-bowl', start('buoy-bowl', { level: 'ten' }), [3])
  expect(seen.written).toEqual(['3 + 7 = 10'])
  const hidden = go('buoy-bowl', start('buoy-bowl', { level: 'ten-hidden' }), [3])
  expect(hidden.items).toContainEqual({ op: 'missing', part: 3, whole: 10, answer: 7 })
})

test('Mark and Make goes through the numbers in order', () => {
  let state = start('mark-and-make')
  const numbers: unknown[] = []
  while (!state.ended) {
    const { next, items } = go('mark-and-make', state, [])
    numbers.push((items[0] as { answer: number }).answer)
    state = next as typeof state
  }
  expect(numbers).toEqual([0, 1, 2, 3, 4, 5])
})

describe('Low Tide', () => {
  test('an 8 covers 8, or 1 and 7, 2 and 6, 3 and 5', () => {
    const state = start('low-tide', { level: 'two-parts' })
    const ways = gameOf('low-tide').moves({ ...state, thrown: [3, 5] }) as number[]
    const numbers = ways.map((mask) => [1, 2, 3, 4, 5, 6, 7, 8, 9].filter((n) => mask & (1 << (n - 1))))
    expect(numbers.sort((a, b) => a[0] - b[0])).toEqual([[1, 7], [2, 6], [3, 5], [8]])
  })
  test('no way ends the round and the next child begins; who has least open wins', () => {
    const state = { ...start('low-tide', { level: 'two-parts', players: 2 }), open: [0b1, 0b11] }
    const stuck = go('low-tide', state, [6, 6])
    expect(stuck.kinds).toEqual(['rolled', 'waited', 'handed-over'])
    expect(stuck.next).toMatchObject({ turn: 1, ended: false })
    expect(go('low-tide', stuck.next, [6, 6]).next).toMatchObject({ ended: true, winner: 0 })
  })
  test('until full, no way costs only the go', () => {
    const state = { ...start('low-tide', { level: 'match-6' }), open: [0b1] }
    expect(go('low-tide', state, [3]).next).toMatchObject({ ended: false, turn: 0 })
  })
  test('any operations: 7 of 2, 4, 9 as 9 − 4 + 2; every sentence found comes out right', () => {
    const mask = 0b100001010
    expect(waysToMake(9, 7, 9, true)).toContain(mask)
    for (const way of waysToMake(5, 7, 5, true)) {
      const { text, items } = workedOut(way, 7)
      expect(items.map(({ answer }) => answer).at(-1) ?? 7).toBe(7)
      expect(items.every(isTrue)).toBe(true)
      const parts = text.split(' ')
      let value = Number(parts[0])
      for (let i = 1; i < parts.length; i += 2) {
        const number = Number(parts[i + 1])
        value = { '+': value + number, '−': value - number, '×': value * number, '÷': value / number }[
          parts[i]
        ]!
        expect(Number.isInteger(value) && value >= 0).toBe(true)
      }
      expect(value).toBe(7)
    }
  })
})

describe('Tens Catch', () => {
  test('6, 4, 3, 1: six and four, or six and three and one, make ten', () => {
    const state = { ...start('tens-catch', { level: 'to-10' }), open: [6, 4, 3, 1] }
    expect(gameOf('tens-catch').moves(state)).toEqual([
      [1, 3, 6],
      [4, 6],
    ])
  })
  test('nothing makes ten: the four go under the pile, and no card is lost', () => {
    const state = { ...start('tens-catch', { level: 'to-10' }), unseen: [5, 6], open: [8, 8, 9, 9] }
    const { next, kinds } = go('tens-catch', state, [])
    expect(kinds).toEqual(['waited', 'handed-over'])
    expect(next.under).toEqual([8, 8, 9, 9])
    expect([...next.unseen, ...next.under, ...next.open]).toHaveLength(6)
  })
})

test('Trade Up: 8 and 5 more is 13: a ten is traded, one ten and three', () => {
  const state = { ...start('trade-up', { level: 'five-tens' }), positions: [8] }
  const { items, kinds } = go('trade-up', state, [2, 3])
  expect(items).toEqual([
    { op: 'add', a: 8, b: 5, answer: 13 },
    { op: 'tens', tens: 1, ones: 3, answer: 13, traded: true },
  ])
  expect(kinds).toContain('took')
  const paying = { ...start('trade-up', { level: 'pay-five' }), positions: [4] }
  expect(go('trade-up', paying, [6, 6]).next.ended).toBe(true)
})

test('Doubles Dash: a 4 fills the column of 8; six of them win', () => {
  const state = { ...start('doubles-dash', { level: 'die' }), heights: [0, 0, 0, 5, 0, 0] }
  const { next, written } = go('doubles-dash', state, [4])
  expect(written).toEqual(['8'])
  expect(next.ended).toBe(true)
})

describe('cards for Five Flags', () => {
  const twoDice = new Map([1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1].map((ways, i) => [i + 2, ways / 36]))
  test('numbers stand on a card as often as they are called: seven four times, two once', () => {
    const shares = fairShares(twoDice, 24)
    expect([...shares.values()].reduce((a, b) => a + b, 0)).toBe(24)
    expect(shares.get(7)).toBe(4)
    expect(shares.get(2)).toBe(1)
    expect(shares.get(6)).toBe(shares.get(8))
  })
  test('thirty cards are all different and all fair', () => {
    const cards = fiveInLineCards(twoDice, { size: 5, free: true, cards: 30, seed: 4 })
    expect(new Set(cards.map(String)).size).toBe(30)
    for (const card of cards) {
      expect(card).toHaveLength(25)
      expect(card[12]).toBe(0)
      expect([...card].sort()).toEqual([...cards[0]].sort())
    }
  })
})

describe('Five Flags', () => {
  const card = [
    [2, 3, 4, 5, 6],
    [7, 8, 9, 10, 11],
    [12, 7, 7, 6, 5],
    [7, 8, 9, 10, 4],
    [6, 6, 7, 8, 9],
  ]
  test('one call, all mark one space with it', () => {
    const state = start('five-flags', { level: 'two-dice', players: 2, rules: { card } })
    const { next, events } = go('five-flags', state, [1, 2])
    expect(events.filter(({ kind }) => kind === 'placed')).toHaveLength(2)
    expect(next.marks.map((marks: number[]) => marks[1])).toEqual([0, 1])
  })
  test('the fifth in a line wins; two at one call win together', () => {
    const state = start('five-flags', { level: 'two-dice', players: 2, rules: { card } })
    const almost = state.marks.map((marks: number[], player: number) =>
      marks.map((mark, space) => (space < 4 ? player : mark)),
    )
    const { next } = go('five-flags', { ...state, marks: [almost[0], state.marks[1]] } as never, [3, 3])
    expect(next).toMatchObject({ ended: true, winner: 0 })
    expect(go('five-flags', { ...state, marks: almost } as never, [3, 3]).next.winner).toBe(null)
  })
  test('jumps come before marking, as many as the number', () => {
    const state = start('five-flags', { level: 'jumps', players: 1 })
    expect(go('five-flags', state, [3, 4]).events).toContainEqual(
      expect.objectContaining({ kind: 'jumped', player: 0, times: 7 }),
    )
  })
})

describe('Perch', () => {
  const board = (owner: number, tokens: number) => {
    const state = start('perch', { level: 'two-dice', players: 2 })
    return { ...state, board: state.board.with(5, { owner, tokens }), hand: [9, 9] }
  }
  test('another’s single bird flies home', () => {
    const { next, kinds } = go('perch', board(1, 1), [3, 4])
    expect(kinds).toContain('sent-back')
    expect(next.hand).toEqual([8, 10])
    expect(next.board[5]).toEqual({ owner: 0, tokens: 1 })
  })
  test('two of one’s own are safe, and then nobody can go there', () => {
    const safe = go('perch', board(0, 1), [3, 4]).next
    expect(safe.board[5]).toEqual({ owner: 0, tokens: 2 })
    expect(go('perch', { ...safe, turn: 1 }, [2, 5]).kinds).toContain('waited')
  })
  test('a double gives another go, also after a dead one', () => {
    expect(go('perch', board(0, 1), [2, 2]).next.turn).toBe(0)
    const locked = { ...board(1, 2), board: board(1, 2).board.with(2, { owner: 1, tokens: 2 }) }
    expect(go('perch', locked, [2, 2]).next.turn).toBe(0)
    expect(go('perch', board(0, 1), [2, 3]).next.turn).toBe(1)
  })
})
