import type { Distribution } from '../chance/distribution'
import type { PracticeItem } from '../skills'

/** How a set's game goes, whichever way it was found out: what every figure is worked out from. */
export interface Play {
  /**
   * Goes until the set's game ends: of all players where goes alternate or one call serves all, of the
   * slowest child where each plays on an own board. Null: until the time is up.
   */
  goes: Distribution | null
  /** P(the first player wins); null where nobody races. */
  firstWins: number | null
  /** Expected in one game of the set, all players together; in one go where the time ends the game. */
  expected: {
    goes: number
    dead: number
    /** Seconds of the whole game, until the slowest is through. */
    seconds: number
    /** Seconds in which a child works something out or moves, added up over the children. */
    active: number
  }
  /** Expected for one player alone, where it came out along the way; null: not known. */
  alone: { goes: number; dead: number } | null
  /** Items with the number expected, of all players together. */
  items: readonly CountedItem[]
  /** Seconds of the whole game on a 1 s lattice; null where the lattice would be too large. */
  seconds: Distribution | null
  /** Set where the figures come from simulated games. */
  sample: Sample | null
}

export interface CountedItem {
  key: string
  item: PracticeItem
  count: number
}

export interface Sample {
  games: number
  seed: number
  /** Games stopped because no end was in sight. */
  unended: number
  /** Half-widths of 95 % intervals. */
  halfWidth: {
    goes: number
    deadShare: number
    minutes: number
    firstPlayerWins: number
    /** Of `waitingShare` and `itemsPerChildPer10Min`, and of the share of each step, by `strand step`. */
    waitingShare: number
    itemsPer10Min: number
    stepShare: Record<string, number>
  }
}
