import { liking, type LikingNotes } from '../../evidence/liking'
import type { Figures } from './context'

/** What a class has shown of itself at its stations: how long games take it, and which it likes. */
export interface Habits {
  /** Its factor on all times, and how many games that rests on. */
  pace: { factor: number; games: number }
  /** By game: how often a group liked it, of how often that was told. */
  liked: Readonly<Record<string, LikingNotes>>
}

export const noHabits: Habits = { pace: { factor: 1, games: 0 }, liked: {} }

/** How much a class likes a game, 0 to 1; one that nobody has spoken of stands in the middle. */
export const likingOf = ({ liked }: Habits, gameId: string): number =>
  liking(liked[gameId] ?? { liked: 0, of: 0 })

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
  }
}
