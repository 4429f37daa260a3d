import type { Figures } from './context'

/**
 * Figures of games at a class's own pace: where everything takes `factor` times as long, a slot of m minutes is as good
 * as one of m / factor. Between two whole minutes in proportion.
 */
export function atPace(figures: Figures, factor: number): Figures {
  if (factor === 1) return figures
  return {
    ...figures,
    finish(gameId, levelId, players, slotMinutes) {
      const minutes = slotMinutes / factor
      const [before, after] = [Math.floor(minutes), Math.ceil(minutes)]
      const [low, high] = [before, after].map((whole) => figures.finish(gameId, levelId, players, whole))
      if (low === null || high === null) return null
      return low + (high - low) * (minutes - before)
    },
    usualMinutes(gameId, levelId, players) {
      const minutes = figures.usualMinutes(gameId, levelId, players)
      return minutes === null ? null : minutes * factor
    },
    around: (gameId, levelId, players) => factor * figures.around(gameId, levelId, players),
  }
}
