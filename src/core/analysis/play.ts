import type { Distribution } from '../chance/distribution'
import type { GoOutcome } from './go-chain'

/** How a set's game goes, whichever way it was found out: what every figure is worked out from. */
export interface Play {
  /** Goes of the whole set until its game ends. */
  goes: Distribution
  /** P(the first player wins); null where nobody races. */
  firstWins: number | null
  /** Kinds of go with the number expected in a game. */
  outcomes: readonly { outcome: GoOutcome; expected: number }[]
  /** Seconds of the whole game on a 1 s lattice; null where the lattice would be too large. */
  seconds: Distribution | null
  /** Set where the figures come from simulated games. */
  sample: Sample | null
}

export interface Sample {
  games: number
  seed: number
  /** Games stopped because no end was in sight. */
  unended: number
  /** Half-widths of 95 % intervals. */
  halfWidth: { goes: number; deadShare: number; minutes: number; firstPlayerWins: number }
}
