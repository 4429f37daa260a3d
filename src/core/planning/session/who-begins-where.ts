import { rotate } from '../rotation'

/** Every order of the numbers from 0 to below `count`. */
function* orders(count: number, taken: number[] = []): Generator<number[]> {
  if (taken.length === count) yield taken
  for (let next = 0; next < count; next++) if (!taken.includes(next)) yield* orders(count, [...taken, next])
}

/**
 * In which order stations are walked round, so that the visits of all slots cost least: a session shorter than the round
 * leaves each group some stations out, and those had better be the ones that do not suit it.
 * @param cost of a group at a station; shape [group][station], at most six stations
 * @returns station by its place on the round; of orders that cost the same the one nearest to how they are listed
 */
export function bestRound(cost: readonly (readonly number[])[], slots: number): number[] {
  const stations = cost[0]?.length ?? 0
  const places = rotate(cost.length, stations, slots)
  let best: number[] = []
  let least = Infinity
  for (const order of orders(stations)) {
    const sum = places.reduce((total, { group, station }) => total + cost[group][order[station]], 0)
    if (sum < least - 1e-9) [best, least] = [order, sum]
  }
  return best
}
