import { seededChance, shuffled } from '../../chance/chance'
import { totalsOf, type Numbers } from '../engine/source'

/** How many of `spaces` each number gets: in proportion to how often it is called, none left out. */
export function fairShares(weights: ReadonlyMap<number, number>, spaces: number): Map<number, number> {
  const numbers = [...weights.keys()].filter((number) => (weights.get(number) ?? 0) > 0)
  const all = numbers.reduce((sum, number) => sum + weights.get(number)!, 0)
  // With fewer spaces than numbers the ones called most often are kept.
  if (numbers.length > spaces) {
    const kept = numbers.sort((a, b) => weights.get(b)! - weights.get(a)! || a - b).slice(0, spaces)
    return new Map(kept.sort((a, b) => a - b).map((number) => [number, 1]))
  }
  const exact = numbers.map((number) => (weights.get(number)! / all) * spaces)
  const count = exact.map((share) => Math.max(1, Math.floor(share)))
  // Largest remainders fill up; the most generous shares give back.
  for (let given = count.reduce((a, b) => a + b, 0); given < spaces; given++) {
    const next = exact.map((share, i) => share - count[i])
    count[next.indexOf(Math.max(...next))]++
  }
  for (let given = count.reduce((a, b) => a + b, 0); given > spaces; given--) {
    const over = exact.map((share, i) => (count[i] > 1 ? count[i] - share : -Infinity))
    count[over.indexOf(Math.max(...over))]--
  }
  return new Map(numbers.map((number, i) => [number, count[i]]))
}

/**
 * `cards` different five-in-line cards of `size` × `size`, row by row; 0 is the free centre. All hold
 * the same numbers, as often as they are called, so that none is luckier by its numbers.
 */
export function fiveInLineCards(
  weights: ReadonlyMap<number, number>,
  { size, free, cards, seed }: { size: number; free: boolean; cards: number; seed: number },
): number[][] {
  const centre = free && size % 2 === 1 ? (size * size - 1) / 2 : -1
  const numbers: number[] = []
  for (const [number, count] of fairShares(weights, size * size - (centre < 0 ? 0 : 1)))
    for (let i = 0; i < count; i++) numbers.push(number)
  const chance = seededChance(seed)
  const made = new Map<string, number[]>()
  // Two shuffles can agree: then another is made, a bounded number of times.
  for (let tries = 0; made.size < cards && tries < cards * 50; tries++) {
    const card = shuffled(numbers, chance)
    if (centre >= 0) card.splice(centre, 0, 0)
    made.set(card.join(), card)
  }
  return [...made.values()]
}

/** One space for each total that a source can give, ascending. */
export const perchBoard = (source: Numbers): number[] => [...totalsOf(source).keys()].sort((a, b) => a - b)

/** Rows, columns and both diagonals of a square card, as spaces. */
export function linesOf(size: number): number[][] {
  const across = Array.from({ length: size }, (_, i) => i)
  return [
    ...across.map((row) => across.map((column) => row * size + column)),
    ...across.map((column) => across.map((row) => row * size + column)),
    across.map((i) => i * size + i),
    across.map((i) => i * size + (size - 1 - i)),
  ]
}
