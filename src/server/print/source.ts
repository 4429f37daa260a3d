import { z } from 'zod'
import { gameIdSchema, gameOf } from '@/core/games'
import { languages } from '@/core/printing/letters'
import { levelMeasure, levelMarks } from '../figures'
import { homeKit, type HomeGame } from '@/core/printing/home-kit'
import { gamePile } from '@/core/printing/game-pile'
import type { Pile } from '@/core/printing/item'
import { sessionPile } from '@/core/printing/session-pile'
import { markedStep } from '@/core/skills/marked-step'
import type { PlanView } from '@/core/planning/session/work-out'
import { stepOf, type StrandId } from '@/core/skills'

/** What is printed for: the next session, a game, a child or the children of a group. */
export const printForSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('session') }),
  z.object({
    kind: z.literal('game'),
    gameId: gameIdSchema,
    levelId: z.string().max(60).optional(),
    /** A class and a half at the most, whatever the address says. */
    children: z.number().int().min(1).max(60).default(6),
  }),
  z.object({ kind: z.literal('child'), pupilId: z.uuid() }),
  /** Without a group: the first. */
  z.object({ kind: z.literal('group'), groupId: z.uuid().optional() }),
])
export type PrintFor = z.output<typeof printForSchema>

export const languageSchema = z.enum(languages)

/** All that a pile is made of, as plain data: it is laid out in another thread. */
export type PileSource =
  | { kind: 'session'; title: string; day: string; view: PlanView; focus: StrandId; near: string[] }
  | { kind: 'game'; gameId: string; levelId: string; children: number }
  | {
      kind: 'kits'
      title: string
      language: (typeof languages)[number]
      kits: { child: { id: string; name: string }; home: HomeGame }[]
    }

/** Minutes within which half of the games of a level of a game end. */
function usualByLevel(gameId: string): Map<string, number> {
  return new Map(
    gameOf(gameId).levels.flatMap(({ id }) => {
      const { minutes } = levelMeasure(gameId, id)
      return minutes === null ? [] : [[id, minutes.p50] as const]
    }),
  )
}

/** What there is to print. Pure: the same source is the same pile. */
export function pileOf(source: PileSource): Pile {
  switch (source.kind) {
    case 'game': {
      const game = gameOf(source.gameId)
      const level = game.levels.find(({ id }) => id === source.levelId)!
      return gamePile(game, level, source.children, usualByLevel(game.id).get(level.id) ?? null)
    }
    case 'session': {
      const { focus, ...papers } = source
      const stepAt = (gameId: string, levelId: string) =>
        stepOf(markedStep(levelMarks(gameId, levelId), focus))
      return sessionPile({ ...papers, stepAt }, usualByLevel)
    }
    case 'kits':
      return {
        title: source.title,
        bundles: source.kits.map(({ child, home }) => homeKit(child, home, source.language)),
      }
  }
}
