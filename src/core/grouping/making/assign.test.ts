import { seededChance, unit } from '../../chance/chance'
import { cheapestAssignment } from './assign'

/** The cheapest assignment by going through all of them. */
function cheapest(cost: Float64Array, allowed: Int32Array, groups: number, min: number, max: number) {
  const n = allowed.length
  let least = Infinity
  const size = new Array<number>(groups).fill(0)
  const place = (child: number, soFar: number) => {
    if (child === n) {
      if (size.every((own) => own >= min)) least = Math.min(least, soFar)
      return
    }
    for (let g = 0; g < groups; g++) {
      if (size[g] === max || !(allowed[child] & (1 << g))) continue
      size[g]++
      place(child + 1, soFar + cost[child * groups + g])
      size[g]--
    }
  }
  place(0, 0)
  return least
}

test('the cheapest assignment equals the one found by going through all, in 300 random cases', () => {
  const chance = seededChance(8)
  let none = 0
  for (let round = 0; round < 300; round++) {
    const [n, groups] = [chance.int(3, 7), chance.int(2, 3)]
    const cost = Float64Array.from({ length: n * groups }, () =>
      chance.int(0, 3) === 0 ? 0 : 5 * unit(chance),
    )
    const allowed = Int32Array.from({ length: n }, () => chance.int(1, 2 ** groups - 1))
    const min = chance.int(0, Math.floor(n / groups))
    const max = Math.ceil(n / groups) + chance.int(0, 1)
    const found = cheapestAssignment(cost, allowed, groups, { min, max })
    const best = cheapest(cost, allowed, groups, min, max)
    if (!found) {
      none++
      expect(best).toBe(Infinity)
      continue
    }
    expect(found.cost).toBeCloseTo(best, 9)
    const sizes = Array.from({ length: groups }, (_, g) => found.group.filter((own) => own === g).length)
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual(min)
    expect(Math.max(...sizes)).toBeLessThanOrEqual(max)
    found.group.forEach((g, child) => expect(allowed[child] & (1 << g)).toBeGreaterThan(0))
  }
  expect(none).toBeGreaterThan(5)
})
