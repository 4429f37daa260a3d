/**
 * Sizes of the groups of one round: as few groups as hold `size` children at most, differing by one at
 * most. Where one child would be left alone there is a larger group instead.
 */
export function groupSizes(children: number, size: number): number[] {
  const enough = Math.ceil(children / size)
  const groups = enough > 1 && Math.floor(children / enough) < 2 ? enough - 1 : enough
  const small = Math.floor(children / groups)
  return Array.from({ length: groups }, (_, g) => small + Number(g < children - small * groups))
}

const pairsOf = (size: number) => (size * (size - 1)) / 2

/** Pairs that meet again at least, when a group of so many is drawn from so many groups of a round before. */
function pairsFromSame(size: number, groups: number): number {
  const each = Math.floor(size / groups)
  const more = size % groups
  return (groups - more) * pairsOf(each) + more * pairsOf(each + 1)
}

/**
 * A bound under which repeats can't be, by counting: the meetings beyond one for each pair, and those of each later
 * round who must have been together in the first one, where a group has more children than there are groups.
 */
export function fewestRepeats(children: number, sizes: readonly number[], rounds: number): number {
  const meetings = sizes.reduce((sum, size) => sum + pairsOf(size), 0) * rounds
  const again = sizes.reduce((sum, size) => sum + pairsFromSame(size, sizes.length), 0) * (rounds - 1)
  return Math.max(0, meetings - pairsOf(children), again)
}
