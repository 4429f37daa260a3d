import type { Seats } from './partners'

/**
 * The sets as they are played while some children are away: a set that is left too small for the game goes
 * to the smallest other one that has room, else it gets a child of the largest.
 */
export function seatsWithout(
  seats: Seats,
  away: ReadonlySet<string>,
  players: { min: number; max: number },
): Seats {
  const left = seats
    .map((set) => set.filter((child) => !away.has(child)))
    .filter((set) => set.length > 0)
    .sort((a, b) => a.length - b.length)
  const least = Math.max(2, players.min)
  while (left.length > 1 && left[0].length < least) {
    const small = left.shift()!
    const host = left.find((set) => set.length + small.length <= players.max)
    const largest = left.at(-1)!
    if (host) host.push(...small)
    else if (largest.length > least) {
      small.push(largest.pop()!)
      left.push(small)
    } else return [small, ...left]
    left.sort((a, b) => a.length - b.length)
  }
  return left
}
