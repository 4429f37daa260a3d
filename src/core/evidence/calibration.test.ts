import { nelderMead } from 'fmin'
import { normal, seededChance, unit } from '../chance/chance'
import { abilityBelow, flatAbility, gridPoints, normalAbility, weighted } from './ability'
import { observe, waitUntil, type Belief } from './estimate'
import { likelihood, type Observation } from './observation'

const difficulties = [0, 1.5, 3, 4.5]
const sigma = (x: number) => 1 / (1 + Math.exp(-x))

/**
 * Simulation-based calibration (Talts, Betancourt, Simpson, Vehtari & Gelman 2018, arXiv:1804.06788): abilities
 * from the prior, drifting with the days, and answers by the model; then the posterior places of the true
 * abilities are uniform.
 */
test('simulation-based calibration: places of the true abilities are uniform', () => {
  const chance = seededChance(2018)
  const prior = { mean: 2, sd: 1.5 }
  const [rounds, bins] = [600, 20]
  const counts = new Array<number>(bins).fill(0)
  for (let round = 0; round < rounds; round++) {
    let theta = prior.mean + prior.sd * normal(chance)
    let belief: Belief = { ability: normalAbility(difficulties, prior), day: 0 }
    let day = 0
    for (let i = chance.int(1, 6); i > 0; i--) {
      const later = day + chance.int(0, 5)
      theta += 0.1 * Math.sqrt(later - day) * normal(chance)
      day = later
      const step = chance.int(0, 3)
      const tally = chance.int(0, 1) === 0
      const guess = chance.int(0, 1) / 2
      let observation: Observation
      if (tally) {
        const of = chance.int(1, 6)
        let right = 0
        for (let k = 0; k < of; k++)
          if (unit(chance) < guess + (1 - guess) * sigma(theta - difficulties[step])) right++
        observation = { day, step, right, of, guess, weight: 1 }
      } else {
        const u = unit(chance)
        const own = sigma(theta - difficulties[step])
        const ownOrHelp = sigma(theta - difficulties[step] + 1.2)
        observation = { day, step, weight: 1, judged: u < own ? 'own' : u < ownOrHelp ? 'help' : 'notYet' }
      }
      belief = observe(belief, observation, difficulties)
    }
    const place = abilityBelow(waitUntil(belief, day).ability, theta)
    counts[Math.min(bins - 1, Math.floor(place * bins))]++
  }
  const expected = rounds / bins
  const square = counts.reduce((sum, count) => sum + (count - expected) ** 2 / expected, 0)
  // 99 % point of chi-square with 19 degrees of freedom (standard table): 36.19.
  expect(square).toBeLessThan(36.19)
})

test('a filter that is too sure of itself fails the same calibration', () => {
  const chance = seededChance(2018)
  const counts = new Array<number>(20).fill(0)
  for (let round = 0; round < 400; round++) {
    const theta = 2 + 1.5 * normal(chance)
    const right = [0, 1, 2, 3].filter(() => unit(chance) < sigma(theta - 1.5)).length
    const observation: Observation = { day: 0, step: 1, right, of: 4, guess: 0, weight: 1 }
    const seen = observe(
      { ability: normalAbility(difficulties, { mean: 2, sd: 1.5 }), day: 0 },
      observation,
      difficulties,
    )
    // The same answers heard three times.
    const again = observe(observe(seen, observation, difficulties), observation, difficulties)
    counts[Math.min(19, Math.floor(abilityBelow(again.ability, theta) * 20))]++
  }
  expect(counts.reduce((sum, count) => sum + (count - 20) ** 2 / 20, 0)).toBeGreaterThan(36.19)
})

test('with a flat prior the most likely ability is the maximum-likelihood one that fmin finds (Nelder & Mead 1965)', () => {
  const tallies = [
    { step: 0, right: 9, of: 10 },
    { step: 1, right: 6, of: 9 },
    { step: 3, right: 1, of: 8 },
  ]
  let ability = flatAbility(difficulties, -6, 10)
  for (const tally of tallies)
    ability = weighted(ability, likelihood({ day: 0, guess: 0, weight: 1, ...tally }, difficulties))
  const grid = gridPoints(ability)
  const mode = grid[ability.mass.indexOf(Math.max(...ability.mass))]
  const { x } = nelderMead(
    ([theta]) =>
      -tallies.reduce((sum, { step, right, of }) => {
        const p = sigma(theta - difficulties[step])
        return sum + right * Math.log(p) + (of - right) * Math.log(1 - p)
      }, 0),
    [1],
  )
  // Half a cell of the grid, and what the search leaves open.
  expect(Math.abs(mode - x[0])).toBeLessThan(0.012)
})
