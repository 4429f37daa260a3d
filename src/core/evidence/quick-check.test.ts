import { seededChance, type Chance } from '../chance/chance'
import { abilityBelow, abilitySd, expectation, gridPoints, normalAbility, type Ability } from './ability'
import { strandOf } from '../skills'
import { estimate, estimateInputSchema, rebuild, secureLogit, workingStepOf } from './estimate'
import { judgements, likelihood, type Observation } from './observation'
import {
  answered,
  isHard,
  nextOfStrands,
  nextTask,
  probe,
  probeInputSchema,
  startCheck,
  stepCertainty,
  whyStop,
} from './quick-check'
import { simulateChecks } from './testing/simulated-check'

const difficulties = [0, 1.5, 3, 4.5, 6]

function randomHistory(chance: Chance, length: number): Observation[] {
  return Array.from({ length }, () => ({
    day: 0,
    step: chance.int(0, difficulties.length - 1),
    judged: judgements[chance.int(0, 2)],
    weight: 1,
  }))
}

/** Σ P(answer) · Var(θ | answer), each from a rebuild of the history with the answer added. */
function expectedSdAfter(observations: Observation[], prior: { mean: number; sd: number }, step: number) {
  const input = estimateInputSchema.parse({ difficulties, prior, observations })
  const { ability } = rebuild(input)
  let variance = 0
  for (const judged of judgements) {
    const answer: Observation = { day: 0, step, judged, weight: 1 }
    const chanceOfIt = expectation(ability, likelihood(answer, difficulties))
    const after = rebuild({ ...input, observations: [...observations, answer] }).ability
    variance += chanceOfIt * abilitySd(after) ** 2
  }
  return Math.sqrt(variance)
}

test('on 200 random histories the bare probe asks what leaves the least variance', () => {
  const chance = seededChance(5)
  for (let history = 0; history < 200; history++) {
    const prior = { mean: chance.int(-1, 7), sd: chance.int(1, 4) / 2 }
    const observations = randomHistory(chance, chance.int(0, 6))
    const asked = probe(probeInputSchema.parse({ difficulties, prior, observations, courtesy: false }))
    if (asked.stop) continue
    const all = difficulties.map((_, step) => expectedSdAfter(observations, prior, step))
    expect(asked.expectedSd).toBeCloseTo(Math.min(...all), 9)
    expect(all[asked.step!]).toBeCloseTo(Math.min(...all), 9)
  }
})

test('with courtesy a third hard task in a row is never asked, and else the best one is', () => {
  const chance = seededChance(6)
  let held = 0
  for (let history = 0; history < 1500; history++) {
    const prior = { mean: chance.int(-1, 4), sd: 2 }
    let check = startCheck({ ability: normalAbility(difficulties, prior), day: 0 })
    for (const observation of randomHistory(chance, 3)) check = answered(check, observation, difficulties, 0)
    const { ability } = check.belief
    const polite = nextTask(ability, difficulties, check.hard)
    const bare = nextTask(ability, difficulties, null)
    if (check.hard >= 2 && isHard(ability, difficulties[bare.step])) held++
    else expect(polite).toEqual(bare)
    if (check.hard >= 2 && !difficulties.every((b) => isHard(ability, b)))
      expect(isHard(ability, difficulties[polite.step])).toBe(false)
  }
  expect(held).toBeGreaterThan(0)
})

/** The certainty cell by cell: each θ has a true step, a cell on an edge counts in part. */
function certaintyByCells(ability: Ability, working: number): number {
  const trueStep = (theta: number) => {
    const found = difficulties.findIndex((b) => 1 / (1 + Math.exp(-(theta - b))) < 0.8)
    return found < 0 ? difficulties.length : found
  }
  let sum = 0
  gridPoints(ability).forEach((theta, i) => {
    for (let part = 0; part < 100; part++)
      if (Math.abs(trueStep(theta + ((part + 0.5) / 100 - 0.5) * 0.02) - working) <= 1)
        sum += ability.mass[i] / 100
  })
  return sum
}

test('the certainty of a step is the mass of the abilities whose true step is within one', () => {
  for (const mean of [-2, 0.7, 3.1, 8]) {
    const input = estimateInputSchema.parse({ difficulties, prior: { mean, sd: 1.2 } })
    const working = estimate(input).workingStep ?? difficulties.length
    const { ability } = rebuild(input)
    expect(stepCertainty(ability, difficulties)).toBeCloseTo(certaintyByCells(ability, working), 3)
  }
})

test('a check stops when it is sure, or has asked enough, and says which', () => {
  const start = (sd: number) => startCheck({ ability: normalAbility(difficulties, { mean: 3, sd }), day: 0 })
  expect(whyStop(start(0.5), difficulties)).toBe('sure')
  expect(whyStop(start(4), difficulties)).toBeNull()
  expect(whyStop({ ...start(4), asked: 8 }, difficulties)).toBe('asked-enough')
  expect(probe(probeInputSchema.parse({ difficulties, prior: { mean: 3, sd: 0.5 } }))).toMatchObject({
    stop: true,
    step: null,
  })
})

test('of several strands the one with most to learn is asked about, while there is time', () => {
  const check = (sd: number) => startCheck({ ability: normalAbility(difficulties, { mean: 3, sd }), day: 0 })
  const strands = [0.5, 2, 4].map((sd) => ({ check: check(sd), difficulties }))
  expect(nextOfStrands(strands, 300)!.strand).toBe(2)
  expect(nextOfStrands(strands.slice(0, 1), 300)).toBeNull()
  expect(nextOfStrands(strands, 20)).toBeNull()
})

test('simulated children: as good as the upward interview with under two thirds of its questions', () => {
  const ladder = Array.from({ length: 14 }, (_, step) => 1.5 * step)
  const quick = simulateChecks('quick check', ladder, 150, seededChance(3))
  const upward = simulateChecks('upward interview', ladder, 150, seededChance(3))
  const random = simulateChecks('by chance', ladder, 150, seededChance(3))
  // Four standard errors of a share of 0.94 among 150: 0.078.
  expect(quick.withinOne).toBeGreaterThan(0.94 - 0.078)
  expect(quick.withinOne).toBeGreaterThan(random.withinOne)
  expect(quick.questions).toBeLessThan(0.62 * upward.questions)
  expect(quick.rmse).toBeLessThan(random.rmse)
})

test.each(['add', 'numerals'] as const)(
  'on the ladder of %s, with steps between: near by a whole step in as few questions as on one without',
  (strand) => {
    const ladder = strandOf(strand).steps.map(({ difficulty }) => difficulty)
    const quick = simulateChecks('quick check', ladder, 150, seededChance(3))
    const upward = simulateChecks('upward interview', ladder, 150, seededChance(3))
    expect(quick.withinWhole).toBeGreaterThan(0.94 - 0.078)
    expect(quick.questions).toBeLessThan(0.62 * upward.questions)
  },
)

test('a step between two others is near to both, and to what is a whole step off; on the bare ladder only the next one is', () => {
  const ladder = [0, 1.5, 2, 3, 3.5, 4.5]
  const ability = normalAbility(ladder, { mean: 3.4 + secureLogit, sd: 0.5 })
  expect(workingStepOf(ability, ladder)).toBe(4)
  // From 2 on up to 4.5 and beyond none: all but what lies below the edge of 1.5.
  expect(stepCertainty(ability, ladder)).toBeCloseTo(
    abilityBelow(ability, 4.5 + secureLogit) - abilityBelow(ability, 1.5 + secureLogit),
    9,
  )
  expect(stepCertainty(ability, ladder, 'next step')).toBeCloseTo(
    abilityBelow(ability, 4.5 + secureLogit) - abilityBelow(ability, 2 + secureLogit),
    9,
  )
  // Steps of equal size: the same, whichever is asked for.
  for (const mean of [-2, 0.7, 3.1, 8]) {
    const even = normalAbility(difficulties, { mean, sd: 1.2 })
    expect(stepCertainty(even, difficulties)).toBeCloseTo(stepCertainty(even, difficulties, 'next step'), 12)
  }
})
