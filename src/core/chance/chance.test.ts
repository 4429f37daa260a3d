import { drawn, inAnyOrder, normal, restoredChance, seededChance, shuffled, unit } from './chance'
import { added, convolve, cumulative, mean, percentile, type Distribution } from './distribution'
import { enumerate } from './enumerate'

test('equal seeds give equal chance, and a saved chance goes on where it stood', () => {
  const a = seededChance(7)
  const b = seededChance(7)
  const draws = Array.from({ length: 50 }, () => a.int(1, 6))
  expect(Array.from({ length: 50 }, () => b.int(1, 6))).toEqual(draws)
  const restored = restoredChance(a.state())
  expect(Array.from({ length: 20 }, () => restored.int(1, 6))).toEqual(
    Array.from({ length: 20 }, () => a.int(1, 6)),
  )
})

test('a die is even: chi-square with 5 degrees of freedom under its 99.9 % point, 20.52 (standard table)', () => {
  const chance = seededChance(11)
  const counts = new Array(6).fill(0)
  const rolls = 60_000
  for (let i = 0; i < rolls; i++) counts[chance.int(1, 6) - 1]++
  const square = counts.reduce((sum, count) => sum + (count - rolls / 6) ** 2 / (rolls / 6), 0)
  expect(square).toBeLessThan(20.52)
})

test.each([1, 2, 101])(
  'seeds that are %i apart begin with dice of their own: chi-square with 35 degrees of freedom under its 99.9 % point, 66.62 (standard table)',
  (apart) => {
    const pairs = new Array<number>(36).fill(0)
    const seeds = 10_000
    for (let i = 0; i < seeds; i++) {
      const chance = seededChance(i * apart)
      pairs[6 * (chance.int(1, 6) - 1) + chance.int(1, 6) - 1]++
    }
    const square = pairs.reduce((sum, count) => sum + (count - seeds / 36) ** 2 / (seeds / 36), 0)
    expect(square).toBeLessThan(66.62)
    // Nor does the first die of a seed tell that of the next.
    let same = 0
    for (let i = 0; i < seeds; i++)
      if (seededChance(i * apart).int(1, 6) === seededChance((i + 1) * apart).int(1, 6)) same++
    expect(Math.abs(same / seeds - 1 / 6)).toBeLessThan(4 * Math.sqrt(((1 / 6) * (5 / 6)) / seeds))
  },
)

test('normal values have mean 0 and variance 1 within four standard errors', () => {
  const chance = seededChance(3)
  const values = Array.from({ length: 40_000 }, () => normal(chance))
  const average = values.reduce((sum, value) => sum + value, 0) / values.length
  const variance = values.reduce((sum, value) => sum + value * value, 0) / values.length
  expect(Math.abs(average)).toBeLessThan(4 / Math.sqrt(values.length))
  expect(Math.abs(variance - 1)).toBeLessThan(4 * Math.sqrt(2 / values.length))
})

test('shuffling keeps every item', () => {
  const items = Array.from({ length: 30 }, (_, i) => i)
  expect(shuffled(items, seededChance(1)).sort((a, b) => a - b)).toEqual(items)
  expect(unit(seededChance(1))).toBeLessThan(1)
})

test('enumerating two dice gives the standard table of totals: 7 in 6 of 36, 2 and 12 in 1', () => {
  const totals = new Map<number, number>()
  for (const { probability, result } of enumerate((chance) => chance.int(1, 6) + chance.int(1, 6)))
    totals.set(result, (totals.get(result) ?? 0) + probability)
  const ways = [1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1]
  ways.forEach((count, i) => expect(totals.get(i + 2)).toBeCloseTo(count / 36, 12))
})

test('numbers in any order: 21 rolls of two dice, 56 of three, with their ways of 36 and 216 (standard tables)', () => {
  const two = enumerate((chance) => inAnyOrder(chance, 2, 1, 6))
  expect(two).toHaveLength(21)
  for (const { probability, result } of two) {
    const [a, b] = result
    expect(probability).toBeCloseTo((a === b ? 1 : 2) / 36, 12)
  }
  const three = enumerate((chance) => inAnyOrder(chance, 3, 1, 6))
  expect(three).toHaveLength(56)
  // Six combinations make 12, 6 + 5 + 1 and the like: 25 of 216 rolls (Galileo, Sopra le scoperte dei dadi; from memory).
  const twelve = three.filter(({ result }) => result.reduce((sum, face) => sum + face, 0) === 12)
  expect(twelve.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(25 / 216, 12)
  expect(enumerate((chance) => [inAnyOrder(chance, 0, 1, 6), chance.int(1, 2)])).toHaveLength(2)
})

test('where only the total matters two dice have eleven ways', () => {
  const totals = enumerate((chance) => inAnyOrder(chance, 2, 1, 6, 'total'))
  expect(totals.map(({ result: [a, b] }) => a + b)).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12])
  const ways = [1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1]
  totals.forEach(({ probability }, i) => expect(probability).toBeCloseTo(ways[i] / 36, 12))
})

test('drawing without putting back: every ordered pair of five is as likely', () => {
  const pairs = enumerate((chance) => drawn([1, 2, 3, 4, 5], 2, chance).join(''))
  expect(new Set(pairs.map(({ result }) => result)).size).toBe(20)
  for (const { probability } of pairs) expect(probability).toBeCloseTo(1 / 20, 12)
  expect(drawn([1, 2], 5, seededChance(1))).toHaveLength(2)
})

test('enumerating follows decisions that depend on earlier ones', () => {
  const branches = enumerate((chance) => (chance.int(0, 1) === 0 ? 'stop' : `go ${chance.int(1, 3)}`))
  expect(branches.map(({ result }) => result)).toEqual(['stop', 'go 1', 'go 2', 'go 3'])
  expect(branches.map(({ probability }) => probability)).toEqual([1 / 2, 1 / 6, 1 / 6, 1 / 6])
})

test('sums of laws of every length are the products of their values, and laws add value by value', () => {
  const chance = seededChance(3)
  const law = (length: number): Distribution => ({
    from: length,
    mass: Float64Array.from({ length }, () => unit(chance)),
  })
  for (let n = 0; n <= 9; n++)
    for (let m = 0; m <= 9; m++) {
      const [a, b] = [law(n), law(m)]
      const plain = new Float64Array(n && m ? n + m - 1 : 0)
      if (n && m) a.mass.forEach((p, i) => b.mass.forEach((q, j) => (plain[i + j] += p * q)))
      const sum = convolve(a, b)
      expect(sum.mass).toHaveLength(plain.length)
      sum.mass.forEach((p, i) => expect(p).toBeCloseTo(plain[i], 12))
      const both = added(a, b)
      const at = ({ from, mass }: Distribution, value: number) => mass[value - from] ?? 0
      for (let value = 0; value < 20; value++)
        expect(at(both, value)).toBeCloseTo(at(a, value) + at(b, value), 12)
    }
})

test('a percentile is the smallest value that reaches it', () => {
  const die = { from: 1, mass: Float64Array.from([1, 1, 1, 1, 1, 1], (ways) => ways / 6) }
  expect(percentile(die, 0.5)).toBe(3)
  expect(percentile(die, 0.51)).toBe(4)
  expect(cumulative(die, 4)).toBeCloseTo(4 / 6, 12)
  expect(mean(convolve(die, die))).toBeCloseTo(7, 12)
})
