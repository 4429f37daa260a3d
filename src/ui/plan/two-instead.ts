import type { OtherGame } from '@/core/planning/session/other-games'
import type { StrandId } from '@/core/skills'

/**
 * Two games that could take the place of a station's: of its strand if there are, else the best of all; none that has a
 * station already.
 */
export function twoInstead(
  others: readonly OtherGame[],
  planned: readonly string[],
  strand: StrandId | undefined,
): OtherGame[] {
  const free = others.filter(({ gameId }) => !planned.includes(gameId))
  return [
    ...free.filter((one) => one.strand === strand),
    ...free.filter((one) => one.strand !== strand),
  ].slice(0, 2)
}
