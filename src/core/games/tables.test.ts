import { rounds } from '../testing/rounds'
import { edited, type Layout, type Scene, type Spot, type Viewer } from '../table'
import { faceSchema } from '../things/face'
import { games, type AnyGame } from './index'
import { auto, movesOf, newRound, sceneOf, wordsFor, type Round } from './engine/round'

/** Steps of a round that are looked at: enough for most to end, and bounded for those that never do. */
const mostSteps = 60
/** So many rounds of each level. */
const seeds = Array.from({ length: rounds(8) }, (_, i) => i + 1)
/** Settings that no level has. */
const besides: Record<string, object[]> = {
  'lantern-grid': [{ sectors: 5, boxes: 15, score: 'own-colours' }],
  'tower-bay': [{ source: { kind: 'dice', count: 1 }, score: 'own-colours' }],
}

const written = ({ things }: Scene) =>
  things
    .map((thing) => JSON.stringify(thing))
    .sort()
    .join('\n')

/** What is wrong with a layout: nothing, for each of the catalogue. */
function faultsOf({ width, height, spots, paths }: Layout): string[] {
  const faults: string[] = []
  const ids = new Set(spots.map(({ id }) => id))
  if (ids.size < spots.length) faults.push('two spots with one id')
  for (const { id, at, size } of spots)
    if (
      at[0] - size[0] / 2 < 0 ||
      at[1] - size[1] / 2 < 0 ||
      at[0] + size[0] / 2 > width ||
      at[1] + size[1] / 2 > height
    )
      faults.push(`${id} lies beyond the edge`)
  for (const [from, to] of paths) if (!ids.has(from) || !ids.has(to)) faults.push(`no way ${from} to ${to}`)
  for (let a = 0; a < spots.length; a++)
    for (let b = a + 1; b < spots.length; b++)
      if (overlap(spots[a], spots[b])) faults.push(`${spots[a].id} lies over ${spots[b].id}`)
  return faults
}

/** True where two spots lie over each other by more than a hair. */
const overlap = (one: Spot, two: Spot) =>
  [0, 1].every((side) => (one.size[side] + two.size[side]) / 2 - Math.abs(one.at[side] - two.at[side]) > 0.01)

/** What is wrong with a scene and the moves that can be made in it. */
function faultsIn(
  round: Round,
  viewer: Viewer,
  ids: ReadonlySet<string>,
  kinds: ReadonlySet<string>,
): string[] {
  const { things } = sceneOf(round, viewer)
  const faults: string[] = []
  if (new Set(things.map(({ id }) => id)).size < things.length) faults.push('two things with one id')
  for (const { id, at, kind } of things) {
    if (!ids.has(at)) faults.push(`${id} lies on no spot: ${at}`)
    if (!kinds.has(kind)) faults.push(`${id} is among no materials: ${kind}`)
  }
  for (const move of movesOf(round).slice(0, 40)) {
    const { spots, numbers } = wordsFor(round, move)
    for (const spot of spots) if (!ids.has(spot)) faults.push(`a move touches no spot: ${spot}`)
    if (!numbers.every(Number.isInteger)) faults.push('a move without a number')
  }
  const text = JSON.stringify(round)
  if (JSON.stringify(JSON.parse(text)) !== text) faults.push('JSON there and back')
  return faults
}

/** Plays a round, folding the events of each step over the scene before it. */
function faultsWhilePlaying(game: AnyGame, params: unknown, players: number, viewer: Viewer, seed: number) {
  const ids = new Set(game.table.layout(params, players).spots.map(({ id }) => id))
  const kinds = new Set<string>(game.materials(params).map(({ thing }) => thing.kind))
  let round = newRound(game.id, params, players, seed)
  const faults = faultsIn(round, viewer, ids, kinds)
  for (let step = 0; step < mostSteps && round.phase !== 'over'; step++) {
    const { round: next, events } = auto(round, 'novice', viewer)
    const folded = edited(
      sceneOf(round, viewer),
      events.flatMap(({ edits }) => edits),
    )
    if (written(folded) !== written(sceneOf(next, viewer)))
      faults.push('events do not fold to the scene after')
    faults.push(...faultsIn(next, viewer, ids, kinds))
    round = next
  }
  for (const { id, face } of sceneOf(round, viewer).things)
    if (face && !faceSchema.safeParse(face).success)
      faults.push(`${id} shows what no face is: ${JSON.stringify(face)}`)
  return faults
}

describe('every level with one to four players', () => {
  test.each(games.map((game) => [game.id, game] as const))('%s', (_id, game) => {
    const settings = (besides[game.id] ?? []).map((given) => ({
      id: 'besides',
      params: game.params.parse(given),
    }))
    for (const { id, params } of [...game.levels, ...settings])
      for (let players = Math.max(1, game.players.min); players <= Math.min(4, game.players.max); players++) {
        const faults = new Set(faultsOf(game.table.layout(params, players)))
        for (const viewer of ['table', 'all', 0] as const)
          for (const seed of seeds)
            for (const fault of faultsWhilePlaying(game, params, players, viewer, seed)) faults.add(fault)
        expect([id, players, ...faults]).toEqual([id, players])
      }
  })
})
