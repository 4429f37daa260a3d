import { z } from 'zod'
import { cumulative } from '../chance/distribution'
import type { AnyGame } from '../games'
import { strandIds } from '../skills'
import { analyse } from './analyse'
import { defaultPace } from './pace'

/** Minutes up to which the chance of ending is kept. */
const minutesKept = 60
/** Games for a level that has to be simulated: half-widths of a few per cent, enough to choose by. */
const gamesPlayed = 1000

export const levelMeasureSchema = z.object({
  players: z.number(),
  method: z.enum(['exact', 'simulated']),
  /** The largest number met, and the share of each skill step. */
  to: z.number(),
  steps: z.array(z.object({ strand: z.enum(strandIds), step: z.number(), share: z.number() })),
  itemsPerChildPer10Min: z.number(),
  waitingShare: z.number(),
  deadShare: z.number(),
  /** Length in minutes; null where the time ends the game. `within[m]`: P(it ends within m minutes). */
  minutes: z
    .object({
      mean: z.number(),
      p10: z.number(),
      p50: z.number(),
      p90: z.number(),
      within: z.array(z.number()),
    })
    .nullable(),
})

/** What a level of the catalogue comes to with its usual number of players, to choose and to fit by. */
export type LevelMeasure = z.infer<typeof levelMeasureSchema>

/**
 * Measures a level with the game's usual number of players (of a whole-class game: eight).
 * @throws if nothing is practised or the end can't be reached: no level of the catalogue may be like that
 */
export function measureLevel(game: AnyGame, params: unknown): LevelMeasure {
  const players = Math.min(8, game.players.typical)
  const { method, set, minutes, practice } = analyse({
    game,
    params,
    players,
    slotMinutes: 10,
    method: 'auto',
    choice: 'planner',
    games: gamesPlayed,
    seed: 1,
    pace: defaultPace,
  })
  if (!practice || !set) throw new Error(`${game.title}: a level that can’t be measured.`)
  return {
    players,
    method,
    to: practice.to,
    steps: practice.steps,
    itemsPerChildPer10Min: practice.itemsPerChildPer10Min,
    waitingShare: practice.waitingShare,
    deadShare: set.deadShare,
    minutes: minutes && {
      mean: minutes.mean,
      p10: minutes.p10,
      p50: minutes.p50,
      p90: minutes.p90,
      within: Array.from({ length: minutesKept + 1 }, (_, minute) =>
        cumulative(minutes.seconds, minute * 60),
      ),
    },
  }
}
