import { seededChance } from '@/core/chance/chance'
import { groupInputSchema, makeGroups, problemOf } from '@/core/grouping/making/make-groups'
import type { Grouping, GroupingProblem } from '@/core/grouping/problem/problem'
import { optimum, randomClass } from '@/core/grouping/testing/integer-model'
import { ContradictoryLimits } from '@/core/grouping/problem/units'
import { median, say } from './report'

/** A class of 24 to 34 with a few children together, apart, locked and in need of an adult near. */
function randomProblem(seed: number): GroupingProblem {
  const chance = seededChance(seed)
  const children = chance.int(24, 34)
  const count = chance.int(4, 6)
  const two = () => {
    const a = chance.int(0, children - 1)
    return [`c${a}`, `c${(a + chance.int(1, children - 1)) % children}`]
  }
  const some = (most: number) => Array.from({ length: chance.int(0, most) }, two)
  return problemOf(
    groupInputSchema.parse({
      ...randomClass(seed, children),
      groups: {
        count,
        min: Math.floor(children / count) - chance.int(1, 2),
        max: Math.ceil(children / count) + chance.int(1, 2),
      },
      together: some(2),
      apart: some(4),
      adultNear: Array.from({ length: chance.int(0, 3) }, () => `c${chance.int(0, children - 1)}`),
      withAdult: [0, count - 1],
      locked: Object.fromEntries(
        Array.from({ length: chance.int(0, 3) }, () => [
          `c${chance.int(0, children - 1)}`,
          chance.int(0, count - 1),
        ]),
      ),
    }),
  )
}

/** Groups of random classes beside the optimum that HiGHS proves on the same integer model. */
export async function groupingBesideHighs(classes: number) {
  say()
  say(`groups of ${classes} random classes of 24 to 34 with limits, beside HiGHS on the same integer model`)
  say(
    '(goals: equal cost on 95 %, never worse than max(2 %, 0.02), time at most 1/10, median gap of the bound 15 %)',
  )
  const ratios: number[] = []
  const gaps: number[] = []
  let [equal, worst, over, solved] = [0, 0, 0, 0]
  for (let seed = 1; solved < classes; seed++) {
    const problem = randomProblem(seed)
    let made: Grouping
    const start = performance.now()
    try {
      made = makeGroups(problem)
    } catch (error) {
      if (error instanceof ContradictoryLimits) continue
      throw error
    }
    const own = performance.now() - start
    const before = performance.now()
    const best = await optimum(problem)
    ratios.push(own / (performance.now() - before))
    solved++
    const apart = made.cost - best
    if (apart < 1e-6) equal++
    if (apart > Math.max(0.02 * best, 0.02)) over++
    worst = Math.max(worst, apart)
    gaps.push(made.cost < 1e-9 ? 0 : (made.cost - made.lowerBound) / made.cost)
    if (made.lowerBound > best + 1e-6) throw new Error(`Class ${seed}: the bound is above the optimum.`)
  }
  say(
    `  equal cost ${((100 * equal) / classes).toFixed(1)} %, over the margin ${over}, worst by ${worst.toFixed(4)}; ` +
      `time ÷ that of HiGHS ${median(ratios).toFixed(3)} (median); gap of the bound ${(100 * median(gaps)).toFixed(0)} % (median)`,
  )
}
