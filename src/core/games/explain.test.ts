import { seededChance } from '../chance/chance'
import { itemAsked, placeOf, sentenceOf, type PracticeItem } from '../skills'
import { gameOf, playGo, type GameEvent, type GameState } from './index'
import { go, start } from './testing/script'

const crews = gameOf('even-crews')

/** How many lie on each spot of the table. */
function lying(state: GameState): Record<string, number> {
  const found: Record<string, number> = {}
  for (const { at, kind, many } of crews.table.things(state, 0))
    if (kind === 'counter') found[at!] = (found[at!] ?? 0) + (many ?? 1)
  return found
}

test('twelve shared by three: four in each boat, nobody waits', () => {
  // The card: three boats, four in each.
  const { next, items, kinds } = go('even-crews', start('even-crews', { level: 'sharing' }), [3, 4])
  expect(items).toEqual([{ op: 'share', total: 12, among: 3, answer: 4 }])
  expect(kinds).toContain('explained')
  expect(lying(next)).toEqual({ 'boat-0': 4, 'boat-1': 4, 'boat-2': 4 })
})

test('seven in pairs: one has no partner, so it is odd; eight is even', () => {
  const seven = go('even-crews', start('even-crews', { level: 'odd-or-even' }), [7])
  expect(seven.items).toEqual([{ op: 'odd-even', of: 7, answer: 1 }])
  const alone = (state: GameState) => {
    const seats = lying(state)
    // Partners sit one above the other, five pairs side by side.
    return [0, 1, 2, 3, 4].filter((pair) => `seat-${pair}` in seats !== `seat-${pair + 5}` in seats).length
  }
  expect(alone(seven.next)).toBe(1)
  const eight = go('even-crews', start('even-crews', { level: 'odd-or-even' }), [8])
  expect(alone(eight.next)).toBe(0)
})

test('a card of rows is five by five at most, as is asked of Year 2: 2.OA.C.4, from memory', () => {
  const chance = seededChance(5)
  const sizes = new Set<string>()
  for (let round = 0; round < 40; round++) {
    let state: GameState = start('even-crews', { level: 'rows' })
    const items: PracticeItem[] = []
    const sink = (event: GameEvent) => event.kind === 'answered' && items.push(event.item)
    while (!state.ended) state = playGo(crews, state, 'planner', chance, sink)
    expect(items).toHaveLength(10)
    for (const item of items) {
      if (item.op !== 'groups') throw new Error(item.op)
      expect([item.groups, item.size].every((n) => n >= 2 && n <= 5)).toBe(true)
      sizes.add(`${item.groups} ${item.size}`)
    }
  }
  expect(sizes.size).toBe(16)
})

test.each([
  ['sharing', [4, 3], '12 shared between 4 = ?', '12 ÷ 4 = 3', 'share-12'],
  ['odd-or-even', [9], '9 is ?', '9 is odd', 'odd-even-10'],
  ['equal-groups', [5, 4], '4 groups of 5 = ?', '4 groups of 5 = 20', 'equal-groups-20'],
  ['halves', [7], 'half of 14 = ?', 'half of 14 = 7', 'half-20'],
  ['rows', [3, 2], '2 rows of 3 = ?', '2 rows of 3 = 6', 'rows-25'],
  ['quarters', [5], 'a quarter of 20 = ?', 'a quarter of 20 = 5', 'quarter-20'],
])('%s: asked, answered, and at its step', (level, numbers, asked, sentence, step) => {
  const { items, next } = go('even-crews', start('even-crews', { level }), numbers)
  const item = items[0] as PracticeItem
  expect([itemAsked(item), sentenceOf(item), placeOf(item).step]).toEqual([asked, sentence, step])
  const crew = Object.values(lying(next)).reduce((sum, n) => sum + n, 0)
  const all = item.op === 'share' ? item.total : 'of' in item ? item.of : item.answer
  expect(crew).toBe(all)
})

test('no statement stands twice on a strip of Leaky Claim', () => {
  const leaky = gameOf('leaky-claim')
  for (const { params } of leaky.levels)
    for (let seed = 1; seed <= 60; seed++) {
      const { facts } = leaky.roll(leaky.setup(params, 2), seededChance(seed))
      expect(new Set(facts.map(sentenceOf)).size).toBe(facts.length)
    }
})

test('Team Board: a lower row is never easier, and no question stands twice in a column', () => {
  const board = gameOf('team-board')
  const hard = (item: PracticeItem) => {
    if (item.op === 'subtract') return Math.min(item.b, item.answer)
    return item.op === 'add' ? Math.min(item.a, item.b) : null
  }
  for (const { params } of board.levels)
    for (let seed = 1; seed <= 40; seed++) {
      const { questions } = board.roll(board.setup(params, 2), seededChance(seed))
      for (const column of questions as PracticeItem[][]) {
        expect(new Set(column.map(itemAsked)).size).toBe(column.length)
        const counted = column.map(hard).filter((counts) => counts !== null)
        expect([...counted].sort((a, b) => a - b)).toEqual(counted)
      }
    }
})

test('Hidden Corner of 2, 5 and 10: every card has one of them', () => {
  const corner = gameOf('hidden-corner')
  const { params } = corner.levels.find(({ id }) => id === 'products-2-5-10')!
  // Pairs of 1 to 10 without order: 55; without 2, 5 and 10 seven numbers are left: 28 pairs.
  expect(corner.figures!(params, 2)).toEqual({ cards: 55 - 28 })
})
