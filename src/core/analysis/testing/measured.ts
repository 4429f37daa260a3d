import { readFileSync } from 'node:fs'
import type { LevelMeasure } from '../level-measure'

/** What every level comes to, as it is worked out once before the tests of this version (`bin/measure-games.ts`). */
const measures = JSON.parse(readFileSync('.islands/measures.json', 'utf8')) as Record<string, LevelMeasure>

/** The measure of a level of the catalogue. */
export function measured(gameId: string, levelId: string): LevelMeasure {
  const measure = measures[`${gameId} ${levelId}`]
  if (!measure) throw new Error(`${gameId} ${levelId} was not measured.`)
  return measure
}
