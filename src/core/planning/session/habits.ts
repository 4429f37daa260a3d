import { liking, type LikingNotes } from '../../evidence/liking'

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
