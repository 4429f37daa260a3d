import { randomInt } from 'node:crypto'
import { z } from 'zod'
import { gameIdSchema, gameOf, usualLevel } from '@/core/games'
import { timed } from '@/core/games/engine/cautions'
import type { ClassStep } from '@/core/games/playing/class-questions'
import { textsOf } from '@/core/games/texts'
import { playersToShow } from '@/core/games/playing/showing'
import { workedOn } from '@/core/house-style'
import { isLeftOpen } from '@/core/live/session'
import { topStep } from '@/core/skills'
import { houseStyleOf } from '@/data/queries/house-style'
import { pupilsOf } from '@/data/queries/pupils'
import { absentOf, visitsMet } from '@/data/queries/sessions'
import { isWithin } from '@/data/scope'
import { childrenOf } from './children'
import { classIdSchema, displayName } from './classes'
import { todayIn } from './clock'
import { soFar } from './heavy/threads'
import { NotHere, readingClass } from './use-case'

const showPageSchema = classIdSchema.extend({
  gameId: gameIdSchema,
  levelId: z.string().max(60).optional(),
  players: z.number().int().min(1).max(34).optional(),
})

export type ShowPage = Awaited<ReturnType<typeof showPage>>

/** A game for the class screen: its level, and the round that shows most of its rules. Nothing of a child. */
export const showPage = readingClass(
  'showPage',
  showPageSchema,
  async (scope, { gameId, levelId, players }) => {
    const { game, level } = levelAsked({ gameId, levelId })
    const texts = textsOf(gameId, level.params)
    // A whole class lines up with as many cards as there are children.
    const usual =
      game.room.whole && game.players.min > 2 ? (await pupilsOf(scope)).length : playersToShow(game)
    const playing = Math.min(game.players.max, Math.max(game.players.min, players ?? usual))
    const found = await soFar('demonstrate', { game: gameId, level: level.id, players: playing })
    return {
      game: { id: gameId, title: game.title, summary: game.summary, talk: texts.talk },
      level: { id: level.id, title: level.title },
      levels: game.levels.map(({ id, title }) => ({ id, title })),
      players: playing,
      /** It is played against time: rounds of questions can be. */
      timed: texts.cautions.includes(timed),
      /** Null: it takes longer than a page can wait; then any round is shown. */
      demonstration: found.state === 'done' ? found.value : null,
    }
  },
)

export type TryPage = Awaited<ReturnType<typeof tryPage>>

/** A game to be played at this screen: its level and who can play. Nothing of a child. */
export const tryPage = readingClass(
  'tryPage',
  showPageSchema.omit({ players: true }).extend({ seed: z.number().int().min(0).max(9999).optional() }),
  async (_scope, { seed, ...input }) => {
    const { game, level } = levelAsked(input)
    return {
      /** What its dice and cards come from: the same number makes the same game, on the server and in the browser. */
      seed: seed ?? randomInt(10_000),
      game: { id: game.id, title: game.title, players: game.players },
      level: { id: level.id, title: level.title },
      levels: game.levels.map(({ id, title }) => ({ id, title })),
    }
  },
)

export type StationPage = Awaited<ReturnType<typeof stationPage>>

/** A visit as one child plays it at a screen: its own level and its name, nothing of anyone else. */
export const stationPage = readingClass(
  'stationPage',
  classIdSchema.extend({ visitId: z.uuid(), pupilId: z.uuid() }),
  async (scope, { visitId, pupilId }) => {
    const [met, child, style] = await Promise.all([
      visitsMet(scope, [visitId], [pupilId]).then((visits) => visits.get(visitId)),
      pupilsOf(scope).then((pupils) => pupils.find(({ id }) => id === pupilId)),
      houseStyleOf(scope),
    ])
    if (!met || !child || !met.pupilIds.has(pupilId) || !isWithin(scope, met)) throw new NotHere()
    const closed = !style.digital
      ? 'The digital station is off. It is switched on in the house style of the class.'
      : met.session.state !== 'running' || isLeftOpen(met.session, todayIn(scope.classroom.timeZone))
        ? 'The session is not under way.'
        : (await absentOf(scope, met.session.id)).some(
              (one) => one.pupilId === pupilId && met.slot >= one.fromSlot,
            )
          ? `${displayName(child)} is away today.`
          : null
    const levelId = met.visit.ownLevels[pupilId] ?? met.visit.levelId
    const { game, level } = levelAsked({ gameId: met.gameId, levelId })
    return {
      /** Under whose marks its answers are kept on the device. */
      classId: scope.classId,
      /** Why nothing is played now; null: it can begin. */
      closed,
      visitId,
      child: { id: pupilId, name: displayName(child) },
      game: { id: game.id, title: game.title, players: game.players },
      level: { id: level.id, title: level.title },
    }
  },
)

export type QuestionsPage = Awaited<ReturnType<typeof questionsPage>>

/** How many children work at each step, by strand: what a class is asked comes from there. Nobody is named. */
export const questionsPage = readingClass('questionsPage', classIdSchema, async (scope) => {
  const [children, style] = await Promise.all([childrenOf(scope), houseStyleOf(scope)])
  return {
    /** Of the first round: the page and what it becomes show the same. */
    seed: Math.floor(Math.random() * 2 ** 31),
    strands: workedOn(style).flatMap((strand) => {
      const steps = new Map<string, number>()
      for (const { followed, estimates } of children) {
        const step = estimates[strand].workingStep ?? topStep(strand)
        if (followed.includes(strand)) steps.set(step, (steps.get(step) ?? 0) + 1)
      }
      const classSteps = [...steps].map(([step, count]): ClassStep => ({ strand, step, children: count }))
      return classSteps.length > 0 ? [{ strand, steps: classSteps }] : []
    }),
  }
})

/** The tools: whoever may see the class may use them. */
export const toolsPage = readingClass('toolsPage', classIdSchema, () => Promise.resolve({}))

/** @throws {NotHere} if the game has no such level */
function levelAsked({ gameId, levelId }: { gameId: string; levelId?: string }) {
  const game = gameOf(gameId)
  const level = levelId === undefined ? usualLevel(game) : game.levels.find(({ id }) => id === levelId)
  if (!level) throw new NotHere()
  return { game, level }
}
