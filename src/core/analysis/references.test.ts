import { inverse, Matrix } from 'ml-matrix'
import { seededChance } from '../chance/chance'
import { gameOf, games, playGo } from '../games'
import { analyse, analyseInputSchema, type Analysis } from './analyse'

const run = (input: object): Analysis => analyse(analyseInputSchema.parse(input))

/** Expected goes from the first state, by the fundamental matrix (Kemeny & Snell 1960, Finite Markov Chains, ch. 3). */
function expectedGoes(states: number, step: (state: number) => [next: number, share: number][]): number {
  const left = Matrix.eye(states)
  for (let state = 0; state < states; state++)
    for (const [next, share] of step(state))
      if (next >= 0) left.set(state, next, left.get(state, next) - share)
  return inverse(left)
    .getRow(0)
    .reduce((sum, visits) => sum + visits, 0)
}

const faces = [1, 2, 3, 4, 5, 6]
const twoDice = faces.flatMap((a) => faces.map((b): [number, number] => [a + b, 1 / 36]))

describe('absorbing chains, solved by ml-matrix', () => {
  test('Squall to 12, spinner 1 to 3: a squall sends back and costs a go', () => {
    // States: squares 0 to 11, then the start with a go to be lost.
    const goes = expectedGoes(13, (at) =>
      at === 12
        ? [[0, 1]]
        : [1, 2, 3].map((spin) => {
            const to = at + spin
            return [to === 12 ? -1 : to > 12 ? at : to === 5 || to === 9 ? 12 : to, 1 / 3]
          }),
    )
    expect(run({ game: 'squall', level: 'to-12', players: 1 }).solo!.goes).toBeCloseTo(goes, 9)
  })

  test('Currents to 50, and Trade Up to five tens (two dice to at least 50: 7.631 goes)', () => {
    const table = [4, -3, 2, 6, -1, 8]
    const currents = expectedGoes(50, (at) =>
      table.map((by) => [at + by >= 50 ? -1 : Math.max(0, at + by), 1 / 6]),
    )
    expect(run({ game: 'currents', level: 'to-50', players: 1 }).solo!.goes).toBeCloseTo(currents, 9)
    const trade = expectedGoes(50, (at) => twoDice.map(([n, p]) => [at + n >= 50 ? -1 : at + n, p]))
    expect(run({ game: 'trade-up', level: 'five-tens', players: 1 }).solo!.goes).toBeCloseTo(trade, 9)
    expect(trade).toBeCloseTo(7.631, 3)
  })

  test('Grid Hop to exactly 100 with random choice', () => {
    const goes = expectedGoes(100, (at) =>
      faces.flatMap((face): [number, number][] => {
        const fitting = [face, 10 * face].filter((squares) => at + squares <= 100)
        if (fitting.length === 0) return [[at, 1 / 6]]
        return fitting.map((squares) => [at + squares === 100 ? -1 : at + squares, 1 / 6 / fitting.length])
      }),
    )
    const rules = { goal: 100, finish: 'exact' }
    expect(run({ game: 'grid-hop', params: rules, players: 1, choice: 'novice' }).solo!.goes).toBeCloseTo(
      goes,
      9,
    )
  })

  test('Grid Hop by best play is never slower, and no change of one choice makes it faster', () => {
    const best = run({ game: 'grid-hop', params: { goal: 100, finish: 'exact' }, players: 1 }).solo!.goes!
    // Bellman’s equation worked out again from the end, by plain recursion.
    const memo = new Map([[0, 0]])
    const value = (left: number): number => {
      const known = memo.get(left)
      if (known !== undefined) return known
      const moves = faces.map((face) => [face, 10 * face].filter((squares) => squares <= left))
      const moving = moves.filter((some) => some.length > 0)
      const sum = moving.reduce(
        (total, some) => total + Math.min(...some.map((squares) => value(left - squares))),
        0,
      )
      const goes = (6 + sum) / moving.length
      memo.set(left, goes)
      return goes
    }
    expect(best).toBeCloseTo(value(100), 9)
  })
})

describe('collectors (inclusion–exclusion; Feller 1968, vol. 1, IV)', () => {
  const collect = (shares: number[]) => {
    let sum = 0
    for (let set = 1; set < 1 << shares.length; set++) {
      const chosen = shares.filter((_, i) => set & (1 << i))
      sum += (chosen.length % 2 === 1 ? 1 : -1) / chosen.reduce((a, b) => a + b, 0)
    }
    return sum
  }
  test('Sand Steps to five with a die: 13.7 rolls; to ten with a spinner', () => {
    const five = run({ game: 'sand-steps', level: 'to-5', players: 1 }).solo!.goes
    expect(five).toBeCloseTo(collect(Array(5).fill(1 / 6)), 9)
    expect(five).toBeCloseTo(13.7, 9)
    const ten = run({ game: 'sand-steps', level: 'to-10', players: 1 }).solo!.goes
    expect(ten).toBeCloseTo(collect(Array(10).fill(1 / 10)), 9)
  })
  test('a side of Jetty Planks takes 61.2 throws', () => {
    const rows = [1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1].map((ways) => ways / 36)
    const { solo } = run({
      game: 'jetty-planks',
      params: { to: 20, blanks: 3, dice: 2, full: null },
      players: 1,
    })
    expect(solo!.goes).toBeCloseTo(collect(rows), 9)
    expect(solo!.goes).toBeCloseTo(61.2, 1)
  })
})

describe('Low Tide, by an independent brute force over what is left', () => {
  const best = (parts: number) => {
    const memo = new Map<string, number>()
    const value = (open: number[]): number => {
      if (open.length === 0) return 0
      const key = open.join()
      const known = memo.get(key)
      if (known !== undefined) return known
      let sum = 0
      for (const [total, share] of twoDice) {
        const left = coverings(open, total, parts).map((some) => value(open.filter((n) => !some.includes(n))))
        sum += share * (left.length > 0 ? Math.min(...left) : open.reduce((a, b) => a + b, 0))
      }
      memo.set(key, sum)
      return sum
    }
    return value([1, 2, 3, 4, 5, 6, 7, 8, 9])
  }
  function coverings(open: number[], total: number, parts: number): number[][] {
    if (total === 0) return [[]]
    if (parts === 0 || total < 0) return []
    return open.flatMap((n, i) =>
      coverings(open.slice(i + 1), total - n, parts - 1).map((rest) => [n, ...rest]),
    )
  }
  test.each([
    [2, 11.96],
    ['any', 11.16],
  ])('%s parts: best play leaves %f', (parts, printed) => {
    const { own } = run({ game: 'low-tide', params: { numbers: 9, dice: 2, parts } })
    const { mean } = own.score as { mean: number }
    expect(mean).toBeCloseTo(best(parts === 'any' ? 9 : (parts as number)), 9)
    expect(mean).toBeCloseTo(printed, 2)
  })
  test('played out, the planner leaves what best play promises, and chance choice leaves more', () => {
    const game = gameOf('low-tide')
    const { params } = game.levels.find(({ id }) => id === 'two-parts')!
    const leaves = (choice: 'planner' | 'novice') => {
      const chance = seededChance(17)
      const left = Array.from({ length: 4000 }, () => {
        let state = game.setup(params, 1)
        while (!state.ended) state = playGo(game, state, choice, chance)
        return [1, 2, 3, 4, 5, 6, 7, 8, 9].reduce(
          (sum, n) => sum + (state.open[0] & (1 << (n - 1)) ? n : 0),
          0,
        )
      })
      const mean = left.reduce((a, b) => a + b, 0) / left.length
      const spread = Math.sqrt(left.reduce((sum, n) => sum + (n - mean) ** 2, 0) / left.length ** 2)
      return { mean, spread }
    }
    const { score } = run({ game: 'low-tide', level: 'two-parts', players: 1 }).own as {
      score: { mean: number }
    }
    const [planned, chosen] = [leaves('planner'), leaves('novice')]
    expect(Math.abs(planned.mean - score.mean)).toBeLessThan(4 * planned.spread)
    expect(chosen.mean).toBeGreaterThan(score.mean + 4 * chosen.spread)
  })
})

test('Tens Catch: four of 36 make ten in 38 361 of 58 905 deals, five in 84.5 %', () => {
  const share = (turn: number) =>
    run({ game: 'tens-catch', params: { target: 10, high: 9, copies: 4, turn }, games: 10 }).own
      .catchShare as number
  expect(share(4)).toBeCloseTo(38_361 / 58_905, 12)
  expect(share(5)).toBeCloseTo(0.845, 3)
  // Every deal of four gone through one by one, suits and all.
  const deck = Array.from({ length: 36 }, (_, i) => (i % 9) + 1)
  let holding = 0
  let deals = 0
  for (let a = 0; a < 36; a++)
    for (let b = a + 1; b < 36; b++)
      for (let c = b + 1; c < 36; c++)
        for (let d = c + 1; d < 36; d++) {
          deals++
          const open = [deck[a], deck[b], deck[c], deck[d]]
          for (let set = 1; set < 16; set++)
            if (open.reduce((sum, n, i) => sum + (set & (1 << i) ? n : 0), 0) === 10) {
              holding++
              break
            }
        }
  expect([holding, deals]).toEqual([38_361, 58_905])
})

test('Doubles Dash with one die and six boxes: 19.74 rolls; worked out again column by column', () => {
  const { solo } = run({ game: 'doubles-dash', level: 'die', players: 1 })
  expect(solo!.goes).toBeCloseTo(19.74, 2)
  // E[T] = Σ P(T > t): no column has six after t rolls; a multinomial by exponential generating functions.
  const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1))
  let poly = [1]
  for (let column = 0; column < 6; column++) {
    const next = Array<number>(poly.length + 5).fill(0)
    poly.forEach((value, i) => {
      for (let k = 0; k <= 5; k++) next[i + k] += value / factorial(k)
    })
    poly = next
  }
  const expected = poly.reduce((sum, value, t) => sum + (value * factorial(t)) / 6 ** t, 0)
  expect(solo!.goes).toBeCloseTo(expected, 9)
})

test.each([
  [3, 4.386],
  [4, 5.657],
  [5, 6.408],
  [6, 7.93],
])('a run of %i dice takes %f throws at best play, and longer by chance choice', (count, printed) => {
  const best = run({ game: 'dice-run', params: { dice: count }, players: 1 })
  expect(best.method).toBe('exact')
  expect(best.solo!.goes).toBeCloseTo(printed, 3)
  if (count > 4) return
  const novice = run({ game: 'dice-run', params: { dice: count }, players: 1, choice: 'novice' })
  expect(novice.solo!.goes!).toBeGreaterThan(best.solo!.goes!)
})

test('Number in the Fog by halving: the mean depth of a balanced tree', () => {
  const depth = (n: number): number =>
    n === 1
      ? 0
      : 1 +
        (Math.ceil(n / 2) / n) * depth(Math.ceil(n / 2)) +
        (Math.floor(n / 2) / n) * depth(Math.floor(n / 2))
  for (const high of [10, 20, 100])
    expect(run({ game: 'fog-number', params: { low: 0, high }, players: 2 }).set!.goes!.mean).toBeCloseTo(
      depth(high + 1),
      9,
    )
})

test('Door Cards with 24 children and two misses in ten: 28.8 cards', () => {
  expect(run({ game: 'door-cards', level: 'bonds-10', players: 24 }).set!.goes!.mean).toBeCloseTo(24 * 1.2, 9)
})

test('games of a fixed number of goes take just that', () => {
  for (const [game, level, goes] of [
    ['switchback', 'call-7', 100],
    ['skip-lines', 'stairs', 20],
    ['mark-and-make', 'to-10', 11],
    ['card-order', 'tens', 18],
  ] as const)
    expect(run({ game, level }).set!.goes).toEqual({ mean: goes, p10: goes, p50: goes, p90: goes })
})

test('time-boxed games have no length, and say why', () => {
  expect(run({ game: 'pebble-count', level: 'die' })).toMatchObject({
    reason: 'time-boxed',
    solo: null,
    minutes: null,
    set: { goes: null },
  })
})

test('boards side by side: the game lasts as long as the slowest', () => {
  const alone = run({ game: 'rising-tide', level: 'bonds-10' })
  expect(alone.method).toBe('exact')
  const parallel = run({ game: 'mark-and-make', level: 'to-5', players: 4 })
  const one = run({ game: 'mark-and-make', level: 'to-5', players: 1 })
  // Every sheet is the same: four take as long as one.
  expect(parallel.minutes!.mean).toBeCloseTo(one.minutes!.mean, 9)
  expect(parallel.practice!.itemsPerChildPer10Min).toBeCloseTo(one.practice!.itemsPerChildPer10Min, 9)
})

const both = games.flatMap((game) =>
  game.levels.slice(0, 1).map((level) => [game.id, level.id, game.players] as const),
)

test.each(both)('%s %s: exact and simulated agree within the stated interval', (game, level, players) => {
  const input = { game, level, players: Math.max(players.min, Math.min(3, players.max)), slotMinutes: 4 }
  const exact = run({ ...input, games: 200 })
  if (exact.method === 'simulated') return expect(exact.sample!.unended).toBe(0)
  const simulated = run({ ...input, method: 'simulate', games: 1000, seed: 7 })
  const { halfWidth } = simulated.sample!
  // Twice the half-width is 3.9 standard errors; with fixed seeds the test is repeatable.
  const within = (a: number, b: number, half: number) =>
    expect(Math.abs(a - b)).toBeLessThanOrEqual(2 * half + 1e-9)
  within(exact.set!.deadShare, simulated.set!.deadShare, halfWidth.deadShare)
  if (!exact.set!.goes) return
  within(exact.set!.goes.mean, simulated.set!.goes!.mean, halfWidth.goes)
  within(exact.minutes!.mean, simulated.minutes!.mean, halfWidth.minutes)
  within(exact.minutes!.finishInSlot, simulated.minutes!.finishInSlot, simulated.minutes!.finishHalfWidth!)
  if (exact.set!.firstPlayerWins !== null)
    within(exact.set!.firstPlayerWins, simulated.set!.firstPlayerWins!, halfWidth.firstPlayerWins)
})

test('what a level practises lies within the range it names, and near its top', () => {
  for (const game of games)
    for (const level of game.levels) {
      const { practice } = run({ game: game.id, level: level.id, games: 100 })
      expect(practice!.to).toBeLessThanOrEqual(level.to)
      expect(practice!.to).toBeGreaterThanOrEqual(0.7 * level.to)
    }
})

test('every game takes one player, alone or where it needs more, without a fault', () => {
  for (const { id, players } of games) {
    const { set } = run({ game: id, players: 1, games: 50 })
    if (players.min > 1) expect(set).toBe(null)
  }
  expect(gameOf('perch').players.min).toBe(2)
})
