import highsLoader from 'highs'
import { seededChance, unit } from '../../chance/chance'
import { groupInputSchema } from '../making/make-groups'
import type { GroupingProblem } from '../problem/problem'

/** A class with abilities over five levels, for tests and the bench. */
export function randomClass(seed: number, children: number, change: object = {}) {
  const chance = seededChance(seed)
  const between = (low: number, high: number) => low + (high - low) * unit(chance)
  return groupInputSchema.parse({
    children: Array.from({ length: children }, (_, i) => ({ id: `c${i}`, ability: between(0, 8) })),
    levels: Array.from({ length: 5 }, (_, i) => ({ id: `l${i}`, difficulty: i * 1.7 + between(-0.3, 0.3) })),
    groups: { count: 3, min: 2, max: 4 },
    seed,
    ...change,
  })
}

/** The optimum of the same integer model by HiGHS (Huangfu & Hall 2018, Math. Prog. Comp. 10:119). */
export async function optimum({ children, levels, cost, limits }: GroupingProblem): Promise<number> {
  const highs = await highsLoader()
  const { count, min, max } = limits.groups
  const x = (i: number, g: number, l: number) => `x_${i}_${g}_${l}`
  const y = (g: number, l: number) => `y_${g}_${l}`
  const groups = Array.from({ length: count }, (_, g) => g)
  const all = levels.map((_, l) => l)
  const terms: string[] = []
  const rows: string[] = []
  const inGroup = (i: number, g: number, sign = '+') => all.map((l) => `${sign} ${x(i, g, l)}`).join(' ')
  children.forEach((id, i) => {
    rows.push(`${groups.map((g) => inGroup(i, g)).join(' ')} = 1`)
    for (const g of groups)
      for (const l of all) {
        const present = limits.current?.[id]
        const move = present !== undefined && present !== g ? limits.moveCost : 0
        terms.push(`${(cost[i][l] + move).toFixed(12)} ${x(i, g, l)}`)
        rows.push(`${x(i, g, l)} - ${y(g, l)} <= 0`)
      }
    if (limits.adultNear.includes(id))
      rows.push(
        `${groups.flatMap((g) => (limits.withAdult.includes(g) ? [inGroup(i, g)] : [])).join(' ')} = 1`,
      )
    if (limits.locked[id] !== undefined) rows.push(`${inGroup(i, limits.locked[id])} = 1`)
  })
  for (const g of groups) {
    rows.push(`${all.map((l) => `+ ${y(g, l)}`).join(' ')} = 1`)
    const size = children.map((_, i) => inGroup(i, g)).join(' ')
    rows.push(`${size} >= ${min}`, `${size} <= ${max}`)
  }
  const index = (id: string) => children.indexOf(id)
  for (const [a, b] of limits.apart)
    for (const g of groups) rows.push(`${inGroup(index(a), g)} ${inGroup(index(b), g)} <= 1`)
  for (const [a, b] of limits.together)
    for (const g of groups) rows.push(`${inGroup(index(a), g)} ${inGroup(index(b), g, '-')} = 0`)
  const names = [
    ...terms.map((term) => term.split(' ')[1]),
    ...groups.flatMap((g) => all.map((l) => y(g, l))),
  ]
  const model = `Minimize\n obj: ${terms.map((term) => `+ ${term}`).join(' ')}\nSubject To\n${rows
    .map((row, i) => ` r${i}: ${row}`)
    .join('\n')}\nBinary\n ${names.join(' ')}\nEnd`
  const solution = highs.solve(model, { mip_rel_gap: 0, mip_abs_gap: 1e-9 })
  if (solution.Status !== 'Optimal') throw new Error(`HiGHS: ${solution.Status}`)
  return solution.ObjectiveValue
}
