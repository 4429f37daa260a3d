import fc from 'fast-check'
import { seededChance } from '../../chance/chance'
import { splitIntoSets } from '../../games/engine/sets'
import { seatsWithout } from './away'
import { fewestAgain, Meetings, pairsAgain, type Seats } from './partners'
import { seat, seatVisits } from './seat'

const names = (count: number) => Array.from({ length: count }, (_, i) => 'abcdefghijkl'[i])
const sizesOf = (seats: Seats) => seats.map(({ length }) => length)

/** Every way to seat the children in sets of these sizes, sets of equal size in any order. */
function allSeats(children: readonly string[], sizes: readonly number[]): Seats[] {
  if (sizes.length === 0) return [[]]
  const [size, ...others] = sizes
  const choose = (from: readonly string[], count: number): string[][] =>
    count === 0
      ? [[]]
      : from.flatMap((first, i) => choose(from.slice(i + 1), count - 1).map((rest) => [first, ...rest]))
  return choose(children, size).flatMap((set) =>
    allSeats(
      children.filter((child) => !set.includes(child)),
      others,
    ).map((rest) => [set, ...rest]),
  )
}

/** A group, the sets it last played in (of any sizes), and how many sets it plays in now. */
const anyGroup = fc.integer({ min: 4, max: 7 }).chain((count) =>
  fc.record({
    children: fc.constant(names(count)),
    setBefore: fc.array(fc.nat(3), { minLength: count, maxLength: count }),
    sets: fc.integer({ min: 2, max: Math.floor(count / 2) }),
    met: fc.array(fc.nat(4), { minLength: count * count, maxLength: count * count }),
    seed: fc.integer({ min: 1, max: 1000 }),
  }),
)
const partition = (children: readonly string[], setBefore: readonly number[]): Seats =>
  [0, 1, 2, 3]
    .map((set) => children.filter((_, child) => setBefore[child] === set))
    .filter(({ length }) => length > 0)
const evenSizes = (count: number, sets: number) =>
  Array.from({ length: sets }, (_, set) => Math.floor((count + set) / sets))

test('the fewest pairs again: no way to seat the children has fewer, and one has as many', () => {
  fc.assert(
    fc.property(anyGroup, ({ children, setBefore, sets }) => {
      const before = partition(children, setBefore)
      const all = allSeats(children, evenSizes(children.length, sets))
      const least = Math.min(...all.map((seats) => pairsAgain(before, seats).length))
      expect(fewestAgain(sizesOf(before), sets)).toBe(least)
    }),
    { numRuns: 150, seed: 3 },
  )
})

test('worked by hand: five as 2 + 3 twice running keep one pair, six in pairs none, eight in fours four', () => {
  expect(fewestAgain([2, 3], 2)).toBe(1)
  expect(fewestAgain([2, 2, 2], 3)).toBe(0)
  // Two fours: two of each go to each new four, which leaves a pair of them there.
  expect(fewestAgain([4, 4], 2)).toBe(4)
  // Nine in threes: the rows of a square, then its columns.
  expect(fewestAgain([3, 3, 3], 3)).toBe(0)
})

test('seats: as few pairs again as can be, then as few meetings as any such seats have', () => {
  fc.assert(
    fc.property(anyGroup, ({ children, setBefore, sets, met, seed }) => {
      const before = partition(children, setBefore)
      const count = (a: string, b: string) => {
        const [i, j] = [children.indexOf(a), children.indexOf(b)]
        return met[Math.min(i, j) * children.length + Math.max(i, j)]
      }
      const sizes = evenSizes(children.length, sets)
      const meetings = (seats: Seats) =>
        seats.reduce((sum, set) => sum + set.reduce((all, a, i) => all + sumOf(set.slice(i + 1), a), 0), 0)
      const sumOf = (others: readonly string[], a: string) => others.reduce((sum, b) => sum + count(a, b), 0)
      const found = seat(children, sizes, { together: [], before, met: count }, seededChance(seed))
      expect(sizesOf(found)).toEqual(sizes)
      expect(found.flat().sort()).toEqual([...children])
      const again = fewestAgain(sizesOf(before), sets)
      expect(pairsAgain(before, found)).toHaveLength(again)
      const best = Math.min(
        ...allSeats(children, sizes)
          .filter((seats) => pairsAgain(before, seats).length === again)
          .map(meetings),
      )
      expect(meetings(found)).toBe(best)
    }),
    { numRuns: 100, seed: 11 },
  )
})

test('pairs that stay together do, whatever they played before', () => {
  const together = [
    ['a', 'b'],
    ['c', 'd', 'e'],
  ]
  for (const seed of [1, 2, 3]) {
    const wishes = { together, before: together, met: () => 0 }
    expect(seat(names(5), [2, 3], wishes, seededChance(seed))).toEqual(together)
  }
})

test('visit after visit: six in pairs meet five different partners before any a second time', () => {
  const children = names(6)
  const wishes = { together: [], before: [], met: new Meetings() }
  const visits = seatVisits(children, Array<number[]>(3).fill([2, 2, 2]), wishes, seededChance(4))
  const pairs = visits.flatMap((seats) => seats.map((set) => set.join('')))
  expect(new Set(pairs).size).toBe(9)
})

test('a visit in one set is nobody’s choice: the pairs before it still count', () => {
  const children = names(4)
  const first = [
    ['a', 'b'],
    ['c', 'd'],
  ]
  const met = new Meetings()
  // Weighs more to meet the others again, were it not for the pairs before.
  for (const [a, b] of ['ac', 'ad', 'bc', 'bd']) met.add(a, b, 5)
  const visits = seatVisits(children, [[4], [2, 2]], { together: [], before: first, met }, seededChance(1))
  expect(visits[0]).toEqual([children])
  expect(pairsAgain(first, visits[1])).toEqual([])
})

test('equal seeds seat equally; meetings count in either order', () => {
  const wishes = { together: [], before: [], met: new Meetings() }
  const seated = () =>
    seatVisits(
      names(7),
      [
        [2, 2, 3],
        [3, 4],
      ],
      wishes,
      seededChance(9),
    )
  expect(seated()).toEqual(seated())
  const met = new Meetings()
  met.addSeats([['a', 'b', 'c'], ['d']])
  met.addSeats([['a', 'b', 'c', 'd']])
  met.add('c', 'a', 2)
  expect([met.of('a', 'c'), met.of('c', 'a'), met.of('b', 'c'), met.of('c', 'd')]).toEqual([3, 3, 1, 0])
})

test.each([
  // A pair with one away joins the other pair of a game that takes three.
  ['ab cd', 'a', { min: 2, max: 4 }, 'bcd'],
  // Of a game for two, the one left takes a child of the largest set.
  ['ab cde', 'a', { min: 2, max: 3 }, 'be cd'],
  ['ab cd', 'ac', { min: 2, max: 2 }, 'bd'],
  ['ab cd', '', { min: 2, max: 2 }, 'ab cd'],
  ['abc', 'ab', { min: 2, max: 4 }, 'c'],
  ['ab cd', 'abcd', { min: 2, max: 2 }, ''],
] as const)('%s without “%s” (%o)', (seats, away, players, expected) => {
  const sets = seats.split(' ').map((set) => [...set])
  const now = seatsWithout(sets, new Set(away), players)
  expect(
    now
      .map((set) => [...set].sort().join(''))
      .sort()
      .join(' '),
  ).toBe(expected)
})

test('whoever is away, no set is too large, and too small only where the game has too few children', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 2, max: 12 }),
      fc.constantFrom(
        { min: 2, max: 2, typical: 2 },
        { min: 2, max: 4, typical: 2 },
        { min: 3, max: 4, typical: 3 },
      ),
      fc.array(fc.boolean(), { minLength: 12, maxLength: 12 }),
      (count, players, here) => {
        const children = names(count)
        const sizes = splitIntoSets(count, players)
        fc.pre(sizes.every((size) => size <= players.max))
        let next = 0
        const seats = sizes.map((size) => children.slice(next, (next += size)))
        const away = new Set(children.filter((_, child) => !here[child]))
        const now = seatsWithout(seats, away, players)
        expect(now.flat().sort()).toEqual(children.filter((child) => !away.has(child)))
        for (const set of now) {
          expect(set.length).toBeLessThanOrEqual(players.max)
          if (set.length < players.min) {
            // No other set could give a child or take these in.
            const others = now.filter((other) => other !== set)
            expect(others.some((other) => other.length > players.min)).toBe(false)
            expect(others.some((other) => other.length + set.length <= players.max)).toBe(false)
          }
        }
      },
    ),
    { numRuns: 300, seed: 5 },
  )
})
