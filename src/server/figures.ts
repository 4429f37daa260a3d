import { analyse, analyseInputSchema, type AnalyseInput, type Analysis } from '@/core/analysis/analyse'
import { advise, type Advice } from '@/core/analysis/advice'
import { playExactly, solve } from '@/core/analysis/exact'
import { practiceOf } from '@/core/analysis/figures'
import { defaultPace } from '@/core/analysis/pace'
import { expectedSuccess, type ProfileStep } from '@/core/evidence/fit'
import { games, gameOf } from '@/core/games'
import type { StrandId } from '@/core/skills'
import type { z } from 'zod'

interface Kept {
  profiles: Map<string, ProfileStep[]>
  analyses: Map<string, Analysis>
  advices: Map<string, Advice[]>
}

// Pure results of pure input: they can't go stale, so every process may keep its own. On globalThis,
// because what starts the server and what answers requests are bundled apart.
const { profiles, analyses, advices } = ((globalThis as { islandsFigures?: Kept }).islandsFigures ??= {
  profiles: new Map(),
  analyses: new Map(),
  advices: new Map(),
})
const mostKept = 400

/** What a level of the catalogue practises, by one child alone. */
export function levelProfile(gameId: string, levelId: string): ProfileStep[] {
  const key = `${gameId} ${levelId}`
  const known = profiles.get(key)
  if (known) return known
  const game = gameOf(gameId)
  const level = game.levels.find(({ id }) => id === levelId) ?? game.levels[0]
  const solved = solve(game, level.params, 'planner', defaultPace)
  if (typeof solved === 'string') throw new Error(`${game.title}, ${level.title}: ${solved}`)
  const profile = practiceOf(playExactly(solved, 1, false), 1).steps
  profiles.set(key, profile)
  return profile
}

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

/** Works the profiles of the catalogue out ahead of the first visitor, a level at a time. */
export async function warmProfiles() {
  for (const game of games)
    for (const { id } of game.levels) {
      levelProfile(game.id, id)
      await new Promise((resolve) => setImmediate(resolve))
    }
}
