import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { analyse, analyseInputSchema, type AnalyseInput, type Analysis } from '@/core/analysis/analyse'
import { advise, type Advice } from '@/core/analysis/advice'
import { levelMeasureSchema, measureLevel, type LevelMeasure } from '@/core/analysis/level-measure'
import { expectedSuccess, type ProfileStep } from '@/core/evidence/fit'
import { gameOf } from '@/core/games'
import type { StrandId } from '@/core/skills'
import { z } from 'zod'

interface Kept {
  measures: Map<string, LevelMeasure>
  analyses: Map<string, Analysis>
  advices: Map<string, Advice[]>
}

// Pure results of pure input: they can't go stale, so every process may keep its own. On globalThis,
// because what starts the server and what answers requests are bundled apart.
const { measures, analyses, advices } = ((globalThis as { islandsFigures?: Kept }).islandsFigures ??= {
  measures: measuredBefore(),
  analyses: new Map(),
  advices: new Map(),
})
const mostKept = 400

/** What was measured when this version was set up; empty where that was left out. */
function measuredBefore(): Map<string, LevelMeasure> {
  const file = join(process.cwd(), '.islands/measures.json')
  if (!existsSync(file)) return new Map()
  return new Map(
    Object.entries(z.record(z.string(), levelMeasureSchema).parse(JSON.parse(readFileSync(file, 'utf8')))),
  )
}

/** What a level of the catalogue comes to; of a level that is not there any more, the first. */
export function levelMeasure(gameId: string, levelId: string): LevelMeasure {
  const game = gameOf(gameId)
  const level = game.levels.find(({ id }) => id === levelId) ?? game.levels[0]
  const key = `${gameId} ${level.id}`
  const known = measures.get(key)
  if (known) return known
  const made = measureLevel(game, level.params)
  measures.set(key, made)
  return made
}

export const levelProfile = (gameId: string, levelId: string): ProfileStep[] =>
  levelMeasure(gameId, levelId).steps

/** Expected success of each child at each level of a game; shape [child][level]. */
export function successAt(
  gameId: string,
  rightAlone: readonly Record<StrandId, readonly number[]>[],
): number[][] {
  const levels = gameOf(gameId).levels.map(({ id }) => levelProfile(gameId, id))
  return rightAlone.map((child) => levels.map((profile) => expectedSuccess(profile, child)))
}

/** The strand a game practises most, over its levels. */
export function mainStrand(gameId: string): StrandId {
  const total = new Map<StrandId, number>()
  for (const { id } of gameOf(gameId).levels)
    for (const { strand, share } of levelProfile(gameId, id))
      total.set(strand, (total.get(strand) ?? 0) + share)
  return [...total].reduce((most, entry) => (entry[1] > most[1] ? entry : most))[0]
}

export type FiguresInput = z.input<typeof analyseInputSchema>

function kept<T>(cache: Map<string, T>, input: FiguresInput, work: (parsed: AnalyseInput) => T): T {
  const key = JSON.stringify(input)
  const known = cache.get(key)
  if (known !== undefined) return known
  const made = work(analyseInputSchema.parse(input))
  if (cache.size >= mostKept) cache.delete(cache.keys().next().value!)
  cache.set(key, made)
  return made
}

/** The figures of a game, kept by their input. */
export const analysisOf = (input: FiguresInput): Analysis => kept(analyses, input, analyse)

/** Advice for a game, found by trying each change: some seconds for the largest boards. */
export const adviceFor = (input: FiguresInput): Advice[] =>
  kept(advices, input, (parsed) => advise(parsed, analysisOf(input)))
