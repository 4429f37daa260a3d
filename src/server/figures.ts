import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { z } from 'zod'
import { aroundMinutes } from '@/core/analysis/around'
import type { analyseInputSchema } from '@/core/analysis/analyse'
import { levelMeasureSchema, measureLevel, type LevelMeasure } from '@/core/analysis/level-measure'
import type { ProfileStep } from '@/core/skills/marked-step'
import { gameOf, usualLevel } from '@/core/games'
import { mainStrand as mainStrandBy, successAt as successBy } from '@/core/planning/session/levels'
import type { StrandId } from '@/core/skills'
import type { Learner, Practised } from '@/core/planning/session/context'
import { nameOf } from '@/core/things'

/** Pure results of pure input: on globalThis, because what starts the server and what answers requests are bundled apart. */
const measures = ((globalThis as { islandsMeasures?: Map<string, LevelMeasure> }).islandsMeasures ??=
  measuredBefore())

/** What was measured when this version was set up; empty where that was left out. */
function measuredBefore(): Map<string, LevelMeasure> {
  const file = join(process.cwd(), '.islands/measures.json')
  if (!existsSync(file)) return new Map()
  return new Map(
    Object.entries(z.record(z.string(), levelMeasureSchema).parse(JSON.parse(readFileSync(file, 'utf8')))),
  )
}

/** What a level of the catalogue comes to; of a level that is not there any more, the usual one. */
export function levelMeasure(gameId: string, levelId: string): LevelMeasure {
  const game = gameOf(gameId)
  const level = game.levels.find(({ id }) => id === levelId) ?? usualLevel(game)
  const key = `${gameId} ${level.id}`
  const known = measures.get(key)
  if (known) return known
  const made = measureLevel(game, level.params)
  measures.set(key, made)
  return made
}

/** What the list of games says of a level beside its measure: what it needs, and the minutes around playing. */
interface LevelUse {
  needs: string[]
  around: number
}

/** Of the catalogue alone: a level does not change. */
const uses = new Map<string, LevelUse>()

/** @param players who play together */
export function levelUse(gameId: string, levelId: string, players: number): LevelUse {
  const key = `${gameId} ${levelId} ${players}`
  let use = uses.get(key)
  if (!use) {
    const game = gameOf(gameId)
    const { params } = game.levels.find(({ id }) => id === levelId)!
    const needs = game.materials(params).map(({ thing }) => nameOf(thing))
    uses.set(key, (use = { needs, around: aroundMinutes(game, params, players) }))
  }
  return use
}

export const levelProfile = (gameId: string, levelId: string): ProfileStep[] =>
  levelMeasure(gameId, levelId).steps

/** Steps by which a level is marked, see `markedStep`. */
export const levelMarks = (gameId: string, levelId: string): ProfileStep[] =>
  levelMeasure(gameId, levelId).marked

/** What the levels of the catalogue practise, as it was measured. */
export const practised: Practised = { profile: levelProfile, marked: levelMarks }

/** Expected success of each child at each level of a game; shape [child][level]. */
export const successAt = (gameId: string, children: readonly Learner[]): number[][] =>
  successBy(gameId, children, practised)

/** The strand a game practises most, over its levels. */
export const mainStrand = (gameId: string): StrandId => mainStrandBy(gameId, practised)

export type FiguresInput = z.input<typeof analyseInputSchema>
