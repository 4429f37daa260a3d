import { cheapestAssignment } from './assign'
import { brokenLink, costsAt, moveCosts, openToChildren } from './at-levels'
import { LevelChoices } from './level-choices'
import type { GroupingProblem } from '../problem/problem'
import type { Units } from '../problem/units'

export interface Proof {
  /** A better grouping than the one it began with, group per unit; null: there is none, or none was found. */
  better: { group: Int32Array; cost: number } | null
  /** No grouping within the limits costs less. */
  lowerBound: number
}

/** Beginnings of level choices looked at for each millisecond of the budget before the proof is given up. */
const beginningsPerMillisecond = 400

/** Assignments solved for each millisecond of the budget. */
const assignmentsPerMillisecond = 12

const differs = 1e-9

/** Groups at given levels, with what branching has decided so far. */
interface Node {
  levels: readonly number[]
  allowed: Int32Array
  bound: number
  group: Int8Array
}

/**
 * Branch and bound (Land & Doig 1960): for every choice of levels of the groups, the cheapest assignment
 * that heeds sizes and locks is a flow; it bounds what links between children can only make dearer. A
 * link that it breaks is branched on.
 *
 * @param upper cost of the grouping that is known
 */
export function prove(problem: GroupingProblem, units: Units, upper: number): Proof {
  const { limits } = problem
  const { count, min, max } = limits.groups
  const n = problem.children.length
  let left = Math.round(limits.milliseconds * assignmentsPerMillisecond)
  let best = upper
  let better: Proof['better'] = null
  const open: Node[] = []
  const moves = moveCosts(problem)
  const masks = openToChildren(units, n)

  const consider = (chosen: readonly number[], allowed: Int32Array) => {
    left--
    const found = cheapestAssignment(costsAt(problem, moves, chosen), allowed, count, { min, max })
    if (!found || found.cost >= best - differs) return
    open.push({ levels: chosen, allowed, bound: found.cost, group: found.group })
  }

  const choices = new LevelChoices(
    problem,
    units,
    moves,
    masks,
    limits.milliseconds * beginningsPerMillisecond,
  )
  const bounds = () => Math.min(best, choices.bound, ...open.map(({ bound }) => bound))
  for (let next = choices.next(); next && next.bound < best - differs; next = choices.next()) {
    if (left <= 0) return { better, lowerBound: Math.min(next.bound, bounds()) }
    consider(next.chosen, masks)
  }
  while (open.length > 0 && left > 0) {
    const at = open.reduce((least, node, i) => (node.bound < open[least].bound ? i : least), 0)
    const [node] = open.splice(at, 1)
    if (node.bound >= best - differs) continue
    const broken = brokenLink(node.group, units)
    if (!broken) {
      best = node.bound
      better = { group: Int32Array.from(units.members, ([child]) => node.group[child]), cost: node.bound }
      continue
    }
    for (const mask of broken.branches) {
      const allowed = node.allowed.slice()
      for (const [child, bits] of mask) allowed[child] &= bits
      consider(node.levels, allowed)
    }
  }
  return { better, lowerBound: bounds() }
}
