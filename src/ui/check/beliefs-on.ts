import type { Belief } from '@/core/evidence/estimate'
import type { StrandId } from '@/core/skills'
import type { CheckPage } from '@/server/check'

/** What is believed of a child before the first answer, on the strands that were chosen. */
export const beliefsOn = (
  strands: CheckPage['strands'],
  chosen: readonly StrandId[],
): ReadonlyMap<StrandId, Belief> =>
  new Map(
    strands
      .filter(({ strand }) => chosen.includes(strand))
      .map(({ strand, from, mass }): [StrandId, Belief] => [
        strand,
        { ability: { from, mass: Float64Array.from(mass) }, day: 0 },
      ]),
  )
