/** What is believed of a class's pace: its factor on all times, log-normal. */
export interface ClassPace {
  /** Mean and spread of ln factor. */
  mean: number
  sd: number
  games: number
}

/** The longest time a game is believed to have taken, in minutes: a lesson and a break. */
export const mostMinutes = 120

/** Before anything was timed: as fast as the defaults, give or take a third. */
export const unknownPace: ClassPace = { mean: 0, sd: 0.3, games: 0 }

/** Spread of one timed game about the class's own pace, in ln: chance of the game, talk, mishaps. Common practice, no source. */
const gameSpread = 0.35

/** Further from what is usual than this factor, either way: somebody forgot to tap, or tapped the wrong game. Common practice, no source. */
const mishap = 3

/** True if a game can have taken so long; else the time says nothing of the class. */
export const isPlausible = (expectedMinutes: number, minutes: number): boolean =>
  minutes <= expectedMinutes * mishap && minutes * mishap >= expectedMinutes

/**
 * The pace after a game that was timed: a normal update of ln factor (Gelman et al. 2013, Bayesian Data Analysis, § 2.5).
 * @param expectedMinutes what the game takes on average at factor 1
 */
export function paceAfter(pace: ClassPace, expectedMinutes: number, minutes: number): ClassPace {
  if (!(expectedMinutes > 0) || !(minutes > 0)) throw new RangeError('A game takes some time.')
  const observed = Math.log(minutes / expectedMinutes)
  const precision = 1 / pace.sd ** 2 + 1 / gameSpread ** 2
  return {
    mean: (pace.mean / pace.sd ** 2 + observed / gameSpread ** 2) / precision,
    sd: Math.sqrt(1 / precision),
    games: pace.games + 1,
  }
}

/** The factor to plan with: the median, within what the pace model takes. */
export const paceFactor = ({ mean }: ClassPace) => Math.min(4, Math.max(0.25, Math.exp(mean)))
