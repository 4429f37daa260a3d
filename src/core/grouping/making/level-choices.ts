import type { GroupingProblem } from '../problem/problem'
import { alikeGroups, type Units } from '../problem/units'

/** Levels of the first groups, or of all of them. */
interface Prefix {
  levels: number[]
  bound: number
}

/**
 * Every choice of a level for each group, cheapest bound first: each child in the best group there is for it, whatever
 * the sizes, and where no level is chosen yet at its own best one. Choices are not listed beforehand: groups get their
 * levels one by one, and only the cheapest beginning is gone on with (best-first search; Hart, Nilsson & Raphael 1968).
 * Groups that nothing tells apart take their levels in ascending order.
 */
export class LevelChoices {
  private readonly open: Heap
  private readonly alike: readonly number[]
  /** Of each child the cost at its own best level. */
  private readonly own: Float64Array

  /**
   * @param moves what it costs that a child stands in a group, at `child * groups + group`
   * @param masks groups a child may stand in, a bit each
   * @param most beginnings looked at before it gives up
   */
  constructor(
    private readonly problem: GroupingProblem,
    units: Units,
    private readonly moves: Float64Array,
    private readonly masks: Int32Array,
    private most: number,
  ) {
    const { count } = problem.limits.groups
    const free = moves.every((one) => one === 0)
    this.alike = free ? alikeGroups(units.open, count) : Array.from({ length: count }, (_, g) => g)
    this.own = Float64Array.from(problem.cost, (row) => Math.min(...row))
    this.open = new Heap()
    this.open.push({ levels: [], bound: this.boundOf([]) })
  }

  /** No choice that is still to come costs less; ∞ where there are no more. */
  get bound(): number {
    return this.open.least?.bound ?? Infinity
  }

  /** The next choice; null: there is none, or it has given up and `bound` is all that can be said. */
  next(): { chosen: number[]; bound: number } | null {
    const { levels, limits } = this.problem
    for (;;) {
      const first = this.open.least
      if (!first || this.most <= 0) return null
      this.open.pop()
      const g = first.levels.length
      if (g === limits.groups.count) return { chosen: first.levels, bound: first.bound }
      const before = first.levels.findLastIndex((_, other) => this.alike[other] === this.alike[g])
      for (let level = before < 0 ? 0 : first.levels[before]; level < levels.length; level++) {
        const longer = [...first.levels, level]
        this.most--
        this.open.push({ levels: longer, bound: this.boundOf(longer) })
      }
    }
  }

  private boundOf(chosen: readonly number[]): number {
    const { cost, limits } = this.problem
    const { count } = limits.groups
    let bound = 0
    for (let child = 0; child < this.masks.length; child++) {
      let least = Infinity
      for (let g = 0; g < count; g++) {
        if (!(this.masks[child] & (1 << g))) continue
        const there = g < chosen.length ? cost[child][chosen[g]] : this.own[child]
        least = Math.min(least, there + this.moves[child * count + g])
      }
      bound += least
    }
    return bound
  }
}

/** Beginnings by their bounds, those with more groups first where two are equal: a binary heap. */
class Heap {
  private readonly all: Prefix[] = []

  get least(): Prefix | undefined {
    return this.all[0]
  }

  push(one: Prefix) {
    const { all } = this
    all.push(one)
    for (let at = all.length - 1; at > 0;) {
      const parent = (at - 1) >> 1
      if (!before(all[at], all[parent])) break
      ;[all[at], all[parent]] = [all[parent], all[at]]
      at = parent
    }
  }

  pop() {
    const { all } = this
    const last = all.pop()
    if (all.length === 0 || last === undefined) return
    all[0] = last
    for (let at = 0; ;) {
      let least = at
      for (const child of [2 * at + 1, 2 * at + 2])
        if (child < all.length && before(all[child], all[least])) least = child
      if (least === at) return
      ;[all[at], all[least]] = [all[least], all[at]]
      at = least
    }
  }
}

const before = (a: Prefix, b: Prefix) =>
  a.bound < b.bound || (a.bound === b.bound && a.levels.length > b.levels.length)
