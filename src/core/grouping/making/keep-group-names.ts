/**
 * Numbers new groups after old ones so that as many children as possible keep their group's name.
 *
 * @param overlap [new][old] children in common; as many old numbers as new groups
 * @returns the old number for each new group; all different. Exact, by dynamic programming over subsets.
 */
export function matchGroups(overlap: readonly (readonly number[])[]): number[] {
  const n = overlap.length
  const best = new Float64Array(1 << n).fill(-1)
  const choice = new Int8Array(1 << n)
  best[0] = 0
  for (let used = 0; used < 1 << n; used++) {
    if (best[used] < 0) continue
    let group = 0
    for (let bits = used; bits > 0; bits &= bits - 1) group++
    if (group === n) continue
    for (let old = 0; old < n; old++) {
      const next = used | (1 << old)
      if (next === used || best[used] + overlap[group][old] <= best[next]) continue
      best[next] = best[used] + overlap[group][old]
      choice[next] = old
    }
  }
  const names = new Array<number>(n)
  for (let used = (1 << n) - 1, group = n - 1; group >= 0; group--) {
    names[group] = choice[used]
    used &= ~(1 << choice[used])
  }
  return names
}
