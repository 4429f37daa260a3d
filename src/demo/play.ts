import { seededChance, unit, type SavedChance } from '@/core/chance/chance'
import { defaultPace, goTime } from '@/core/analysis/pace'
import { logistic, type Judgement } from '@/core/evidence/observation'
import { gameOf, playGo, type GameEvent, type GameState } from '@/core/games'
import { placeOf, stepOf, type StepPlace, type StrandId } from '@/core/skills'

/** Hidden ability of a simulated child on a strand. */
export type Hidden = (strand: StrandId) => number

/** Whether the child gets one answer right alone, by chance and ability. */
const answers = (ability: number, difficulty: number, chance: SavedChance) =>
  unit(chance) < logistic(ability - difficulty)

/**
 * Plays a game by the real engine for a slot and counts how many of the first `most` items at the
 * marked step one child gets right alone. Null if the slot holds none.
 */
export function tallyOf(
  visit: {
    gameId: string
    params: unknown
    players: number
    slotMinutes: number
    place: StepPlace
  },
  hidden: Hidden,
  most: number,
  seed: number,
): { right: number; of: number } | null {
  const game = gameOf(visit.gameId)
  const chance = seededChance(seed)
  let state = game.setup(visit.params, visit.players) as GameState
  let seconds = 0
  let right = 0
  let of = 0
  while (seconds < visit.slotMinutes * 60 && of < most) {
    if (state.ended) state = game.setup(visit.params, visit.players) as GameState
    const events: GameEvent[] = []
    state = playGo(game, state, 'novice', chance, (event) => events.push(event))
    seconds += goTime(events, defaultPace, game.goes, visit.players).seconds
    for (const event of events) {
      if (event.kind !== 'answered' || event.player !== 0 || of >= most) continue
      const place = placeOf(event.item)
      if (place.strand !== visit.place.strand || place.step !== visit.place.step) continue
      of++
      if (answers(hidden(place.strand), stepOf(place).difficulty, chance)) right++
    }
  }
  return of > 0 ? { right, of } : null
}

/** What an adult would tap for this child at this step, by the graded response the filter assumes. */
export function judgementOf(hidden: Hidden, place: StepPlace, chance: SavedChance): Judgement {
  const ability = hidden(place.strand) - stepOf(place).difficulty
  const u = unit(chance)
  if (u < logistic(ability)) return 'own'
  return u < logistic(ability + 1.2) ? 'help' : 'notYet'
}
