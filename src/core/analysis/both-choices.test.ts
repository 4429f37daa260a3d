import { games } from '../games'
import { analyse, analyseInputSchema, NoExactAnalysis, type Analysis } from './analyse'

/** Games simulated at each level: few, as there are some five hundred comparisons. */
const simulated = 200

function exactOf(input: object): Analysis | null {
  try {
    return analyse(analyseInputSchema.parse({ ...input, method: 'exact' }))
  } catch (error) {
    if (error instanceof NoExactAnalysis) return null
    throw error
  }
}

/** Levels of each game whose exact figure lies beyond five standard errors of the simulated one. */
function apart(id: string, levels: readonly { id: string }[], choice: string): string[] {
  return levels.flatMap(({ id: level }) => {
    const input = { game: id, level, players: 1, choice, seed: 11, games: simulated }
    const exact = exactOf(input)
    const meant = exact?.solo?.goes
    if (!exact || meant === null || meant === undefined) return []
    const { solo, sample } = analyse(analyseInputSchema.parse({ ...input, method: 'simulate' }))
    const error = sample!.halfWidth.goes / 1.96
    const close = Math.abs(solo!.goes! - meant) <= 5 * error + 1e-9
    return close ? [] : [`${level}: exactly ${meant}, simulated ${solo!.goes} ± ${error}`]
  })
}

// A chain that lumps states which go on differently gives another mean than the rules played out.
describe.each(['planner', 'novice'])('exact and simulated figures agree, %s', (choice) => {
  test.each(games.map(({ id, levels }) => [id, levels] as const))('%s', (id, levels) => {
    expect(apart(id, levels, choice)).toEqual([])
  })
})
