import { largestNumber, type PracticeItem } from '../../skills/item'

/** How numbers of a strip can be covered for a total: numbers 1 … n, sets of them as bit masks. */

/** The numbers in a mask, ascending. */
export function numbersIn(mask: number): number[] {
  const numbers: number[] = []
  for (let number = 1; mask >> (number - 1); number++) if (mask & (1 << (number - 1))) numbers.push(number)
  return numbers
}

function sizeOf(mask: number): number {
  let size = 0
  for (let left = mask; left; left &= left - 1) size++
  return size
}

export const sumOfMask = (mask: number) => numbersIn(mask).reduce((sum, number) => sum + number, 0)

/** Larger numbers on the way than this are left out: nobody carries them in the head. */
const LARGEST_ON_THE_WAY = 20

/** What each set of 1 … n can make with + − × ÷ from left to right, whole and not negative at each step. */
const reaches = new Map<number, readonly ReadonlySet<number>[]>()

function reachOf(numbers: number): readonly ReadonlySet<number>[] {
  const known = reaches.get(numbers)
  if (known) return known
  const reach: Set<number>[] = [new Set()]
  for (let mask = 1; mask < 1 << numbers; mask++) {
    const made = new Set<number>()
    for (const last of numbersIn(mask)) {
      const rest = mask & ~(1 << (last - 1))
      if (rest === 0) {
        made.add(last)
        continue
      }
      for (const value of reach[rest]) {
        if (value + last <= LARGEST_ON_THE_WAY) made.add(value + last)
        if (value >= last) made.add(value - last)
        if (value * last <= LARGEST_ON_THE_WAY) made.add(value * last)
        if (value % last === 0) made.add(value / last)
      }
    }
    reach.push(made)
  }
  reaches.set(numbers, reach)
  return reach
}

const waysByRule = new Map<string, readonly number[]>()

/**
 * Every set of 1 … `numbers` that makes `total`: added up, at most `parts` of them, or with any
 * operations from left to right. As masks.
 */
export function waysToMake(
  numbers: number,
  total: number,
  parts: number,
  operations: boolean,
): readonly number[] {
  const key = `${numbers} ${total} ${parts} ${operations}`
  const known = waysByRule.get(key)
  if (known) return known
  const found: number[] = []
  for (let mask = 1; mask < 1 << numbers; mask++) {
    if (sizeOf(mask) > parts) continue
    if (operations ? reachOf(numbers)[mask].has(total) : sumOfMask(mask) === total) found.push(mask)
  }
  waysByRule.set(key, found)
  return found
}

/** A way from numbers to a total, from left to right: as a sentence, and step by step. */
export interface Worked {
  text: string
  items: readonly PracticeItem[]
}

/**
 * One way to make the total of all numbers of a set: “2 × 4 − 1”, worked out as 2 × 4 = 8 and 8 − 1 = 7.
 * @throws if there is none
 */
export function workedOut(mask: number, total: number): Worked {
  const found = writeOut(mask, total)
  if (found === null) throw new Error(`No sentence makes ${total} of ${numbersIn(mask).join(', ')}.`)
  return found
}

const written = new Map<number, Worked | null>()

/** The largest number met on the way. */
const peakOf = ({ items }: Worked) => Math.max(0, ...items.map(largestNumber))

/**
 * Works backwards from the total: the last number may have been added, taken away, multiplied or divided by.
 * Of all ways the one that keeps to the smallest numbers, as a child would look for it.
 */
function writeOut(mask: number, total: number): Worked | null {
  const numbers = numbersIn(mask)
  if (numbers.length === 1) return numbers[0] === total ? { text: String(total), items: [] } : null
  const key = mask * 1024 + total
  const known = written.get(key)
  if (known !== undefined) return known
  let best: Worked | null = null
  for (const last of numbers) {
    const rest = mask & ~(1 << (last - 1))
    const added = total - last
    const taken = total + last
    const times = total % last === 0 ? total / last : -1
    const shared = total * last
    const before: [string, number, PracticeItem][] = [
      ['+', added, { op: 'add', a: added, b: last, answer: total }],
      ['−', taken, { op: 'subtract', a: taken, b: last, answer: total }],
      ['×', times, { op: 'multiply', a: times, b: last, answer: total }],
      // To divide is to find the other factor.
      ['÷', shared, { op: 'factor', part: last, whole: shared, answer: total }],
    ]
    for (const [sign, value, item] of before) {
      if (value < 0 || value > LARGEST_ON_THE_WAY || !reachOf(9)[rest].has(value)) continue
      if (best && Math.max(value, total) >= peakOf(best)) continue
      const start = writeOut(rest, value)
      if (!start) continue
      const way = { text: `${start.text} ${sign} ${last}`, items: [...start.items, item] }
      if (!best || peakOf(way) < peakOf(best)) best = way
    }
  }
  written.set(key, best)
  return best
}
