import { shuffled, type Chance } from '../../chance/chance'

/**
 * A puzzle of rounds: which children share a group in which round, so that no class of pairs is used
 * more often than it may be.
 */
export interface RoundsPuzzle {
  children: number
  /** Sizes of the groups of every round. */
  sizes: readonly number[]
  rounds: number
  /** The class of each pair, at `a * children + b`; all pairs of one class count together. */
  classOf: Int32Array
  /** How often each class may be used; meetings before count against it. */
  room: Float64Array
}

/** Every pair a class of its own, to meet once in all: `met[a * children + b]` meetings are there already. */
export function eachPairOnce(
  children: number,
  sizes: readonly number[],
  rounds: number,
  met: Float64Array,
): RoundsPuzzle {
  const classOf = Int32Array.from({ length: children * children }, (_, at) => {
    const [a, b] = [Math.floor(at / children), at % children]
    return Math.min(a, b) * children + Math.max(a, b)
  })
  return { children, sizes, rounds, classOf, room: met.map((count) => 1 - count) }
}

/** Moves for which a child that was just moved stays where it is: as many, and up to so many more. */
const [leastRest, moreRest] = [4, 8]

/**
 * Swaps two children of a round, the best swap for one who meets someone too often, and lets them rest
 * for a while so that it is not undone at once (tabu search; Glover 1989, ORSA Journal on Computing 1:190).
 * @param tries swaps weighed up before it gives up
 * @param enough uses too many that cannot be helped: as good as solved
 * @returns groups by round, and how many uses are too many; 0 where the puzzle is solved
 */
export function arrange(
  puzzle: RoundsPuzzle,
  chance: Chance,
  tries: number,
  enough = 0,
): { rounds: number[][][]; excess: number } {
  const { children } = puzzle
  const table = new Table(puzzle, chance)
  const resting = table.rounds.map(() => new Int32Array(children))
  let best = { rounds: table.copy(), excess: table.excess }
  for (let time = 1, left = tries; left > 0 && best.excess > enough; time++) {
    const round = chance.int(0, table.rounds.length - 1)
    const child = table.crowded(round, chance)
    let swap = -1
    let change = Infinity
    let ties = 0
    for (let other = 0; other < children; other++) {
      if (table.together(round, child, other)) continue
      left--
      const own = table.tried(round, child, other)
      const rests = resting[round][child] > time || resting[round][other] > time
      if (own > change || (rests && table.excess + own >= best.excess)) continue
      ties = own === change ? ties + 1 : 1
      if (ties > 1 && chance.int(1, ties) > 1) continue
      swap = other
      change = own
    }
    if (swap < 0) continue
    table.swap(round, child, swap)
    resting[round][child] = resting[round][swap] = time + leastRest + chance.int(0, moreRest)
    if (table.excess < best.excess) best = { rounds: table.copy(), excess: table.excess }
  }
  return best
}

/** Who sits where in every round, and how often each class of pairs is used. */
class Table {
  readonly rounds: number[][][]
  excess = 0
  private readonly groupOf: Int32Array[]
  private readonly used: Float64Array
  private readonly room: Float64Array

  constructor(
    private readonly puzzle: RoundsPuzzle,
    chance: Chance,
  ) {
    const { children, sizes, rounds, room } = puzzle
    this.room = room.map((free) => Math.max(0, free))
    this.used = new Float64Array(room.length)
    this.groupOf = []
    this.rounds = []
    const everybody = Array.from({ length: children }, (_, child) => child)
    for (let round = 0; round < rounds; round++) {
      const order = shuffled(everybody, chance)
      const groups: number[][] = sizes.map(() => [])
      const own = new Int32Array(children)
      sizes.forEach((size, g) => {
        for (const child of order.splice(0, size)) {
          for (const other of groups[g]) this.excess += this.use(child, other)
          groups[g].push(child)
          own[child] = g
        }
      })
      this.rounds.push(groups)
      this.groupOf.push(own)
    }
  }

  copy = () => this.rounds.map((round) => round.map((group) => group.slice()))

  together = (round: number, a: number, b: number) => this.groupOf[round][a] === this.groupOf[round][b]

  /** A child of the round who meets someone too often; any child where nobody does. */
  crowded(round: number, chance: Chance): number {
    let found = chance.int(0, this.puzzle.children - 1)
    let count = 0
    for (const group of this.rounds[round])
      for (const child of group) {
        if (!group.some((other) => other !== child && this.isOver(child, other))) continue
        count++
        if (chance.int(1, count) === 1) found = child
      }
    return found
  }

  /** By how much the excess would change, were the two swapped. */
  tried(round: number, a: number, b: number): number {
    const change =
      this.leave(round, a) + this.leave(round, b) + this.join(round, a, b) + this.join(round, b, a)
    this.unjoin(round, a, b)
    this.unjoin(round, b, a)
    this.rejoin(round, a)
    this.rejoin(round, b)
    return change
  }

  swap(round: number, a: number, b: number) {
    this.excess += this.leave(round, a) + this.leave(round, b)
    this.excess += this.join(round, a, b) + this.join(round, b, a)
    const own = this.groupOf[round]
    const [from, to] = [this.rounds[round][own[a]], this.rounds[round][own[b]]]
    from[from.indexOf(a)] = b
    to[to.indexOf(b)] = a
    ;[own[a], own[b]] = [own[b], own[a]]
  }

  private groupWith = (round: number, child: number) => this.rounds[round][this.groupOf[round][child]]

  private leave(round: number, child: number): number {
    let change = 0
    for (const other of this.groupWith(round, child)) if (other !== child) change += this.unuse(child, other)
    return change
  }

  private rejoin(round: number, child: number) {
    for (const other of this.groupWith(round, child)) if (other !== child) this.use(child, other)
  }

  /** `child` comes to the group that `inPlaceOf` has left. */
  private join(round: number, child: number, inPlaceOf: number): number {
    let change = 0
    for (const other of this.groupWith(round, inPlaceOf))
      if (other !== inPlaceOf) change += this.use(child, other)
    return change
  }

  private unjoin(round: number, child: number, inPlaceOf: number) {
    for (const other of this.groupWith(round, inPlaceOf)) if (other !== inPlaceOf) this.unuse(child, other)
  }

  private classOf = (a: number, b: number) => this.puzzle.classOf[a * this.puzzle.children + b]

  private isOver(a: number, b: number): boolean {
    const at = this.classOf(a, b)
    return this.used[at] > this.room[at]
  }

  /** One more meeting; @returns by how much the excess changes. */
  private use(a: number, b: number): number {
    const at = this.classOf(a, b)
    return Number(++this.used[at] > this.room[at])
  }

  private unuse(a: number, b: number): number {
    const at = this.classOf(a, b)
    return -Number(this.used[at]-- > this.room[at])
  }
}
