import { seededChance } from '../chance/chance'
import { placeOf } from '../skills'
import { choose, movesOf, newRound, roll } from './engine/round'
import { lineUpSet } from './families/line-up'
import { question, questionKindIds, questionKinds } from './families/questions'
import { gameOf } from './index'
import { go, make, start } from './testing/script'

test('More or Less: 4 against 3, and the spinner says less: the three wins both', () => {
  const state = start('more-or-less', { players: 2 })
  const { next, items } = go('more-or-less', state, [4, 3, 0])
  expect(items).toContainEqual({ op: 'compare', a: 4, b: 3, ask: 'more', answer: 4 })
  expect(next.won).toEqual([0, 1])
  // Equal cards wait: the next round takes all.
  const even = go('more-or-less', state, [4, 4, 1]).next
  expect(even).toMatchObject({ won: [0, 0], waiting: 1 })
  expect(go('more-or-less', even, [5, 1, 1]).next.won).toEqual([2, 0])
})

test('Bigger Haul: 8 and 5 beat 9 and 3; with differences the smaller wins', () => {
  const state = start('bigger-haul', { level: 'numerals', players: 2 })
  expect(go('bigger-haul', state, [8, 5, 9, 3]).next.won).toEqual([1, 0])
  const difference = start('bigger-haul', { level: 'difference', players: 2 })
  expect(go('bigger-haul', difference, [8, 5, 9, 3]).next.won).toEqual([1, 0])
})

test('Card Order: five cards make a row, every card put among those that lie', () => {
  let state = start('card-order', { level: 'to-9' })
  const among: number[] = []
  for (let card = 0; card < 6; card++) {
    const { next, items } = go('card-order', state, [0])
    among.push((items[1] as { among: number }).among)
    state = next as typeof state
  }
  expect(among).toEqual([1, 2, 3, 4, 5, 1])
})

test('line-up sets hold no ties and fit the number of children', () => {
  for (const kind of ['numerals', 'sums', 'tens-pictures', 'mixed', 'clocks'] as const)
    for (const children of [3, 14, 26]) {
      const cards = lineUpSet(kind, 0, 99, children, seededChance(children))
      expect(new Set(cards.map(({ value }) => value)).size).toBe(children)
    }
})

test('Silent Line: each child of three finds a place', () => {
  // Cards 0, 20 and 19 are dealt: the first of all, and each time the last, which fills the gap, again.
  const { events } = go('silent-line', start('silent-line', { players: 3 }), [0, 0, 0])
  const places = events.flatMap((event) =>
    event.kind === 'answered' && event.item.op === 'order' ? [event.item.answer] : [],
  )
  expect(places).toEqual([0, 20, 19])
})

test('Dice Run: of 2, 3, 4, 6 the planner keeps 2, 3, 4, which two numbers can complete', () => {
  const state = start('dice-run', { level: 'dice-4' })
  const { next, events } = go('dice-run', state, [2, 3, 4, 6])
  expect(next.kept).toEqual([0b1110])
  expect(events).toContainEqual({ kind: 'took', player: 0, cards: [2, 3, 4] })
  expect(go('dice-run', next, [5]).next.ended).toBe(true)
})

test('Card Run: with five cards open a sixth sends one away, and a run ends it', () => {
  const state = { ...start('card-run', { level: 'five' }), rows: [[2, 3, 4, 5, 9]] }
  const { next } = go('card-run', state, [6])
  expect(next.rows).toEqual([[2, 3, 4, 5, 6]])
  expect(next.ended).toBe(true)
})

test('Neighbours: of 7 they are 6 and 8; of 40 by tens 30 and 50', () => {
  expect(go('neighbours', start('neighbours', { level: 'to-10' }), [7]).items.slice(1)).toEqual([
    { op: 'neighbour', of: 7, by: -1, answer: 6 },
    { op: 'neighbour', of: 7, by: 1, answer: 8 },
  ])
  expect(go('neighbours', start('neighbours', { level: 'to-100' }), [40]).items.slice(1)).toEqual([
    { op: 'neighbour', of: 40, by: -10, answer: 30 },
    { op: 'neighbour', of: 40, by: 10, answer: 50 },
  ])
})

test('Point to It: on a line with its ends only the number has to be put in its place', () => {
  expect(go('point-fast', start('point-fast', { level: 'ends' }), [60]).items).toEqual([
    { op: 'order', among: 2, answer: 60 },
  ])
})

test('Hidden Corner: every unordered pair once, 66 cards for parts to 10 (n (n + 1) / 2 with n = 11)', () => {
  const game = gameOf('hidden-corner')
  const params = game.levels.find(({ id }) => id === 'totals-10')!.params
  expect(game.figures!(params, 2)).toEqual({ cards: (11 * 12) / 2 })
  const part = start('hidden-corner', { level: 'parts-10', players: 2 })
  // The last card is 10 and 10.
  expect(go('hidden-corner', part, [65]).items).toEqual([{ op: 'missing', part: 10, whole: 20, answer: 10 }])
})

test('Shut Chest: six in the chest, three loose: 6 + 3 = 9, counted on in three steps', () => {
  const { events, written } = go('shut-chest', start('shut-chest', { level: 'to-9' }), [6, 3])
  expect(events).toContainEqual(
    expect.objectContaining({ item: { op: 'add', a: 6, b: 3, answer: 9 }, steps: 3 }),
  )
  expect(written).toEqual(['6 + 3 = 9'])
})

test('Covered Die and Two Halves: the sum of both parts', () => {
  expect(go('covered-die', start('covered-die', { level: 'die', players: 2 }), [5, 4]).items).toEqual([
    { op: 'add', a: 4, b: 5, answer: 9 },
  ])
  expect(go('two-halves', start('two-halves', { level: 'to-5' }), [2, 3]).written).toEqual(['2 + 3 = 5'])
})

test('Quick Look: one flash, all say how many', () => {
  const { events } = go('quick-look', start('quick-look', { level: 'frame', players: 4 }), [8])
  const items = events.flatMap((event) => (event.kind === 'answered' ? [event.item] : []))
  expect(items).toEqual(Array(4).fill({ op: 'see', pattern: 'frame', answer: 8 }))
})

test('Frame Up: seven is five and two, three more make ten', () => {
  expect(go('frame-up', start('frame-up', { level: 'ten' }), [7]).items).toEqual([
    { op: 'numeral', answer: 7 },
    { op: 'see', pattern: 'frame', answer: 7 },
    { op: 'missing', part: 7, whole: 10, answer: 3 },
  ])
})

describe('Twin Totals', () => {
  test('two cards of one total stay, and who found them goes again', () => {
    const state = { ...start('twin-totals', { players: 2 }), layout: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9] }
    const first = make('twin-totals', state, 0).next
    const { next, kinds } = make('twin-totals', first, 1)
    expect(kinds).toContain('took')
    expect(next).toMatchObject({ turn: 0, won: [1, 0] })
    const missed = make('twin-totals', make('twin-totals', state, 0).next, 2).next
    expect(missed.turn).toBe(1)
  })
})

describe('Any Pairs?', () => {
  const state = () => ({
    ...start('any-pairs', { level: 'to-10', players: 2 }),
    dealt: true,
    hands: [
      [3, 7],
      [3, 9],
    ],
    stock: [7, 5],
  })
  test('asked for and there: a pair is laid down', () => {
    const { next } = make('any-pairs', state(), { from: 1, number: 3 })
    expect(next).toMatchObject({ hands: [[7], [9]], pairs: [1, 0], turn: 1 })
  })
  test('not there, but drawn: another go; another lucky pair gives none', () => {
    const lucky = make('any-pairs', state(), { from: 1, number: 7 }).next
    expect(lucky).toMatchObject({ turn: 0, pairs: [1, 0], lucky: true })
    const again = { ...lucky, hands: [[5], [9]], stock: [5] } as never
    expect(make('any-pairs', again, { from: 1, number: 5 }).next).toMatchObject({ pairs: [2, 0], turn: 1 })
  })
})

test('Number in the Fog: “more than 9?” of 0 to 20 leaves half; halving takes ⌈log2 n⌉ questions at most', () => {
  const { next } = go('fog-number', start('fog-number', { level: 'to-20', players: 2 }), [14])
  expect([next.from, next.to]).toEqual([10, 20])
  for (const high of [1, 3, 7, 8, 20, 99, 100, 1000]) {
    const game = gameOf('fog-number')
    const params = { low: 0, high, fact: 'number', record: false }
    expect(game.figures!(params, 2).questionsAtMost).toBe(Math.ceil(Math.log2(high + 1)))
  }
})

describe('Switchback', () => {
  const calls = (rules: object) => gameOf('switchback').figures!(gameOf('switchback').params.parse(rules), 6)
  test('sevens to 100: thirty calls, 27 and 28 and others side by side', () => {
    const found = calls({ multiple: 7, to: 100 }) as { calls: number[]; turnsTogether: number[] }
    // Counted by hand: fourteen multiples, nineteen numbers with a seven, three of them both (7, 70, 77).
    expect(found.calls).toHaveLength(14 + 19 - 3)
    expect(found.calls).toEqual(expect.arrayContaining([7, 14, 17, 27, 28, 70, 79, 98]))
    expect(found.turnsTogether).toContain(28)
  })
  test('without the digit rule only multiples are called, and from ten on in any case', () => {
    expect(calls({ multiple: 3, to: 12, digitRule: false }).calls).toEqual([3, 6, 9, 12])
    expect(calls({ multiple: 12, to: 30 }).calls).toEqual([12, 24])
  })
  test('after a call the circle turns: of six, the child before says 6', () => {
    const { whoSays } = calls({ multiple: 5, to: 10, children: 6 }) as { whoSays: number[][] }
    expect(whoSays).toEqual([[1, 9], [2, 8], [3, 7], [4, 6], [5], [10]])
  })
  test.each([3, 4, 5, 6, 7, 8, 9, 10, 11, 12])(
    'in a circle of %i, played out: who speaks and whether the word is called, by walking round with a finger',
    (children) => {
      const { levels, table } = gameOf('switchback')
      for (const { params } of levels) {
        const { multiple, to, digitRule } = params as { multiple: number; to: number; digitRule: boolean }
        // The children stand in a row here; a finger moves one place on, or back after a call.
        const row = Array.from({ length: children }, (_, child) => child)
        let finger = 0
        let on = true
        let round = newRound('switchback', params, children, 3)
        for (let number = 1; number <= to; number++) {
          const { turn } = round.state
          const words = table.say(round.state, 'say')
          const called =
            number % multiple === 0 || (digitRule && String(number).split('').includes(String(multiple)))
          expect([number, turn, words.verb]).toEqual([number, row[finger], called ? 'call' : 'answer'])
          if (called) on = !on
          finger = on ? (finger === children - 1 ? 0 : finger + 1) : finger === 0 ? children - 1 : finger - 1
          round = roll(round, 0).round
          if (round.phase === 'choose') round = choose(round, movesOf(round)[0], 0).round
        }
        expect(round.phase).toBe('over')
      }
    },
  )
  test('a slip starts again or carries on', () => {
    const rules = { multiple: 5, to: 10, slips: 20 }
    const at = (slip: string) => ({
      ...start('switchback', { rules: { ...rules, slip }, players: 6 }),
      said: 4,
    })
    expect(go('switchback', at('again'), [1]).next.said).toBe(0)
    expect(go('switchback', at('carry-on'), [1]).next.said).toBe(5)
  })
})

test('Rising Tide: the third miss in a round ends it', () => {
  const state = { ...start('rising-tide', { level: 'bonds-10' }), asked: 4, missed: 2 }
  expect(go('rising-tide', state, [3, 1]).next.ended).toBe(true)
  expect(go('rising-tide', state, [3, 10]).next).toMatchObject({ ended: false, asked: 5 })
})

test('Deck Drill: seven jumps, and nobody moves without the key word', () => {
  expect(go('deck-drill', start('deck-drill', { level: 'to-10', players: 2 }), [7]).events).toContainEqual({
    kind: 'jumped',
    player: 1,
    times: 7,
  })
  const without = go('deck-drill', start('deck-drill', { level: 'key-word', players: 2 }), [7, 3])
  expect(without.kinds).not.toContain('jumped')
})

test('Skip Lines: stairs in twos go up to 20 and back', () => {
  let state = start('skip-lines', { level: 'stairs' })
  const said: number[] = []
  while (!state.ended) {
    const { next, items } = go('skip-lines', state, [])
    said.push((items[0] as { answer: number }).answer)
    state = next as typeof state
  }
  expect(said.slice(0, 3)).toEqual([2, 4, 6])
  expect(said.slice(9, 12)).toEqual([20, 18, 16])
  expect(said.at(-1)).toBe(0)
})

test('Fetch Two: 5 and 3 give four sentences', () => {
  expect(go('fetch-two', start('fetch-two', { level: 'to-6' }), [3, 5]).written).toEqual([
    '5 + 3 = 8',
    '3 + 5 = 8',
    '8 − 5 = 3',
    '8 − 3 = 5',
  ])
})

test('Clock Cards: half past four', () => {
  expect(go('clock-cards', start('clock-cards', { level: 'half-hours' }), [9]).items).toEqual([
    { op: 'clock', hour: 4, minute: 30, answer: 270 },
  ])
})

test('Pattern Chain: going on from two parts that lie there', () => {
  const { events, items } = go('pattern-chain', start('pattern-chain', { level: 'aab' }), [0])
  expect(items).toEqual([{ op: 'pattern', unit: 'AAB', answer: 3 }])
  expect(events).toContainEqual({ kind: 'built', player: 0, cubes: 12 - 6, space: 0 })
})

test('Team Board: a question of the third row is worth three, and the wall empties', () => {
  const state = start('team-board', { level: 'to-20', players: 2 })
  const double = (a: number) => ({ op: 'add', a, b: a, answer: 2 * a })
  const column = [double(6), double(7), double(9)]
  const asked = { ...state, questions: [column, column, column], luck: 1 }
  const { next, events } = make('team-board', asked, 6)
  expect(events).toContainEqual(expect.objectContaining({ kind: 'answered', item: double(9) }))
  expect(next.scores).toEqual([3, 0])
  expect(next.open[6]).toBe(false)
})

test('Leaky Claim: three facts are checked and the untrue one is mended', () => {
  const { items, written } = go('leaky-claim', start('leaky-claim', { level: 'bonds-10' }), [3, 4, 10, 1, 0])
  expect(items).toHaveLength(3)
  expect(written).toEqual(['4 + 6 = 10'])
})

test('Door Cards: who misses goes to the back, and the second time all go on', () => {
  const missed = go('door-cards', start('door-cards', { level: 'bonds-10', players: 2 }), [3, 1]).next
  expect(missed).toMatchObject({ waiting: 1, back: 1 })
  const second = go('door-cards', missed, [4, 10]).next
  expect(second).toMatchObject({ waiting: 0, back: 1, ended: false })
  expect(go('door-cards', second, [4]).next.ended).toBe(true)
})

test.each(questionKindIds)('questions of %s practise the strand and step they say', (kind) => {
  const chance = seededChance(11)
  const { strand, step, to } = questionKinds[kind]
  for (let i = 0; i < 200; i++) {
    const item = question(kind, chance)
    expect(placeOf(item)).toEqual({ strand, step })
    expect(item.answer).toBeLessThanOrEqual(to)
  }
})
