import { seededChance, shuffled } from '../../chance/chance'

/** Logits that partners may differ by at most. */
const withinReach = 1
/** Beyond reach costs this a logit squared; a meeting before costs one each. */
const beyondWeight = 10

const starts = 12

/**
 * Pairs of children within reach of each other, new partners first; three play together where the number
 * is odd. Swaps of partners from many starts until none helps.
 * @param met meetings before, at `a * n + b` for a < b
 * @returns pairs by index, and what they cost: 0 where all are within reach and new to each other
 */
export function pairUp(
  abilities: readonly number[],
  met: Float64Array,
  seed = 1,
): { pairs: number[][]; cost: number; beyond: number } {
  const n = abilities.length
  const chance = seededChance(seed)
  const apart = (a: number, b: number) => Math.max(0, Math.abs(abilities[a] - abilities[b]) - withinReach)
  const costs = Float64Array.from({ length: n * n }, (_, at) => {
    const [a, b] = [Math.floor(at / n), at % n]
    return beyondWeight * apart(a, b) ** 2 + met[Math.min(a, b) * n + Math.max(a, b)]
  })
  const costOf = (set: readonly number[]) => {
    let cost = 0
    for (let i = 1; i < set.length; i++) for (let j = 0; j < i; j++) cost += costs[set[i] * n + set[j]]
    return cost
  }
  const inOrder = abilities.map((_, child) => child).sort((a, b) => abilities[a] - abilities[b] || a - b)
  let best: { pairs: number[][]; cost: number } | null = null
  for (let start = 0; start < starts && (best === null || best.cost > 1e-12); start++) {
    const pairs = inPairs(start === 0 ? inOrder : shuffled(inOrder, chance))
    do exchange(pairs)
    while (rotate(pairs))
    const cost = pairs.reduce((sum, set) => sum + costOf(set), 0)
    if (best === null || cost < best.cost - 1e-12) best = { pairs, cost }
  }
  const { pairs, cost } = best!
  const beyond = pairs.filter((set) => set.some((a) => set.some((b) => apart(a, b) > 1e-12))).length
  return { pairs: pairs.map((set) => [...set].sort((a, b) => a - b)), cost, beyond }

  /** Exchanges partners between two pairs while that helps. */
  function exchange(sets: number[][]) {
    for (let helped = true; helped;) {
      helped = false
      for (let s = 1; s < sets.length; s++)
        for (let t = 0; t < s; t++) {
          const [one, two] = [sets[s], sets[t]]
          for (let i = 0; i < one.length; i++)
            for (let j = 0; j < two.length; j++) {
              const before = costOf(one) + costOf(two)
              if (before === 0) continue
              ;[one[i], two[j]] = [two[j], one[i]]
              if (costOf(one) + costOf(two) < before - 1e-12) helped = true
              else [one[i], two[j]] = [two[j], one[i]]
            }
        }
    }
  }

  /** Passes partners round through three pairs, the first that costs something among them. @returns true if that helped */
  function rotate(sets: number[][]): boolean {
    for (const one of sets) {
      if (costOf(one) === 0) continue
      for (const two of sets)
        for (const three of sets) {
          if (one === two || one === three || two === three) continue
          const before = costOf(one) + costOf(two) + costOf(three)
          for (let i = 0; i < one.length; i++)
            for (let j = 0; j < two.length; j++)
              for (let k = 0; k < three.length; k++) {
                ;[one[i], two[j], three[k]] = [three[k], one[i], two[j]]
                if (costOf(one) + costOf(two) + costOf(three) < before - 1e-12) return true
                ;[three[k], one[i], two[j]] = [one[i], two[j], three[k]]
              }
        }
    }
    return false
  }
}

/** Two by two in the order given; the last one makes the last pair three. */
function inPairs(order: readonly number[]): number[][] {
  const pairs: number[][] = []
  for (let i = 0; i + 1 < order.length; i += 2) pairs.push([order[i], order[i + 1]])
  if (order.length % 2 === 1) {
    const alone = order[order.length - 1]
    if (pairs.length > 0) pairs[pairs.length - 1].push(alone)
    else pairs.push([alone])
  }
  return pairs
}
