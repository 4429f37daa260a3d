import { normal, seededChance, unit, type Chance } from '@/core/chance/chance'
import { logistic, type Judgement } from '@/core/evidence/observation'
import type { PlannedChild } from '@/core/planning/session/context'
import { stepOf, strandIds, strandOf, type StepPlace, type StrandId } from '@/core/skills'
import {
  abilityOf,
  chanceOfMark,
  chanceOfPlacing,
  randomChild,
  type Hidden,
  type SimulatedChild,
} from './child'

/** Possible children that are gone through for the first guesses, and those kept of them. */
const many = 100_000
const kept = 2000
/** By so much of their spread those kept are moved apart, or they would soon be copies of a few. */
const apart = 0.15

let everybody: Hidden[] | null = null

/**
 * Who knows by what law the children of the simulation were made, and of a child its first guesses and its marks: what
 * the same marks can tell at best. Bayes by weighted possible children, drawn anew when few of them carry the weight
 * (a particle filter; the moving apart after Liu and West 2001, from memory).
 */
export class BestJudge {
  private children: Hidden[]
  private weights: Float64Array
  private readonly chance: Chance

  constructor(placed: SimulatedChild['placed'], seed: number) {
    this.chance = seededChance(seed)
    const cloud = seededChance(0)
    everybody ??= Array.from({ length: many }, () => randomChild(cloud))
    this.children = everybody
    this.weights = new Float64Array(many).fill(1)
    this.weigh((child) =>
      (Object.entries(placed) as [StrandId, string][]).reduce(
        (product, [strand, step]) => product * chanceOfPlacing(child, strand, step),
        1,
      ),
    )
    this.drawAnew()
  }

  /** Takes in a mark of a week. */
  take(place: StepPlace, judged: Judgement, week: number) {
    this.weigh((child) => chanceOfMark(child, place, week)[judged])
    const carried = 1 / this.weights.reduce((sum, weight) => sum + weight * weight, 0)
    if (carried < kept / 3) this.drawAnew()
  }

  /** Right alone as it is to be expected in a week, per strand and step. */
  rightAlone(week: number): PlannedChild['rightAlone'] {
    return Object.fromEntries(
      strandIds.map((strand) => {
        const abilities = this.children.map((child) => abilityOf(child, strand, week))
        return [
          strand,
          strandOf(strand).steps.map(({ id }) => {
            const { difficulty } = stepOf({ strand, step: id })
            return abilities.reduce((sum, one, i) => sum + this.weights[i] * logistic(one - difficulty), 0)
          }),
        ]
      }),
    ) as unknown as PlannedChild['rightAlone']
  }

  /** Ability to be expected on a strand, in logits. */
  ability = (strand: StrandId, week: number): number =>
    this.children.reduce((sum, child, i) => sum + this.weights[i] * abilityOf(child, strand, week), 0)

  private weigh(chanceOf: (child: Hidden) => number) {
    const weighed = this.weights.map((weight, i) => weight * chanceOf(this.children[i]))
    const total = weighed.reduce((sum, weight) => sum + weight, 0)
    this.weights = weighed.map((weight) => weight / total)
  }

  /** As many children of the same weight, chosen by theirs; then moved apart. */
  private drawAnew() {
    const begin = unit(this.chance)
    let at = 0
    let up = this.weights[0]
    const chosen = Array.from({ length: kept }, (_, i) => {
      while (up < (begin + i) / kept && at + 1 < this.weights.length) up += this.weights[++at]
      return this.children[at]
    })
    const base = this.movedApart(chosen.map((child) => child.base))
    const growth = this.movedApart(chosen.map((child) => child.growth))
    const offsets = strandIds.map(
      (strand) => [strand, this.movedApart(chosen.map(({ offset }) => offset[strand]))] as const,
    )
    this.children = chosen.map((_, i) => ({
      base: base[i],
      growth: Math.max(0, growth[i]),
      offset: Object.fromEntries(offsets.map(([strand, moved]) => [strand, moved[i]])) as Hidden['offset'],
    }))
    this.weights = new Float64Array(kept).fill(1 / kept)
  }

  /** The same mean and spread, no two alike. */
  private movedApart(values: readonly number[]): number[] {
    const mean = values.reduce((sum, value) => sum + value, 0) / values.length
    const spread = Math.sqrt(values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length)
    const keep = Math.sqrt(1 - apart * apart)
    return values.map((value) => keep * value + (1 - keep) * mean + apart * spread * normal(this.chance))
  }
}
