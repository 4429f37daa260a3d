import { aroundPlay } from '@/core/analysis/around'
import { isPlausible, paceAfter, paceFactor, unknownPace } from '@/core/evidence/class-pace'
import { gameOf } from '@/core/games'
import type { Habits } from '@/core/planning/session/habits'
import { deleteFinished, deleteLikings, likingNotes, timedGames } from '@/data/queries/outcomes'
import type { ClassScope } from '@/data/scope'
import { classIdSchema } from './classes'
import { levelMeasure } from './figures'
import { changingClass } from './use-case'

/** A pace is that of the last weeks: children get quicker over a year. */
const mostTimed = 60

/** To the next twentieth: more is not known of it, and figures that were worked out stay good longer. */
const rounded = (factor: number) => Math.round(factor * 20) / 20

const setUpOf = (gameId: string, levelId: string, players: number) => {
  const game = gameOf(gameId)
  return aroundPlay(game, game.levels.find(({ id }) => id === levelId)!.params, players).setUp
}

/** What a class has shown of itself: its pace from the games that were timed, and what its groups liked. */
export async function habitsOf(scope: ClassScope): Promise<Habits> {
  const [timed, notes] = await Promise.all([timedGames(scope, mostTimed), likingNotes(scope)])
  const pace = timed.reduce((before, { gameId, levelId, minutes, first }) => {
    // Where the time ends a game, how long it took says nothing.
    const measure = levelMeasure(gameId, levelId)
    const playing = measure.minutes?.mean
    const expected = playing && playing + (first ? setUpOf(gameId, levelId, measure.players) : 0)
    return expected && isPlausible(expected, minutes) ? paceAfter(before, expected, minutes) : before
  }, unknownPace)
  return {
    pace: { factor: pace.games === 0 ? 1 : rounded(paceFactor(pace)), games: pace.games },
    liked: Object.fromEntries(notes.map(({ gameId, liked, of }) => [gameId, { liked, of }])),
  }
}

/** The class's pace is what is usual again. */
export const forgetPace = changingClass('forgetPace', classIdSchema, (scope) => deleteFinished(scope))

/** Nothing has been said of what is liked. */
export const forgetLikings = changingClass('forgetLikings', classIdSchema, (scope) => deleteLikings(scope))
