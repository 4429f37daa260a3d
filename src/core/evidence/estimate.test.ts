import fc from 'fast-check'
import { schoolDaysBetween } from '../planning/calendar'
import {
  estimate,
  estimateInputSchema,
  observe,
  rebuild,
  summarise,
  waitUntil,
  type Belief,
} from './estimate'
import { throughHistory } from './history'
import { normalAbility } from './ability'
import type { Observation } from './observation'

const difficulties = [0, 1.5, 3, 4.5]
const sigma = (x: number) => 1 / (1 + Math.exp(-x))

/**
 * The posterior by brute force: the whole history at once on the grid, straight from the formulas
 * of Rasch (1960) and Samejima (1969), with a dense drift matrix in place of a kernel.
 */
function bruteForce(observations: Observation[], prior: { mean: number; sd: number }, onDay: number) {
  const step = 0.02
  const grid = Array.from({ length: Math.round((4.5 + 16) / step) + 1 }, (_, i) => -8 + i * step)
  let p = grid.map((t) => Math.exp(-((t - prior.mean) ** 2) / (2 * prior.sd ** 2)))
  const normalise = () => {
    const total = p.reduce((sum, mass) => sum + mass, 0)
    p = p.map((mass) => mass / total)
  }
  const drift = (days: number) => {
    if (days === 0) return
    const variance = 0.01 * days
    p = grid.map((to) =>
      grid.reduce((sum, from, i) => sum + p[i] * Math.exp(-((to - from) ** 2) / (2 * variance)), 0),
    )
    normalise()
  }
  normalise()
  let day = 0
  for (const o of observations) {
    drift(o.day - day)
    day = o.day
    const b = difficulties[o.step]
    p = p.map((mass, i) => {
      const t = grid[i]
      if ('judged' in o) {
        const own = sigma(t - b)
        const help = sigma(t - b + 1.2)
        return mass * { own, help: help - own, notYet: 1 - help }[o.judged] ** o.weight
      }
      const right = o.guess + (1 - o.guess) * sigma(t - b)
      return mass * (right ** o.right * (1 - right) ** (o.of - o.right)) ** o.weight
    })
    normalise()
  }
  drift(onDay - day)
  const mean = p.reduce((sum, mass, i) => sum + mass * grid[i], 0)
  const sd = Math.sqrt(p.reduce((sum, mass, i) => sum + mass * (grid[i] - mean) ** 2, 0))
  // P(secure): cells whose ability is above difficulty + ln 4, the cell on the edge in part.
  const secure = difficulties.map((b) => {
    const limit = b + Math.log(4)
    return p.reduce(
      (sum, mass, i) => sum + mass * Math.min(1, Math.max(0, (grid[i] + step / 2 - limit) / step)),
      0,
    )
  })
  return { mean, sd, secure }
}

const history: Observation[] = [
  { day: 0, step: 1, right: 9, of: 11, guess: 0, weight: 1 },
  { day: 3, step: 2, judged: 'own', weight: 1 },
  { day: 3, step: 3, judged: 'notYet', weight: 0.5 },
  { day: 9, step: 2, right: 3, of: 4, guess: 0.5, weight: 0.8 },
  { day: 10, step: 3, judged: 'help', weight: 1 },
]

test('the filter equals a brute-force Bayesian computation', () => {
  const input = estimateInputSchema.parse({
    difficulties,
    prior: { mean: 1, sd: 1 },
    observations: history,
    onDay: 12,
  })
  const found = estimate(input)
  const brute = bruteForce(history, { mean: 1, sd: 1 }, 12)
  expect(found.mean).toBeCloseTo(brute.mean, 9)
  expect(found.sd).toBeCloseTo(brute.sd, 9)
  brute.secure.forEach((probability, step) => expect(found.secure[step]).toBeCloseTo(probability, 9))
})

test('one observation after another equals a rebuild of the whole history', () => {
  let belief: Belief = { ability: normalAbility(difficulties, { mean: 1, sd: 1 }), day: 0 }
  for (const observation of history) belief = observe(belief, observation, difficulties)
  const whole = rebuild(
    estimateInputSchema.parse({ difficulties, prior: { mean: 1, sd: 1 }, observations: history, onDay: 12 }),
  )
  waitUntil(belief, 12).ability.mass.forEach((mass, cell) =>
    expect(mass).toBeCloseTo(whole.ability.mass[cell], 12),
  )
})

const anyObservation: fc.Arbitrary<Observation> = fc.record({
  day: fc.integer({ min: 0, max: 30 }),
  step: fc.integer({ min: 0, max: 3 }),
  weight: fc.constantFrom(0.5, 1),
  judged: fc.constantFrom('own' as const, 'help' as const, 'notYet' as const),
})

test('a success never lowers the mean, a failure never raises it', () => {
  fc.assert(
    fc.property(fc.array(anyObservation, { maxLength: 8 }), fc.integer({ min: 0, max: 3 }), (seen, step) => {
      const input = estimateInputSchema.parse({
        difficulties,
        prior: { mean: 2, sd: 1.5 },
        observations: seen,
      })
      const belief = rebuild(input)
      const mean = (judged: 'own' | 'notYet') =>
        summarise(observe(belief, { day: belief.day, step, judged, weight: 1 }, difficulties), difficulties)
          .mean
      const now = summarise(belief, difficulties).mean
      expect(mean('own')).toBeGreaterThanOrEqual(now - 1e-12)
      expect(mean('notYet')).toBeLessThanOrEqual(now + 1e-12)
    }),
    { numRuns: 15 },
  )
})

test('with nothing seen the summary is that of the normal prior (percentiles of the standard normal: ∓1.2816)', () => {
  const { mean, sd, p10, p50, p90, workingStep } = estimate(
    estimateInputSchema.parse({ difficulties, prior: { mean: 2, sd: 1 } }),
  )
  expect(mean).toBeCloseTo(2, 6)
  expect(sd).toBeCloseTo(1, 4)
  expect(p10).toBeCloseTo(2 - 1.2816, 3)
  expect(p50).toBeCloseTo(2, 6)
  expect(p90).toBeCloseTo(2 + 1.2816, 3)
  // Secure needs ability 1.386 above a step's difficulty: at mean 2 that is so for step 0 alone.
  expect(workingStep).toBe(1)
})

test('time alone widens the estimate by the noise of its days', () => {
  const now = estimate(estimateInputSchema.parse({ difficulties, prior: { mean: 2, sd: 0.5 } }))
  const later = estimate(estimateInputSchema.parse({ difficulties, prior: { mean: 2, sd: 0.5 }, onDay: 16 }))
  expect(later.mean).toBeCloseTo(now.mean, 6)
  expect(later.sd ** 2).toBeCloseTo(now.sd ** 2 + 16 * 0.01, 6)
})

test('every step secure: no working step', () => {
  expect(
    estimate(estimateInputSchema.parse({ difficulties, prior: { mean: 9, sd: 0.5 } })).workingStep,
  ).toBeNull()
})

test('bad input names its field', () => {
  const paths = (change: object) =>
    estimateInputSchema
      .safeParse({ difficulties, prior: { mean: 0, sd: 1 }, ...change })
      .error?.issues.map(({ path }) => path.join('.'))
  expect(paths({ prior: { mean: 0, sd: 0 } })).toEqual(['prior.sd'])
  expect(paths({ observations: [{ day: 0, step: 9, judged: 'own' }] })).toEqual(['observations.0.step'])
  expect(paths({ observations: [{ day: 0, step: 0, right: 5, of: 3 }] })).toEqual(['observations.0.right'])
  expect(paths({ observations: [{ day: 6, step: 0, judged: 'own' }], onDay: 3 })).toEqual([
    'observations.0.day',
  ])
})

test('the same records counted weigh as much as one after the other, whatever their order', () => {
  const placed = { strand: 'add', step: 'count-on-10', sureness: 'sure', day: '2026-11-02' } as const
  const record = (step: string, judged: 'own' | 'help' | 'notYet', times: number) =>
    ({
      strand: 'add',
      step,
      judged,
      right: null,
      of: null,
      weight: 1,
      guess: 0,
      schoolDay: '2026-11-03',
      times,
    }) as const
  const tally = {
    strand: 'add',
    step: 'count-on-10',
    judged: null,
    right: 3,
    of: 4,
    weight: 0.5,
    guess: 0,
  } as const
  const counted = [
    record('count-on-10', 'own', 7),
    record('count-on-20', 'help', 4),
    record('count-on-20', 'notYet', 3),
    { ...tally, schoolDay: '2026-11-03', times: 3 },
  ]
  const singly = counted.flatMap((one) => Array.from({ length: one.times }, () => ({ ...one, times: 1 })))
  const [together, apart, backwards] = [counted, singly, [...singly].reverse()].map(
    (history) => throughHistory(placed, history, schoolDaysBetween).running,
  )
  expect(together.observations).toBe(17)
  expect(apart.observations).toBe(17)
  for (const other of [apart, backwards])
    for (let i = 0; i < together.belief.ability.mass.length; i++)
      expect(Math.abs(together.belief.ability.mass[i] - other.belief.ability.mass[i])).toBeLessThan(1e-12)
})

test('a judgement made a thousand times in a day still leaves an ability possible', () => {
  const placed = { strand: 'add', step: 'count-on-10', sureness: 'sure', day: '2026-11-02' } as const
  const often = {
    strand: 'add',
    step: 'count-on-10',
    judged: 'help',
    right: null,
    of: null,
    weight: 1,
    guess: 0,
  } as const
  const history = [{ ...often, schoolDay: '2026-11-03', times: 1000 }]
  const { running } = throughHistory(placed, history, schoolDaysBetween)
  expect(running.observations).toBe(1000)
  expect(running.belief.ability.mass.reduce((sum, p) => sum + p, 0)).toBeCloseTo(1, 9)
})
