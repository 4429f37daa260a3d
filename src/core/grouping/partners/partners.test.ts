import { partnerRounds, partnersInputSchema } from './partners'
import { fewestRepeats, groupSizes } from './sizes'

const made = (input: object) => partnerRounds(partnersInputSchema.parse(input))

/** Meetings of every pair, counted from scratch; also checks that each round seats every child once. */
function meetings(rounds: number[][][], children: number): Map<string, number> {
  const count = new Map<string, number>()
  for (const round of rounds) {
    expect(round.flat().sort((a, b) => a - b)).toEqual(Array.from({ length: children }, (_, i) => i))
    for (const group of round)
      for (const a of group)
        for (const b of group) if (a < b) count.set(`${a} ${b}`, (count.get(`${a} ${b}`) ?? 0) + 1)
  }
  return count
}

// Kirkman 1850 (Lady's and Gentleman's Diary, query VI) for 15 in threes; affine planes of order 3, 4 and 5;
// the table of a tournament of eight.
test.each([
  [15, 3, 7],
  [9, 3, 4],
  [16, 4, 5],
  [8, 2, 7],
  [25, 5, 6],
])('%i children in groups of %i over %i rounds: every two meet exactly once', (children, size, rounds) => {
  for (const seed of [1, 2, 3]) {
    const found = made({ children, size, rounds, seed })
    expect(found.rounds).toHaveLength(rounds)
    for (const round of found.rounds) for (const group of round) expect(group).toHaveLength(size)
    const all = meetings(found.rounds, children)
    expect(all.size).toBe((children * (children - 1)) / 2)
    expect(new Set(all.values())).toEqual(new Set([1]))
    expect(found.repeats).toBe(0)
  }
})

// Transversal designs; the rounds of 20 in fours are the known best of the social golfers (Harvey 2002, CSPLib 010).
test.each([
  [20, 4, 5],
  [15, 3, 5],
  [21, 3, 7],
  [28, 4, 7],
  [35, 5, 7],
])('%i children in groups of %i over %i rounds: nobody meets twice', (children, size, rounds) => {
  const found = made({ children, size, rounds })
  expect(found.rounds).toHaveLength(rounds)
  for (const group of found.rounds.flat()) expect(group).toHaveLength(size)
  expect(Math.max(...meetings(found.rounds, children).values())).toBe(1)
  expect(found).toMatchObject({ repeats: 0, fewest: 0 })
})

test('twelve in fours over three rounds: six repeats are proved to be as few as there can be', () => {
  // Three groups of the first round: each later group of four has two children of one of them.
  expect(made({ children: 12, size: 4, rounds: 3 })).toMatchObject({ repeats: 6, fewest: 6 })
})

test('twelve in threes: four rounds without a repeat, five with a few, which are not proved to be fewest', () => {
  expect(made({ children: 12, size: 3, rounds: 4 }).repeats).toBe(0)
  // There is no nearly Kirkman triple system of order 12 (Kotzig and Rosa 1974, from memory): none is impossible.
  const five = made({ children: 12, size: 3, rounds: 5, tries: 300_000 })
  expect(five.fewest).toBe(0)
  expect(five.repeats).toBeGreaterThan(0)
  expect(five.repeats).toBeLessThanOrEqual(3)
})

test('a class of 26 in threes: eight rounds without a repeat, in groups of three and one of two', () => {
  const { rounds, repeats } = made({ children: 26, size: 3, rounds: 8 })
  expect(rounds[0].map((group) => group.length).sort()).toEqual([2, 3, 3, 3, 3, 3, 3, 3, 3])
  expect(Math.max(...meetings(rounds, 26).values())).toBe(1)
  expect(repeats).toBe(0)
})

test('a class of 26 in fours: repeats are those that can be counted, and not under the bound', () => {
  const { rounds, repeats, fewest } = made({ children: 26, size: 4, rounds: 9, tries: 400_000 })
  const all = [...meetings(rounds, 26).values()]
  expect(repeats).toBe(all.reduce((sum, count) => sum + Math.max(0, count - 1), 0))
  // Nine rounds of five fours and two threes bring 324 meetings, one fewer than there are pairs.
  expect(fewest).toBe(0)
  expect(fewestRepeats(26, groupSizes(26, 4), 10)).toBe(360 - 325)
  // Dealt by chance, a pair would meet about once on average, and 325 / e = 120 meetings would be repeats (Poisson).
  expect(repeats).toBeLessThan(60)
})

test('more rounds than new partners: repeats are as few as counting allows', () => {
  const { repeats, fewest } = made({ children: 6, size: 2, rounds: 12 })
  // 36 meetings of 15 pairs.
  expect(fewest).toBe(21)
  expect(repeats).toBe(21)
})

test('sizes differ by one at most, and nobody is left alone', () => {
  expect(groupSizes(27, 2)).toEqual([3, ...Array<number>(12).fill(2)])
  expect(groupSizes(5, 3)).toEqual([3, 2])
  expect(groupSizes(7, 3)).toEqual([3, 2, 2])
  for (let children = 2; children <= 40; children++)
    for (let size = 2; size <= Math.min(children, 12); size++) {
      const sizes = groupSizes(children, size)
      expect(sizes.reduce((sum, n) => sum + n, 0)).toBe(children)
      expect(Math.max(...sizes) - Math.min(...sizes)).toBeLessThanOrEqual(1)
      expect(Math.min(...sizes)).toBeGreaterThanOrEqual(2)
    }
})

test('children who have met before are kept apart while there are others', () => {
  const met = [
    [0, 1, 1],
    [2, 3, 2],
  ]
  const { rounds, repeats } = made({ children: 6, size: 2, rounds: 3, met })
  const all = meetings(rounds, 6)
  expect(all.has('0 1')).toBe(false)
  expect(all.has('2 3')).toBe(false)
  // The second meeting of 2 and 3 was there already.
  expect(repeats).toBe(1)
})

test('equal seeds give equal rounds', () => {
  const input = { children: 14, size: 4, rounds: 5, seed: 9, tries: 50_000 }
  expect(made(input)).toEqual(made(input))
})

test('bad input names its field', () => {
  const paths = (input: object) =>
    partnersInputSchema.safeParse(input).error!.issues.map(({ path }) => path.join('.'))
  expect(paths({ children: 3, size: 4, rounds: 1 })).toEqual(['size'])
  expect(paths({ children: 4, size: 2, rounds: 1, met: [[0, 9, 1]] })).toEqual(['met.0'])
  expect(paths({ children: 4, size: 2, rounds: 0 })).toEqual(['rounds'])
})
