/** Who plays with whom: the children of each set. Where a group plays as one set there is nothing to choose. */
export type Seats = string[][]

/** Pairs among `count` children. */
const pairsAmong = (count: number) => (count * (count - 1)) / 2

/**
 * The fewest pairs who play together again when children who played in sets of the sizes `before` play in
 * `sets` new ones, as even as can be. Dealt out like cards, set after set, the children of each set of
 * before are spread as evenly as they can be, and none could have fewer pairs left.
 */
export function fewestAgain(before: readonly number[], sets: number): number {
  let pairs = 0
  for (const size of before) {
    const share = Math.floor(size / sets)
    const more = size % sets
    pairs += more * pairsAmong(share + 1) + (sets - more) * pairsAmong(share)
  }
  return pairs
}

/** Pairs of children who share a set both times. */
export function pairsAgain(before: Seats, now: Seats): [string, string][] {
  const setOf = new Map(before.flatMap((children, set) => children.map((child) => [child, set] as const)))
  return now.flatMap((children) =>
    children.flatMap((a, i) =>
      children
        .slice(i + 1)
        .filter((b) => setOf.has(a) && setOf.get(a) === setOf.get(b))
        .map((b): [string, string] => [a, b]),
    ),
  )
}

/** How often two children have played together, in whatever order they are named. */
export class Meetings {
  private readonly counts = new Map<string, Map<string, number>>()

  of(a: string, b: string): number {
    return this.counts.get(a)?.get(b) ?? 0
  }

  add(a: string, b: string, times = 1) {
    for (const [one, other] of [
      [a, b],
      [b, a],
    ]) {
      const own = this.counts.get(one) ?? new Map<string, number>()
      this.counts.set(one, own.set(other, this.of(one, other) + times))
    }
  }

  /** Everybody who shares a set meets once; where all are in one set nobody chose, and nothing counts. */
  addSeats(seats: Seats) {
    if (seats.length < 2) return
    for (const set of seats) set.forEach((a, i) => set.slice(i + 1).forEach((b) => this.add(a, b)))
  }
}
