/**
 * What is believed about one child on one strand: a density over ability θ (logits) on a grid.
 *
 * Grid points are the middles of cells; from the lowest difficulty − 8 to the highest + 8.
 */
export interface Ability {
  /** θ of the first point. */
  from: number
  /** Probability of each cell; sums to 1. */
  mass: Float64Array
}

/** Prior and evidence leave no ability possible: they contradict each other beyond what numbers can hold. */
export class NoCommonMass extends RangeError {
  constructor() {
    super('The evidence contradicts the whole ability scale.')
    this.name = 'NoCommonMass'
  }
}

export const gridStep = 0.02
const margin = 8

/** The density with normal shape, cut to the grid and renormalised. `mean`, `sd` in logits. */
export function normalAbility(difficulties: readonly number[], prior: { mean: number; sd: number }): Ability {
  const from = Math.min(...difficulties) - margin
  const points = Math.round((Math.max(...difficulties) + margin - from) / gridStep) + 1
  const mass = new Float64Array(points)
  for (let i = 0; i < points; i++) {
    const z = (from + i * gridStep - prior.mean) / prior.sd
    mass[i] = Math.exp((-z * z) / 2)
  }
  return normalised({ from, mass })
}

/** Every ability from `low` to `high` as likely, nothing outside. */
export function flatAbility(difficulties: readonly number[], low: number, high: number): Ability {
  return weighted(normalAbility(difficulties, { mean: 0, sd: 1e6 }), (theta) =>
    Number(theta >= low && theta <= high),
  )
}

/** Each cell weighted with `likelihood(θ)`. */
export function weighted({ from, mass }: Ability, likelihood: (theta: number) => number): Ability {
  const after = new Float64Array(mass.length)
  for (let i = 0; i < mass.length; i++) if (mass[i] > 0) after[i] = mass[i] * likelihood(from + i * gridStep)
  return normalised({ from, mass: after })
}

/** Each cell weighted with the likelihood at it, as often as that was seen. */
export function weightedBy({ from, mass }: Ability, likelihood: Float64Array, times: number): Ability {
  const after = new Float64Array(mass.length)
  for (let i = 0; i < mass.length; i++)
    if (mass[i] > 0) after[i] = something(mass[i] * (times === 1 ? likelihood[i] : likelihood[i] ** times))
  return normalised({ from, mass: after })
}

/** Ability after normal drift of `sd` logits around a growth of `by`: mass that leaves the grid is dropped. */
export function drifted({ from, mass }: Ability, sd: number, by = 0): Ability {
  if (sd <= 0) return { from, mass }
  const reach = Math.min(mass.length - 1, Math.ceil((10 * sd) / gridStep))
  const cells = Math.round(by / gridStep)
  const rest = by - cells * gridStep
  // Backwards: both are then gone through the same way.
  const kernel = new Float64Array(2 * reach + 1)
  for (let k = -reach; k <= reach; k++)
    kernel[reach - k] = Math.exp(-((k * gridStep - rest) ** 2) / (2 * sd * sd))
  // Too little to matter after the rounding of doubles: most of a narrow density's grid.
  const first = mass.findIndex((p) => p >= 1e-30)
  const last = mass.findLastIndex((p) => p >= 1e-30)
  const after = new Float64Array(mass.length)
  for (let j = 0; j < mass.length; j++) {
    const centre = j - cells
    const low = Math.max(first, centre - reach)
    const high = Math.min(last, centre + reach)
    let sum = 0
    for (let i = low; i <= high; i++) sum += mass[i] * kernel[reach + i - centre]
    after[j] = sum
  }
  return normalised({ from, mass: after })
}

/** θ of every cell. */
export const gridPoints = ({ from, mass }: Ability): Float64Array => mass.map((_, i) => from + i * gridStep)

export function abilityMean({ from, mass }: Ability): number {
  let sum = 0
  for (let i = 0; i < mass.length; i++) sum += (from + i * gridStep) * mass[i]
  return sum
}

export function abilitySd(ability: Ability): number {
  const centre = abilityMean(ability)
  let sum = 0
  for (let i = 0; i < ability.mass.length; i++)
    sum += (ability.from + i * gridStep - centre) ** 2 * ability.mass[i]
  return Math.sqrt(sum)
}

/** E[f(θ)]. */
export function expectation({ from, mass }: Ability, f: (theta: number) => number): number {
  let sum = 0
  for (let i = 0; i < mass.length; i++) sum += f(from + i * gridStep) * mass[i]
  return sum
}

/** P(θ ≤ limit), linear inside a cell. */
export function abilityBelow({ from, mass }: Ability, limit: number): number {
  const position = (limit - (from - gridStep / 2)) / gridStep
  if (position <= 0) return 0
  const cell = Math.floor(position)
  let sum = 0
  for (let i = 0; i < Math.min(cell, mass.length); i++) sum += mass[i]
  if (cell >= mass.length) return 1
  return sum + (position - cell) * mass[cell]
}

/** The θ with P(below θ) = q, linear inside a cell. */
export function abilityPercentile({ from, mass }: Ability, q: number): number {
  let sum = 0
  for (let i = 0; i < mass.length; i++) {
    if (sum + mass[i] >= q && mass[i] > 0) return from - gridStep / 2 + (i + (q - sum) / mass[i]) * gridStep
    sum += mass[i]
  }
  return from + (mass.length - 0.5) * gridStep
}

/** Numbers this small are reckoned with a hundred times slower, and no sum of a grid of them shows in any figure. */
const something = (p: number) => (p > 1e-300 ? p : 0)

function normalised({ from, mass }: Ability): Ability {
  let total = 0
  for (let i = 0; i < mass.length; i++) total += mass[i]
  if (!(total > 0)) throw new NoCommonMass()
  const share = new Float64Array(mass.length)
  for (let i = 0; i < mass.length; i++) share[i] = something(mass[i] / total)
  return { from, mass: share }
}
