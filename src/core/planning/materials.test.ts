import { games } from '../games'
import { againstInventory, toBuy } from './inventory'
import { materialsFor, materialsInputSchema } from './materials-input'
import { nameOf, thing, thingKey } from '../things'

const answer = (input: object) => materialsFor(materialsInputSchema.parse(input))
const visit = (change: object) => ({ slot: 0, station: 0, game: 'landfall', children: 2, ...change })
const countOf = (needs: { item: string; count: number }[], item: string) =>
  needs.find((need) => need.item === item)?.count ?? 0

test('Full Nets 11 to 16 for one child: 81 objects (11 + 12 + … + 16) and one in ten to spare', () => {
  const input = { visits: [visit({ game: 'full-nets', level: 'to-20', children: 1, sets: [1] })] }
  expect(countOf(answer({ ...input, spares: 0 }).fetch, 'counter')).toBe(81)
  expect(answer(input).fetch.find(({ item }) => item === 'counter')).toMatchObject({ count: 89, spare: 8 })
})

test('Perch for two: 20 counters in two colours, two dice, one board', () => {
  const { fetch, print } = answer({ visits: [visit({ game: 'perch', level: 'two-dice' })], spares: 0 })
  expect(countOf(fetch, 'counter in an own colour')).toBe(20)
  expect(countOf(fetch, 'die')).toBe(2)
  expect(print).toMatchObject([{ item: 'perch board, totals of two dice', count: 1, spare: 0 }])
})

test('a group of five as 2 + 3 doubles the boards', () => {
  const { print } = answer({
    visits: [visit({ game: 'perch', level: 'two-dice', children: 5, sets: [2, 3] })],
  })
  expect(countOf(print, 'perch board, totals of two dice')).toBe(2)
})

test('shared between slots: the most at once, not the sum', () => {
  const visits = [
    visit({ slot: 0, station: 0, children: 4, sets: [2, 2] }),
    visit({ slot: 0, station: 1, children: 2 }),
    visit({ slot: 1, station: 0, children: 2 }),
  ]
  const { fetch, stations } = answer({ visits })
  expect(countOf(fetch, 'die')).toBe(3)
  expect(stations.map((bag) => countOf(bag, 'die'))).toEqual([2, 1])
})

test('a week: the same slot of two sessions is not at once, and pages are printed for all', () => {
  const visits = [
    visit({ session: 0, game: 'perch', level: 'two-dice' }),
    visit({ session: 1, game: 'perch', level: 'two-dice' }),
    visit({ session: 1, station: 1, game: 'sand-steps', level: 'to-6' }),
  ]
  const { print, fetch } = answer({ visits, spares: 0 })
  expect(print.map(({ item, count }) => [item, count])).toEqual([
    ['path, steps 1 to 6', 2],
    ['perch board, totals of two dice', 1],
  ])
  // Two dice for Perch and one for Sand Steps in the second session.
  expect(countOf(fetch, 'die')).toBe(3)
})

describe('against the inventory', () => {
  const kinds = {
    counter: thing({ kind: 'counter' }),
    cube: thing({ kind: 'cube' }),
    'small token': thing({ kind: 'token' }),
    die: thing({ kind: 'die', sides: 6 }),
  }
  const need = (item: keyof typeof kinds, count: number) => ({ thing: kinds[item], item, count, spare: 0 })

  test('enough, short by some, and what makes up for it in order, with its caution', () => {
    const [counters, dice] = againstInventory([need('counter', 60), need('die', 4)], {
      counter: 40,
      cube: 5,
      'bottle cap': 10,
      die: 4,
    })
    expect(dice).toMatchObject({ have: 4, short: 0, instead: [] })
    expect(counters).toMatchObject({ have: 40, short: 20 })
    expect(counters.instead.map(({ item, count }) => [item, count])).toEqual([
      ['cube', 5],
      ['bottle cap', 10],
      ['pebble', null],
      ['dried pasta', null],
    ])
    expect(counters.instead[3].caution).toMatch(/allergies/)
    expect(toBuy(counters)).toBe(5)
  })

  test('things in use themselves do not make up for others, and make up once only', () => {
    const [cubes, counters, tokens] = againstInventory(
      [need('cube', 8), need('counter', 10), need('small token', 10)],
      { cube: 12, counter: 7, 'small token': 5, 'bottle cap': 0, pebble: 0 },
    )
    expect(cubes.short).toBe(0)
    expect(counters.instead[0]).toEqual({ item: 'cube', count: 3 })
    expect(tokens.instead[0]).toEqual({ item: 'cube', count: 1 })
  })

  test('what has not been counted is not said to be short', () => {
    expect(againstInventory([need('die', 4)], {})[0]).toMatchObject({ have: null, short: 0 })
  })
})

test('things of the catalogue are the same thing exactly where they have the same name', () => {
  const keys = new Map<string, string>()
  const names = new Map<string, string>()
  for (const { levels, materials } of games)
    for (const { params } of levels)
      for (const { thing } of materials(params)) {
        const [name, key] = [nameOf(thing), thingKey(thing)]
        expect([name, names.get(name) ?? key]).toEqual([name, key])
        expect([key, keys.get(key) ?? name]).toEqual([key, name])
        names.set(name, key)
        keys.set(key, name)
      }
  expect(names.size).toBeGreaterThan(100)
})

test('bad input names its field', () => {
  const paths = (input: object) =>
    materialsInputSchema.safeParse(input).error!.issues.map(({ path }) => path.join('.'))
  expect(paths({ visits: [visit({ children: 5, sets: [2, 2] })] })).toEqual(['visits.0.sets'])
  expect(paths({ visits: [visit({ level: 'none' })] })).toEqual(['visits.0.level'])
  expect(paths({ visits: [visit({})], inventory: { die: -1 } })).toEqual(['inventory.die'])
})
