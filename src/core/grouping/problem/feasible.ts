import { alikeGroups, type Units } from './units'

/** Places tried before a search for groups within the limits gives up. */
const mostTries = 300_000

/**
 * Groups within the limits, by trying: the unit with the fewest groups open to it first, so that a dead
 * end shows early (fail-first; Haralick & Elliott 1980, Artificial Intelligence 14:263).
 * @returns the group of every unit; null if there are none; `unknown` if it took too long to say
 */
export function feasibleGroups(
  { members, apart, open: mayStand }: Pick<Units, 'members' | 'apart' | 'open'>,
  { count, min, max }: { count: number; min: number; max: number },
): Int32Array | null | 'unknown' {
  const group = new Int32Array(members.length).fill(-1)
  const size = new Int32Array(count)
  let open = members.reduce((sum, set) => sum + set.length, 0)
  let tries = 0

  const mayJoin = (unit: number, g: number) => {
    if (!(mayStand[unit] & (1 << g))) return false
    if (size[g] + members[unit].length > max) return false
    for (const other of apart[unit]) if (group[other] === g) return false
    return true
  }
  /** Groups a unit may join; of empty ones that nothing tells apart only the first. */
  const choices = (unit: number) => {
    const found: number[] = []
    const empty = new Set<number>()
    for (let g = 0; g < count; g++) {
      if (!mayJoin(unit, g)) continue
      if (size[g] === 0) {
        if (empty.has(alike[g])) continue
        empty.add(alike[g])
      }
      found.push(g)
    }
    return found
  }
  const alike = alikeGroups(mayStand, count)

  function place(): boolean | 'unknown' {
    const short = size.reduce((sum, children) => sum + Math.max(0, min - children), 0)
    const room = size.reduce((sum, children) => sum + max - children, 0)
    if (short > open || room < open) return false
    if (open === 0) return true
    let next = -1
    let few: number[] = []
    for (let unit = 0; unit < members.length; unit++) {
      if (group[unit] >= 0) continue
      const own = choices(unit)
      if (own.length === 0) return false
      const tighter =
        next < 0 ||
        own.length < few.length ||
        (own.length === few.length && members[unit].length > members[next].length)
      if (tighter) {
        next = unit
        few = own
      }
    }
    // The smallest group first: it is the one that may stay too small.
    for (const g of few.sort((a, b) => size[a] - size[b])) {
      if (++tries > mostTries) return 'unknown'
      group[next] = g
      size[g] += members[next].length
      open -= members[next].length
      const done = place()
      if (done) return done
      group[next] = -1
      size[g] -= members[next].length
      open += members[next].length
    }
    return false
  }
  const found = place()
  return found === 'unknown' ? found : found ? group : null
}
