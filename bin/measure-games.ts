import { mkdirSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { measureLevel } from '@/core/analysis/level-measure'
import { games } from '@/core/games'

/** Measures every level of the catalogue once for this version of the rules: `measure-games.ts FILE`. */
const file = process.argv[2]
const measures: Record<string, unknown> = {}
for (const game of games)
  for (const { id, params } of game.levels) measures[`${game.id} ${id}`] = measureLevel(game, params)
mkdirSync(dirname(file), { recursive: true })
writeFileSync(file, JSON.stringify(measures))
