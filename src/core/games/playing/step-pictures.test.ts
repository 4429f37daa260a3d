import type { Mark } from '../../drawing/marks'
import { tableMarks } from '../../drawing/table'
import { games, gameOf, usualLevel } from '../index'
import { textsOf } from '../texts'
import { stepPictures } from './step-pictures'

const all = games.flatMap((game) => game.levels.map(({ id, params }) => ({ game, level: id, params })))
const picturesOf = (game: (typeof games)[number], params: unknown) =>
  stepPictures(
    game,
    params,
    textsOf(game.id, params).steps.map(([gesture]) => gesture),
  )

test('every level has a picture for at least one step, on the table or said', () => {
  const bare = all.filter(({ game, params }) => picturesOf(game, params).every((picture) => picture === null))
  expect(bare.map(({ game, level }) => `${game.id} ${level}`)).toEqual([])
})

test('a picture of the table shows whole places, with what lies on them', () => {
  const faults = all.flatMap(({ game, level, params }) =>
    picturesOf(game, params).flatMap((picture) => {
      if (picture?.kind !== 'table') return []
      const { layout, scene } = picture
      const ids = layout.spots.map(({ id }) => id)
      const inside = layout.spots.every(
        ({ at: [x, y], size: [width, height] }) =>
          x - width / 2 >= -0.01 &&
          y - height / 2 >= -0.01 &&
          x + width / 2 <= layout.width + 0.01 &&
          y + height / 2 <= layout.height + 0.01,
      )
      const lying = scene.things.every(({ at }) => ids.includes(at))
      const paths = layout.paths.every((path) => path.every((id) => ids.includes(id)))
      return inside && lying && paths && ids.length > 0 ? [] : [`${game.id} ${level}`]
    }),
  )
  expect(faults).toEqual([])
})

test('no picture is a blank: where nothing lies yet and nothing is outlined, the sign of the gesture stands', () => {
  const drawn = (marks: readonly Mark[]): number =>
    marks.reduce((sum, mark) => sum + (mark.op === 'group' ? drawn(mark.marks) : 1), 0)
  const blank = all.flatMap(({ game, level, params }) =>
    picturesOf(game, params).flatMap((picture, step) =>
      picture?.kind === 'table' && drawn(tableMarks(picture.layout, picture.scene)) === 0
        ? [`${game.id} ${level} ${step + 1}`]
        : [],
    ),
  )
  expect(blank).toEqual([])
})

test('Landfall: the die as it was rolled, the sentence, the marker where it landed', () => {
  const game = gameOf('landfall')
  const { params } = usualLevel(game)
  const [rolled, said, moved] = stepPictures(game, params, ['roll', 'say', 'move'])
  if (rolled?.kind !== 'table' || said?.kind !== 'said' || moved?.kind !== 'table')
    throw new Error('A picture is missing.')
  const die = rolled.scene.things.find(({ kind }) => kind === 'die')
  if (die?.face?.kind !== 'pips') throw new Error('The die shows nothing.')
  const [, from, by, to] = /^(\d+) \+ (\d+) = (\d+)$/.exec(said.words)!.map(Number)
  expect([by, from + by]).toEqual([die.face.n, to])
  const landed = moved.scene.things.find(({ kind, owner }) => kind === 'marker' && owner === 0)
  expect(moved.layout.spots.find(({ id }) => id === landed?.at)?.face).toEqual({ kind: 'numeral', n: to })
})

test('a move that is shown stays in one row: nothing is left out between its squares', () => {
  const game = gameOf('landfall')
  for (const { params } of game.levels) {
    const [moved] = stepPictures(game, params, ['move'])
    if (moved?.kind !== 'table') throw new Error('The move is missing.')
    const numbers = moved.layout.spots.flatMap(({ face }) => (face?.kind === 'numeral' ? [face.n] : []))
    const [low, high] = [Math.min(...numbers), Math.max(...numbers)]
    expect(numbers).toHaveLength(high - low + 1)
  }
})

test('a step that the table does not tell keeps its sign', () => {
  const game = gameOf('landfall')
  expect(stepPictures(game, usualLevel(game).params, ['check', 'pass'])).toEqual([null, null])
})

test('who looks after a spin looks for the place: the numeral that was spun, and nothing stands on it yet', () => {
  const game = gameOf('tower-bay')
  const [spun, sought, placed] = stepPictures(game, usualLevel(game).params, ['spin', 'look', 'place'])
  if (spun?.kind !== 'table' || sought?.kind !== 'table' || placed?.kind !== 'table')
    throw new Error('A picture is missing.')
  const wheel = spun.scene.things.find(({ face }) => face?.kind === 'wheel')?.face
  if (wheel?.kind !== 'wheel' || wheel.at === null) throw new Error('The spinner points nowhere.')
  const numerals = sought.layout.spots.flatMap(({ face }) => (face?.kind === 'numeral' ? [face.n] : []))
  expect(numerals).toEqual([Number(wheel.sectors[wheel.at])])
  expect(sought.scene.things).toEqual([])
  expect(placed.scene.things.map(({ kind }) => kind)).toContain('cube')
})

test('what is worked out is said, not which of two is more: the sum, the difference, how many', () => {
  const saidAt = (gameId: string, levelId: string) => {
    const game = gameOf(gameId)
    const { params } = game.levels.find(({ id }) => id === levelId)!
    const [said] = stepPictures(game, params, ['say'])
    return said?.kind === 'said' ? said.words : null
  }
  expect(saidAt('bigger-haul', 'numerals')).toMatch(/^\d+ \+ \d+ = \d+$/)
  expect(saidAt('bigger-haul', 'difference')).toMatch(/^\d+ − \d+ = \d+$/)
  expect(saidAt('more-or-less', 'to-5')).toMatch(/^\d$/)
})
