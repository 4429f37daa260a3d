import type { Band } from '@/core/grouping/problem/fit-cost'
import { ownBand } from '@/core/evidence/fit'
import { isKnown } from '@/core/evidence/own-step'
import type { YearGroup } from '@/core/evidence/prior'
import type { Learner } from '@/core/planning/session/context'
import { strandIds, type StrandId } from '@/core/skills'
import { estimatesOf, pupilsOf, type EstimateRow } from '@/data/queries/pupils'
import type { ClassScope } from '@/data/scope'
import { displayName } from './classes'
import { estimateByYear } from './estimates'

/** A child with what is believed of it on every strand; on those it was neither placed nor seen on, by its year group. */
export interface Child extends Learner {
  id: string
  name: string
  /** What the name is made of, and the year group. */
  listed: { name: string; initial: string; yearGroup: YearGroup }
  /** Is grouped only where an adult is near. */
  adultNear: boolean
  estimates: Record<StrandId, EstimateRow>
  /** Strands on which too little was seen to say how a level fits. */
  notKnown: StrandId[]
}

export const fittingBand: Band = ownBand

/** The children of a class by name, with their estimates. */
export async function childrenOf(scope: ClassScope): Promise<Child[]> {
  const [pupils, estimates] = await Promise.all([pupilsOf(scope), estimatesOf(scope)])
  const byPupil = new Map<string, EstimateRow[]>()
  for (const row of estimates) byPupil.set(row.pupilId, [...(byPupil.get(row.pupilId) ?? []), row])
  return pupils.map(({ id, name, initial, yearGroup, adultNear }) => {
    const own = new Map((byPupil.get(id) ?? []).map((row) => [row.strand, row]))
    const all = strandIds.map((strand) => own.get(strand) ?? estimateByYear(strand, yearGroup))
    return {
      id,
      name: displayName({ name, initial }),
      listed: { name, initial, yearGroup },
      yearGroup,
      adultNear,
      estimates: Object.fromEntries(all.map((row) => [row.strand, row])) as Child['estimates'],
      rightAlone: Object.fromEntries(
        all.map((row) => [row.strand, row.rightAlone]),
      ) as unknown as Child['rightAlone'],
      notKnown: all.flatMap((row) => (isKnown(row) ? [] : [row.strand])),
      followed: strandIds.filter((strand) => own.has(strand)),
    }
  })
}
