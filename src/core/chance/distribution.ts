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
  if (a.mass.length === 0 || b.mass.length === 0) return { from: 0, mass: new Float64Array(0) }
  return { from: a.from + b.from, mass: products(a.mass, b.mass) }
}

/** Four values of `a` at a time, so that each place of the sum is read and written once for the four. */
function products(a: Float64Array, b: Float64Array): Float64Array {
  const mass = new Float64Array(a.length + b.length - 1)
  let i = 0
  for (; i + 4 <= a.length; i += 4) {
    const [p, q, r, s] = [a[i], a[i + 1], a[i + 2], a[i + 3]]
    // The last three values of b.
    let x = 0
    let y = 0
    let z = 0
    for (let j = 0; j < b.length; j++) {
      const w = b[j]
      mass[i + j] += p * w + q * x + r * y + s * z
      z = y
      y = x
      x = w
    }
    const end = i + b.length
    mass[end] += q * x + r * y + s * z
    mass[end + 1] += r * x + s * y
    mass[end + 2] += s * x
  }
  for (; i < a.length; i++) for (let j = 0; j < b.length; j++) mass[i + j] += a[i] * b[j]
  return mass
}

/** Two laws over each other, value by value: neither need sum to one. */
export function added(a: Distribution, b: Distribution): Distribution {
  if (a.mass.length === 0) return b
  if (b.mass.length === 0) return a
  const from = Math.min(a.from, b.from)
  const mass = new Float64Array(Math.max(a.from + a.mass.length, b.from + b.mass.length) - from)
  mass.set(a.mass, a.from - from)
  for (let i = 0; i < b.mass.length; i++) mass[b.from - from + i] += b.mass[i]
  return { from, mass }
}

/** The distribution of a value that is known. */
export function certainly(value: number): Distribution {
  return { from: value, mass: Float64Array.of(1) }
}

/** The distribution of the sum of `times` independent values of one law. */
export function sumOf(law: Distribution, times: number): Distribution {
  let sum = certainly(0)
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
