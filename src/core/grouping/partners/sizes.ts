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

/** Fewest repeats there can be: meetings that the rounds bring, beyond one for each pair (a counting bound). */
export function fewestRepeats(children: number, sizes: readonly number[], rounds: number): number {
  const meetings = sizes.reduce((sum, size) => sum + (size * (size - 1)) / 2, 0) * rounds
  return Math.max(0, meetings - (children * (children - 1)) / 2)
}
