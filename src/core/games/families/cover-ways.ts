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
const LARGEST_ON_THE_WAY = 200

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

/**
 * One way to write a set as a sentence that makes the total, from left to right: “3 + 4”, “2 × 4 − 1”.
 * @throws if there is none
 */
export function sentenceFor(mask: number, total: number, operations: boolean): string {
  const numbers = numbersIn(mask)
  if (!operations) return numbers.join(' + ')
  const found = writeOut(mask, total)
  if (found === null) throw new Error(`No sentence makes ${total} of ${numbers.join(', ')}.`)
  return found
}

/** Works backwards from the total: the last number may have been added, taken away, multiplied or divided by. */
function writeOut(mask: number, total: number): string | null {
  const numbers = numbersIn(mask)
  if (numbers.length === 1) return numbers[0] === total ? String(total) : null
  for (const last of numbers) {
    const rest = mask & ~(1 << (last - 1))
    const before: [string, number][] = [
      ['+', total - last],
      ['−', total + last],
      ['×', total % last === 0 ? total / last : -1],
      ['÷', total * last],
    ]
    for (const [sign, value] of before) {
      if (value < 0 || value > LARGEST_ON_THE_WAY) continue
      const start = writeOut(rest, value)
      if (start !== null) return `${start} ${sign} ${last}`
    }
  }
  return null
}
