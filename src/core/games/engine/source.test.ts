import { seededChance } from '../../chance/chance'
import { gameOf, playGo, type GameEvent, type GameState } from '../index'
import { cards, dice, spinner, sum, totalsOf, turnUp, type Numbers } from './source'

/** 99.9 % points of chi-square by degrees of freedom (standard table). */
const limit: Record<number, number> = { 4: 18.47, 5: 20.52, 9: 27.88, 10: 29.59, 15: 37.7, 65: 111.0 }

/** Pearson’s chi-square of counts against expected shares. */
function chiSquare(counts: ReadonlyMap<number, number>, shares: ReadonlyMap<number, number>): number {
  const all = [...counts.values()].reduce((a, b) => a + b, 0)
  let square = 0
  for (const [value, share] of shares) square += ((counts.get(value) ?? 0) - share * all) ** 2 / (share * all)
  for (const value of counts.keys()) expect(shares.has(value)).toBe(true)
  return square
}

function counted(times: number, one: () => number): Map<number, number> {
  const counts = new Map<number, number>()
  for (let i = 0; i < times; i++) {
    const value = one()
    counts.set(value, (counts.get(value) ?? 0) + 1)
  }
  return counts
}

const even = (low: number, high: number) =>
  new Map(Array.from({ length: high - low + 1 }, (_, i) => [low + i, 1 / (high - low + 1)]))

test('totals of two and three dice are those of the standard table', () => {
  const two = totalsOf(dice(2))
  expect([2, 3, 7, 11, 12].map((total) => Math.round(36 * two.get(total)!))).toEqual([1, 2, 6, 2, 1])
  const three = totalsOf(dice(3))
  expect([3, 4, 10, 11, 18].map((total) => Math.round(216 * three.get(total)!))).toEqual([1, 3, 27, 27, 1])
})

test.each<[string, Numbers, number]>([
  ['one die', dice(1), 5],
  ['two dice', dice(2), 10],
  ['three dice', dice(3), 15],
  ['a spinner with five sectors', spinner(5), 4],
  ['a spinner with ten sectors', spinner(10), 9],
  ['cards 0 to 10', cards(0, 10), 10],
])('%s turn up by their law', (_name, source, degrees) => {
  const chance = seededChance(8)
  const counts = counted(20_000, () => sum(turnUp(source, chance, 0)))
  expect(chiSquare(counts, totalsOf(source))).toBeLessThan(limit[degrees])
})

/** What the first go of a game turns up, over and over. */
function firstOf(id: string, level: string, read: (event: GameEvent) => number | null) {
  const game = gameOf(id)
  const { params } = game.levels.find((one) => one.id === level)!
  const players = Math.max(1, game.players.min)
  const start = game.setup(params, players) as GameState
  const chance = seededChance(9)
  return counted(12_000, () => {
    let found: number | null = null
    playGo(game, start, 'novice', chance, (event) => (found ??= read(event)))
    return found ?? -1
  })
}

const card = (event: GameEvent) => (event.kind === 'drew' ? event.card : null)

test('the first card of a shuffled pack is any card: Full Nets, Hidden Corner, Tens Catch', () => {
  expect(chiSquare(firstOf('full-nets', 'to-10', card), even(5, 10))).toBeLessThan(limit[5])
  expect(chiSquare(firstOf('hidden-corner', 'totals-10', card), even(0, 65))).toBeLessThan(limit[65])
})

test('Twin Totals lies in any order, and a beginner turns any card first', () => {
  const turned = firstOf('twin-totals', 'to-6', (event) => (event.kind === 'placed' ? event.space : null))
  expect(chiSquare(turned, even(0, 9))).toBeLessThan(limit[9])
})

test('pins fall, and numbers hide, evenly: what the rules call anybody’s guess', () => {
  const pins = firstOf('buoy-bowl', 'ten', (event) => (event.kind === 'rolled' ? event.faces[0] : null))
  expect(chiSquare(pins, even(0, 10))).toBeLessThan(limit[10])
})
