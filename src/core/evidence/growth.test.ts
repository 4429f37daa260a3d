import { seededChance, unit } from '../chance/chance'
import { stepIndex, strandIds, strandOf } from '../skills'
import { abilityMean, abilitySd, drifted, normalAbility } from './ability'
import { observe, secureLogit, waitUntil, type Belief } from './estimate'
import { daysLater, difficultiesOf } from './history'
import { logistic, type Judgement } from './observation'
import { growthPerDay, usualStep } from './prior'

const ladder = difficultiesOf('add')
const normal = (mean: number, sd: number): Belief => ({
  ability: normalAbility(ladder, { mean, sd }),
  day: 0,
})

test('a normal belief grows by what it is told, on the grid or between its cells, and widens as variances add', () => {
  for (const by of [0, 0.2, 0.123, -0.37]) {
    const ability = drifted(normal(6, 0.7).ability, 0.4, by)
    expect(abilityMean(ability)).toBeCloseTo(6 + by, 6)
    // The grid itself adds nothing that shows.
    expect(abilitySd(ability)).toBeCloseTo(Math.hypot(0.7, 0.4), 5)
  }
})

test('children come on along every strand, and in a year on addition by about as much as their usual steps lie apart', () => {
  for (const strand of strandIds) expect([strand, growthPerDay(strand) > 0]).toEqual([strand, true])
  const at = (year: 'Year 1' | 'Year 2') =>
    strandOf('add').steps[stepIndex({ strand: 'add', step: usualStep.add[year] })].difficulty
  const inYear1 = at('Year 2') - at('Year 1')
  expect(190 * growthPerDay('add')).toBeGreaterThan(0.7 * inYear1)
  expect(190 * growthPerDay('add')).toBeLessThan(1.4 * inYear1)
})

test('of a child that was away for long no more growth is taken in than of two weeks, and less is known', () => {
  const [twoWeeks, term] = [10, 60].map((days) => daysLater(normal(6, 0.5), 'add', days).ability)
  expect(abilityMean(twoWeeks)).toBeCloseTo(6 + 10 * growthPerDay('add'), 6)
  expect(abilityMean(term)).toBeCloseTo(abilityMean(twoWeeks), 6)
  expect(abilitySd(term)).toBeGreaterThan(abilitySd(twoWeeks))
})

test('nobody grows beyond where the whole ladder is secure, and nobody back to it', () => {
  const secure = ladder.at(-1)! + secureLogit
  const near = daysLater(normal(secure - 0.1, 0.3), 'add', 10).ability
  expect(abilityMean(near)).toBeCloseTo(secure, 6)
  const beyond = daysLater(normal(secure + 1, 0.3), 'add', 10).ability
  expect(abilityMean(beyond)).toBeCloseTo(secure + 1, 6)
})

test('on the day itself nothing is taken in', () => {
  const belief = normal(6, 0.5)
  expect(daysLater(belief, 'add', 0).ability).toBe(belief.ability)
})

describe('a hundred and twenty children seen once a week for twelve weeks (simulated)', () => {
  const children = 120
  const weeks = 12

  /** Belief less truth at the end on average, in logits, and four standard errors of it. */
  function off(growing: number, after: (belief: Belief, days: number) => Belief) {
    const chance = seededChance(5)
    const errors = Array.from({ length: children }, () => {
      let truth = 4 + 4 * unit(chance)
      let belief = normal(truth, 1)
      for (let week = 0; week < weeks; week++) {
        truth += 5 * growing
        belief = after(belief, 5)
        const step = ladder.findLastIndex((difficulty) => difficulty < truth)
        const u = unit(chance)
        const ahead = truth - ladder[step]
        const judged: Judgement = u < logistic(ahead) ? 'own' : u < logistic(ahead + 1.2) ? 'help' : 'notYet'
        belief = observe({ ...belief, day: 0 }, { day: 0, step, judged, weight: 1 }, ladder)
      }
      return abilityMean(belief.ability) - truth
    })
    const mean = errors.reduce((sum, error) => sum + error, 0) / children
    const sd = Math.sqrt(errors.reduce((sum, error) => sum + (error - mean) ** 2, 0) / (children - 1))
    return { mean, four: (4 * sd) / Math.sqrt(children) }
  }
  const usual = growthPerDay('add')
  const withGrowth = (belief: Belief, days: number) => daysLater(belief, 'add', days)
  const without = (belief: Belief, days: number) => waitUntil({ ...belief, day: 0 }, days)

  test('growing as children usually do they are followed; without growth the belief would stay behind', () => {
    const followed = off(usual, withGrowth)
    expect(Math.abs(followed.mean)).toBeLessThan(followed.four)
    const behind = off(usual, without)
    expect(behind.mean).toBeLessThan(-0.3)
  })

  test('those who do not come on at all are thought further by no more than two thirds of what they were given', () => {
    const still = off(0, withGrowth)
    expect(still.mean).toBeGreaterThan(0)
    expect(still.mean - still.four).toBeLessThan((2 / 3) * weeks * 5 * usual)
  })
})
