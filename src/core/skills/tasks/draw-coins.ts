import type { Chance } from '../../chance/chance'
import { fewestCoins } from '../coins'
import type { PracticeItem } from '../item'
import type { Maker } from './draw'

const worth = (coins: readonly number[]) => coins.reduce((sum, coin) => sum + coin, 0)
const lying = (coins: number[]): PracticeItem => ({ op: 'coins', coins, answer: worth(coins) })

/** Two or more coins of 2, 5 or 10, to twenty. */
export function likeCoins(chance: Chance): PracticeItem {
  const value = [2, 2, 5, 5, 10][chance.int(0, 4)]
  return lying(Array<number>(chance.int(2, Math.min(6, 20 / value))).fill(value))
}

/** So many coins, none larger than the one before it. */
function falling(count: number, values: readonly number[]): number[][] {
  if (count === 0) return [[]]
  return values.flatMap((value, i) => falling(count - 1, values.slice(i)).map((rest) => [value, ...rest]))
}

/**
 * Every purse of three to five coins of at least two kinds, to fifty, as it may fall out: the largest does not come first.
 * Drawn with one number, so that a game of purses can be worked out exactly.
 */
const purses = [3, 4, 5]
  .flatMap((count) => falling(count, [20, 10, 5, 2, 1]))
  .filter((coins) => new Set(coins).size > 1 && worth(coins) <= 50)
  .map(([first, ...rest]) => [
    ...rest.filter((_, i) => i % 2 === 1),
    first,
    ...rest.filter((_, i) => i % 2 === 0),
  ])
  .map((coins) => (coins[0] === Math.max(...coins) ? [...coins].reverse() : coins))

export const purse: Maker = (chance) => lying([...purses[chance.int(0, purses.length - 1)]])

/** A price that takes more than one coin. */
export function paying(low: number, high: number): Maker {
  const prices = Array.from({ length: high - low + 1 }, (_, i) => low + i).filter(
    (price) => fewestCoins(price).length > 1,
  )
  return (chance) => {
    const price = prices[chance.int(0, prices.length - 1)]
    return { op: 'pay', price, answer: fewestCoins(price).length }
  }
}

/** Paid with ten, or with twenty for what costs more than ten. */
export function changeOf20(chance: Chance): PracticeItem {
  const paid = chance.int(1, 2) * 10
  const price = chance.int(paid === 10 ? 2 : 11, paid - 1)
  return { op: 'change', price, paid, answer: paid - price }
}
