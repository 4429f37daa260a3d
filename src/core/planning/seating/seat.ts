import { shuffled, type Chance } from '../../chance/chance'
import { Meetings, type Seats } from './partners'

/** What is asked of seats, the first before the second, and that before the third. */
export interface SeatWishes {
  /** Pairs who stay together. */
  together: readonly (readonly string[])[]
  /** The sets in which these children last played: nobody plays with the same partner twice running. */
  before: Seats
  /** Who has played with whom, and how often. */
  met: (a: string, b: string) => number
}

/** A pair that is parted weighs more than all pairs again, and one of these more than any meetings. */
const [togetherWeight, againWeight] = [1e8, 1e4]
const mostMet = 20
/** Deals that are bettered by swaps; of the small groups of a class the best is found in a few. */
const deals = 10

/**
 * Seats a group in sets of the given sizes, as even as can be: begins with deals in which as few pairs as
 * can be play together again ({@link fewestAgain}) and swaps two children while that makes it better.
 * @returns a set for each size, children in the order given
 */
export function seat(
  children: readonly string[],
  sizes: readonly number[],
  wishes: SeatWishes,
  chance: Chance,
): Seats {
  if (sizes.length === 1) return [[...children]]
  const weights = weightsOf(children, wishes)
  const before = rowsBefore(children, wishes.before)
  let best: { setOf: number[]; cost: number } | null = null
  for (let deal = 0; deal < deals && best?.cost !== 0; deal++) {
    const setOf = dealt(before, sizes, chance)
    const cost = bettered(setOf, weights)
    if (!best || cost < best.cost) best = { setOf, cost }
  }
  return sizes.map((_, set) => children.filter((_, child) => best!.setOf[child] === set))
}

/** [a][b] what it weighs that the two share a set. */
function weightsOf(children: readonly string[], { together, before, met }: SeatWishes): number[][] {
  const share = (sets: readonly (readonly string[])[], a: string, b: string) =>
    sets.some((set) => set.includes(a) && set.includes(b))
  return children.map((a) =>
    children.map((b) => {
      if (a === b) return 0
      if (share(together, a, b)) return -togetherWeight
      return (share(before, a, b) ? againWeight : 0) + Math.min(mostMet, met(a, b))
    }),
  )
}

/** Children by their set of before, as indices; who was in none is a row alone. */
function rowsBefore(children: readonly string[], before: Seats): number[][] {
  const rows = before.map((set) => children.flatMap((child, i) => (set.includes(child) ? [i] : [])))
  const alone = children.flatMap((child, i) => (before.some((set) => set.includes(child)) ? [] : [[i]]))
  return [...rows, ...alone]
}

/** Deals row after row out to the sets in turn, the larger sets first. */
function dealt(rows: readonly number[][], sizes: readonly number[], chance: Chance): number[] {
  const inTurn = sizes.map((size, set) => ({ size, set })).sort((a, b) => b.size - a.size)
  const setOf: number[] = []
  shuffled(rows, chance)
    .flatMap((row) => shuffled(row, chance))
    .forEach((child, place) => (setOf[child] = inTurn[place % inTurn.length].set))
  return setOf
}

/** Swaps the two children whose swap helps most until none does; @returns what the seats then weigh. */
function bettered(setOf: number[], weights: readonly number[][]): number {
  const children = setOf.length
  /** What a child weighs in a set, one of its members left out. */
  const within = (child: number, set: number, without: number) => {
    let sum = 0
    for (let other = 0; other < children; other++)
      if (setOf[other] === set && other !== without && other !== child) sum += weights[child][other]
    return sum
  }
  for (;;) {
    let swap: [number, number] | null = null
    let least = -1e-9
    for (let a = 0; a < children; a++)
      for (let b = a + 1; b < children; b++) {
        const [from, to] = [setOf[a], setOf[b]]
        if (from === to) continue
        const change = within(a, to, b) + within(b, from, a) - within(a, from, b) - within(b, to, a)
        if (change < least) [swap, least] = [[a, b], change]
      }
    if (!swap) break
    const [a, b] = swap
    ;[setOf[a], setOf[b]] = [setOf[b], setOf[a]]
  }
  let total = 0
  for (let child = 0; child < children; child++) total += within(child, setOf[child], -1) / 2
  return total
}

/**
 * Seats a group visit after visit: nobody with the same partner twice running where that can be helped,
 * and otherwise with those it has met least.
 * @param visits sizes of the sets of each visit, in the order they are played
 */
export function seatVisits(
  children: readonly string[],
  visits: readonly (readonly number[])[],
  { together, before, met }: Omit<SeatWishes, 'met'> & { met: Meetings },
  chance: Chance,
): Seats[] {
  const lately = new Meetings()
  const count = (a: string, b: string) => met.of(a, b) + lately.of(a, b)
  let last = before
  return visits.map((sizes) => {
    const seats = seat(children, sizes, { together, before: last, met: count }, chance)
    lately.addSeats(seats)
    if (seats.length > 1) last = seats
    return seats
  })
}
