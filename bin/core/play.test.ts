import { games } from '@/core/games'
import { edited, type Edit, type Scene } from '@/core/table'
import { demonstration, play, slipsOf } from './play'

const written = ({ things }: Scene) => things.map((thing) => JSON.stringify(thing)).sort()

test.each(['landfall', 'perch', 'any-pairs', 'quick-look', 'low-tide'])(
  'play of %s: the edits of each go fold to its scene, for one player and for all',
  (game) => {
    for (const viewer of ['all', 0] as const) {
      const { start, rounds, layout } = play({ game, viewer, goes: 12, players: 2, seed: 4 })
      expect(rounds.length).toBeGreaterThan(0)
      expect(layout.spots.length).toBeGreaterThan(0)
      let scene = start
      for (const { events, scene: after } of rounds) {
        const edits: Edit[] = events.flatMap((event) => event.edits)
        expect(written(edited(scene, edits))).toEqual(written(after))
        scene = after
      }
    }
  },
)

test('Number in the Fog: no event tells a player the number, every event tells who sees all', () => {
  const told = (viewer: 'all' | 0) =>
    JSON.stringify(play({ game: 'fog-number', viewer, players: 2, seed: 3, goes: 1 }))
  expect(told('all')).toContain('"op":"compare"')
  expect(told(0)).not.toContain('"op":"compare"')
})

test('demonstrate: play with its seed shows what it names', () => {
  for (const { id, levels } of games.slice(0, 4)) {
    const input = { game: id, level: levels[0].id, players: 2 }
    const { seed, shows, goes } = demonstration(input)
    const { rounds } = play({ ...input, seed, goes, viewer: 'table' })
    const seen = new Set(rounds.flatMap(({ events }) => events.flatMap(({ notable = [] }) => notable)))
    expect([...seen].sort()).toEqual([...shows].sort())
  }
})

test('slips: fifteen minus eight, likeliest first, never the right answer', () => {
  const { slips } = slipsOf({ item: { op: 'subtract', a: 15, b: 8, answer: 7 } })
  expect(slips[0]).toEqual({ answer: 13, reason: 'smaller-from-larger' })
  expect(slips.map(({ answer }) => answer)).not.toContain(7)
  expect(() => slipsOf({ item: { op: 'add', a: 2, b: 2, answer: 5 } })).toThrow(/not the right one/)
})

test('bad input names its field', () => {
  expect(() => play({ game: 'landfall', level: 'none' })).toThrow(/no such level/)
  expect(() => play({ game: 'any-pairs', players: 1 })).toThrow(/takes 2 to 4 players/)
  expect(() => play({ game: 'landfall', params: { start: 0 } })).toThrow(/params/)
})
