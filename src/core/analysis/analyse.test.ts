import { inverse, Matrix } from 'ml-matrix'
import { cumulative } from '../chance/distribution'
import { gameOf, usualLevel } from '../games'
import { analyse, analyseInputSchema, type Analysis } from './analyse'
import { defaultPace, goTime } from './pace'
import type { z } from 'zod'

const run = (input: z.input<typeof analyseInputSchema>): Analysis => analyse(analyseInputSchema.parse(input))

/** Squares left when every roll of one die that fits is walked: transitions of the exact finish. */
function exactFinish(goal: number) {
  const Q = Matrix.zeros(goal, goal)
  for (let at = 0; at < goal; at++)
    for (let face = 1; face <= 6; face++) {
      const to = at + face > goal ? at : at + face
      if (to < goal) Q.set(at, to, Q.get(at, to) + 1 / 6)
    }
  return Q
}

const fundamental = (Q: Matrix) => inverse(Matrix.eye(Q.rows).sub(Q))

describe('against the fundamental matrix (Kemeny & Snell 1960, Finite Markov Chains, ch. 3), solved by ml-matrix', () => {
  test.each([10, 15, 20, 37])('landfall to %i with one die: rolls and dead rolls', (goal) => {
    const visits = fundamental(exactFinish(goal)).getRow(0)
    const goes = visits.reduce((sum, v) => sum + v, 0)
    const dead = visits.reduce((sum, v, at) => sum + v * Math.max(0, 6 - (goal - at)) * (1 / 6), 0)
    const { solo } = run({
      game: 'landfall',
      params: { start: 0, goal, source: { kind: 'dice', count: 1 }, finish: 'exact' },
      players: 1,
    })
    expect(solo?.goes).toBeCloseTo(goes, 9)
    expect(solo?.deadGoes).toBeCloseTo(dead, 9)
  })

  test('the share of each sum follows from the visits to the squares', () => {
    const goal = 20
    const visits = fundamental(exactFinish(goal)).getRow(0)
    const live = visits.map((v, at) => v * Math.min(6, goal - at))
    const total = live.reduce((sum, v) => sum + v, 0)
    const { practice } = run({ game: 'landfall', level: 'to-20-die', players: 1 })
    for (let at = 0; at < goal; at++)
      expect(practice?.items.find(({ key }) => key === `${at}+1`)?.share).toBeCloseTo(visits[at] / total, 9)
  })
})

/** E[rolls] until all of the faces have come: inclusion–exclusion over the faces still missing. */
function collector(probabilities: number[]): number {
  let sum = 0
  for (let set = 1; set < 1 << probabilities.length; set++) {
    let p = 0
    let size = 0
    probabilities.forEach((probability, i) => {
      if (set & (1 << i)) {
        p += probability
        size++
      }
    })
    sum += (size % 2 === 1 ? 1 : -1) / p
  }
  return sum
}

describe('tower-bay is the coupon collector (inclusion–exclusion; Feller 1968, vol. 1, IV)', () => {
  const twoDice = [1, 2, 3, 4, 5, 6, 5, 4, 3, 2, 1].map((ways) => ways / 36)
  test.each([
    ['die', new Array(6).fill(1 / 6), 14.7],
    ['two-dice', twoDice, 61.2],
    ['spinner-5', new Array(5).fill(1 / 5), 11.4],
    ['spinner-10', new Array(10).fill(1 / 10), 29.3],
  ])('%s', (level, probabilities, printed) => {
    const { solo, set } = run({ game: 'tower-bay', level, players: 2 })
    expect(solo?.goes).toBeCloseTo(collector(probabilities), 9)
    expect(set?.goes?.mean).toBeCloseTo(collector(probabilities), 9)
    expect(solo?.goes).toBeCloseTo(printed, 1)
  })

  test('thirty rolls finish a 2–12 board in 15 of 100 games', () => {
    const { set } = run({ game: 'tower-bay', level: 'two-dice', players: 2 })
    const within = cumulative(set!.distribution!, 30)
    expect(within).toBeCloseTo(0.15, 2)
  })
})

describe('figures the catalogue states, to the digits printed', () => {
  const to10 = { start: 0, goal: 10, source: { kind: 'dice', count: 1 } }
  test('0 to 10 takes 7.588 rolls, 3.873 of them dead; passing takes 3.324', () => {
    const exact = run({ game: 'landfall', params: { ...to10, finish: 'exact' }, players: 1 })
    expect(exact.solo?.goes).toBeCloseTo(7.588, 3)
    expect(exact.solo?.deadGoes).toBeCloseTo(3.873, 3)
    expect(run({ game: 'landfall', params: { ...to10, finish: 'pass' }, players: 1 }).solo?.goes).toBeCloseTo(
      3.324,
      3,
    )
  })
  test('from each of the last six squares the wait is six rolls', () => {
    for (let start = 4; start < 10; start++)
      expect(
        run({ game: 'landfall', params: { ...to10, start, finish: 'exact' }, players: 1 }).solo?.goes,
      ).toBeCloseTo(6, 9)
  })
  test('two dice to at least 50 take 7.631 goes', () => {
    const params = { start: 0, goal: 50, source: { kind: 'dice', count: 2 }, finish: 'pass' }
    expect(run({ game: 'landfall', params, players: 1 }).solo?.goes).toBeCloseTo(7.631, 3)
  })
})

test('a race of two: goes, dead share and first player, from the joint chain of both positions', () => {
  const goal = 10
  // Independent of the product formula used in the core: both positions in one chain, gone through go by go.
  let mass = new Map([['0 0', 1]])
  let goes = 0
  let dead = 0
  let first = 0
  const ends: number[] = []
  for (let go = 1; go < 700; go++) {
    const next = new Map<string, number>()
    const turn = (go - 1) % 2
    for (const [key, p] of mass) {
      const at = key.split(' ').map(Number)
      goes += p
      for (let face = 1; face <= 6; face++) {
        const to = [...at]
        if (at[turn] + face <= goal) to[turn] += face
        else dead += p / 6
        if (to[turn] === goal) {
          ends[go] = (ends[go] ?? 0) + p / 6
          if (turn === 0) first += p / 6
        } else next.set(to.join(' '), (next.get(to.join(' ')) ?? 0) + p / 6)
      }
    }
    mass = next
  }
  const { set } = run({ game: 'landfall', level: 'to-10-die', players: 2 })
  expect(set?.goes?.mean).toBeCloseTo(goes, 9)
  expect(set?.deadShare).toBeCloseTo(dead / goes, 9)
  expect(set?.firstPlayerWins).toBeCloseTo(first, 9)
  for (const [q, key] of [
    [0.1, 'p10'],
    [0.5, 'p50'],
    [0.9, 'p90'],
  ] as const) {
    let sum = 0
    const smallest = ends.findIndex((p) => (sum += p ?? 0) >= q)
    expect(set?.goes?.[key]).toBe(smallest)
  }
})

test('minutes and finish in slot of a race of two, from the joint chain with its clock', () => {
  // Seconds as the pace states them: roll 4, hand over 2; live 2 + 0.8 k thinking + 0.7 k marker; dead 2 to judge.
  const live = (k: number) => Math.round(4 + 2 + 0.8 * k + 0.7 * k + 2)
  const goal = 10
  let mass = new Map([['0 0 0', 1]])
  const ends: number[] = []
  for (let go = 1; go < 260; go++) {
    const next = new Map<string, number>()
    const turn = (go - 1) % 2
    for (const [key, p] of mass) {
      const [a, b, seconds] = key.split(' ').map(Number)
      for (let face = 1; face <= 6; face++) {
        const to = [a, b]
        const fits = to[turn] + face <= goal
        if (fits) to[turn] += face
        const at = seconds + (fits ? live(face) : 8)
        if (to[turn] === goal) ends[at] = (ends[at] ?? 0) + p / 6
        else {
          const state = `${to.join(' ')} ${at}`
          next.set(state, (next.get(state) ?? 0) + p / 6)
        }
      }
    }
    mass = next
  }
  const { minutes } = run({ game: 'landfall', level: 'to-10-die', players: 2, slotMinutes: 2 })
  expect(minutes?.method).toBe('exact')
  const at = (q: number) => {
    let sum = 0
    return ends.findIndex((p) => (sum += p ?? 0) >= q) / 60
  }
  expect(minutes?.mean).toBeCloseTo(ends.reduce((sum, p, s) => sum + (p ?? 0) * s, 0) / 60, 8)
  expect([minutes?.p10, minutes?.p50, minutes?.p90]).toEqual([at(0.1), at(0.5), at(0.9)])
  expect(minutes?.finishInSlot).toBeCloseTo(
    ends.slice(0, 121).reduce((sum, p) => sum + (p ?? 0), 0),
    9,
  )
})

test('waiting: who plays alone waits only through dead goes and handing over, of two each waits more than half', () => {
  const alone = run({ game: 'the-gap', level: 'to-10', players: 1 }).practice!.waitingShare
  // The Gap to 10: draw 4, think 2 + 0.8 per count (2 where nothing is counted), hand over 2; active is all but the last.
  const cards = Array.from({ length: 11 }, (_, card) => (card === 10 ? 2 : 2 + 0.8 * (10 - card)))
  const seconds = cards.map((thinking) => Math.round(4 + thinking + 2))
  const active = cards.map((thinking) => Math.round(4 + thinking))
  const sum = (values: number[]) => values.reduce((total, value) => total + value, 0)
  expect(alone).toBeCloseTo(1 - sum(active) / sum(seconds), 12)
  const pair = run({ game: 'the-gap', level: 'to-10', players: 2 })
  expect(pair.practice!.waitingShare).toBeCloseTo(1 - sum(active) / 2 / sum(seconds), 12)
  expect(pair.practice!.itemsPerChildPer10Min).toBeCloseTo((11 / 2 / sum(seconds)) * 600, 9)
  expect(pair.minutes!.mean).toBeCloseTo(sum(seconds) / 60, 12)
})

describe('exact and simulated agree within the stated interval (twice the 95 % half-width, fixed seeds)', () => {
  test.each([
    ['landfall', 'to-20-die', 2],
    ['landfall', 'to-15-cards', 3],
    ['tower-bay', 'die', 3],
    ['the-gap', 'to-46', 2],
  ])('%s %s, %i players', (game, level, players) => {
    const exact = run({ game, level, players, slotMinutes: 3 })
    const simulated = run({ game, level, players, slotMinutes: 3, method: 'simulate', games: 4000, seed: 5 })
    expect(exact.method).toBe('exact')
    expect(simulated.method).toBe('simulated')
    const { halfWidth } = simulated.sample!
    const within = (a: number, b: number, half: number) =>
      expect(Math.abs(a - b)).toBeLessThanOrEqual(2 * half + 1e-9)
    within(exact.set!.goes!.mean, simulated.set!.goes!.mean, halfWidth.goes)
    within(exact.set!.deadShare, simulated.set!.deadShare, halfWidth.deadShare)
    within(exact.minutes!.mean, simulated.minutes!.mean, halfWidth.minutes)
    within(exact.minutes!.finishInSlot, simulated.minutes!.finishInSlot, simulated.minutes!.finishHalfWidth!)
  })
})

test('an end that can’t be reached is told, not waited for', () => {
  const params = { start: 0, goal: 10, source: { kind: 'dice', count: 2 }, finish: 'exact' }
  for (const method of ['auto', 'exact', 'simulate'] as const)
    expect(run({ game: 'landfall', params, method })).toMatchObject({
      reason: 'never-ends',
      solo: { goes: null },
      set: null,
    })
})

test('bad input names its field', () => {
  const paths = (input: object) =>
    analyseInputSchema.safeParse(input).error?.issues.map(({ path }) => path.join('.'))
  expect(paths({ game: 'landfall', level: 'to-the-moon' })).toEqual(['level'])
  expect(
    paths({ game: 'landfall', params: { start: 0, goal: 0, source: { kind: 'dice', count: 1 } } }),
  ).toEqual(['params.goal'])
  expect(paths({ game: 'chess' })).toEqual(['game'])
  expect(paths({ game: 'landfall', level: 'to-10-die', players: 7 })).toEqual(['players'])
})

test('a track go with one die comes to about 13 s, with its sentence to about 25 s (common practice, no source)', () => {
  const average = (record: boolean) => {
    const params = { ...usualLevel(gameOf('landfall')).params, goal: 600, record }
    const { minutes, solo } = run({ game: 'landfall', params, players: 1 })
    return (minutes!.mean * 60) / solo!.goes!
  }
  expect(Math.abs(average(false) - 13)).toBeLessThan(1)
  expect(Math.abs(average(true) - 25)).toBeLessThan(1)
  expect(
    goTime(
      [
        { kind: 'rolled', player: 0, faces: [3] },
        { kind: 'waited', player: 0 },
      ],
      defaultPace,
    ),
  ).toEqual({ seconds: 6, active: 0, dead: true })
})

test('a go takes as long as narrated: 22 to 26 s on a track with its sentence written, 45 to 50 s with jumps', () => {
  // Common practice, no source.
  const perGo = (input: object) => {
    const { set, minutes } = analyse(analyseInputSchema.parse(input))
    return (60 * minutes!.mean) / set!.goes!.mean
  }
  const track = { start: 0, goal: 20, source: { kind: 'dice', count: 1 }, record: true }
  const written = perGo({ game: 'landfall', params: track, players: 2 })
  expect(written).toBeGreaterThan(19)
  expect(written).toBeLessThan(26)
  const jumps = perGo({ game: 'five-flags', level: 'jumps', players: 4, games: 200 })
  expect(jumps).toBeGreaterThan(42)
  expect(jumps).toBeLessThan(52)
})
