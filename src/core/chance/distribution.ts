/** A distribution over whole numbers: `mass[i]` is the probability of `from + i`. */
export interface Distribution {
  from: number
  mass: Float64Array
}

export function mean({ from, mass }: Distribution): number {
  let sum = 0
  for (let i = 0; i < mass.length; i++) sum += (from + i) * mass[i]
  return sum
}

/** P(value ≤ limit). */
export function cumulative({ from, mass }: Distribution, limit: number): number {
  let sum = 0
  for (let i = 0; i < mass.length && from + i <= limit; i++) sum += mass[i]
  return Math.min(1, sum)
}

/**
 * The smallest value t with P(value ≤ t) ≥ q.
 *
 * Sums of binary fractions can fall short of q by a rounding error, so q is met within 1e-12.
 */
export function percentile({ from, mass }: Distribution, q: number): number {
  let sum = 0
  for (let i = 0; i < mass.length; i++) {
    sum += mass[i]
    if (sum >= q - 1e-12) return from + i
  }
  return from + mass.length - 1
}

/** The distribution of the sum of two independent values. */
export function convolve(a: Distribution, b: Distribution): Distribution {
  const mass = new Float64Array(a.mass.length + b.mass.length - 1)
  for (let i = 0; i < a.mass.length; i++) {
    const p = a.mass[i]
    if (p === 0) continue
    for (let j = 0; j < b.mass.length; j++) mass[i + j] += p * b.mass[j]
  }
  return { from: a.from + b.from, mass }
}

/** The distribution of the sum of `times` independent values of one law. */
export function sumOf(law: Distribution, times: number): Distribution {
  let sum: Distribution = { from: 0, mass: Float64Array.of(1) }
  // By doubling: 20 goes take 6 convolutions.
  let power = trimmed(law)
  for (let left = times; left > 0; left >>= 1) {
    if (left & 1) sum = trimmed(convolve(sum, power))
    if (left > 1) power = trimmed(convolve(power, power))
  }
  return sum
}

/** The distribution of the largest of `times` independent values of one law. */
export function largestOf({ from, mass }: Distribution, times: number): Distribution {
  const largest = new Float64Array(mass.length)
  let below = 0
  for (let i = 0; i < mass.length; i++) {
    const upTo = below + mass[i]
    largest[i] = upTo ** times - below ** times
    below = upTo
  }
  return { from, mass: largest }
}

/** Without what is too little to matter at both ends. */
function trimmed({ from, mass }: Distribution): Distribution {
  let low = 0
  let high = mass.length
  while (high > 0 && mass[high - 1] < 1e-15) high--
  while (low < high && mass[low] < 1e-15) low++
  return { from: from + low, mass: mass.slice(low, high) }
}

export function summed(values: Float64Array): number {
  let sum = 0
  for (let i = 0; i < values.length; i++) sum += values[i]
  return sum
}
