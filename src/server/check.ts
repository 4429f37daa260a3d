import { z } from 'zod'
import { difficultiesOf, placedBelief } from '@/core/evidence/history'
import { startCheck, whyStop } from '@/core/evidence/quick-check'
import { waitUntil, type Belief } from '@/core/evidence/estimate'
import { placementByYear } from '@/core/evidence/prior'
import { schoolDaysBetween } from '@/core/planning/calendar'
import { strandIds, type StrandId } from '@/core/skills'
import { inSkipOrder } from '@/core/skills/skip-order'
import { houseStyleOf } from '@/data/queries/house-style'
import { childrenOf } from './children'
import { classIdSchema } from './classes'
import { now, todayIn } from './clock'
import { beliefOf } from './estimates'
import { NotHere, readingClass } from './use-case'

export interface CheckPage {
  child: { id: string; name: string }
  /** Every strand, with what is believed of the child there today: mass by cell of the strand's grid. */
  strands: {
    strand: StrandId
    from: number
    mass: number[]
    /** It was placed or seen there. */
    followed: boolean
    /** Not known well enough yet: there is something to ask. */
    open: boolean
  }[]
  /** Strands that are asked about unless others are chosen: those of which least is known. */
  usual: StrandId[]
  /** What the numbers of its tasks are drawn with: other ones each time. */
  seed: number
  /** Children who come after this one. */
  then: { id: string; name: string }[]
}

/** Strands of a check of five minutes. */
const usualStrands = 2

/** A child to be asked, and what is believed of it before the first answer. */
export const checkPage = readingClass(
  'checkPage',
  classIdSchema.extend({ pupilId: z.uuid(), then: z.array(z.uuid()).max(60).default([]) }),
  async (scope, { pupilId, then }): Promise<CheckPage> => {
    const today = todayIn(scope.classroom.timeZone)
    const [children, style] = await Promise.all([childrenOf(scope), houseStyleOf(scope)])
    const child = children.find(({ id }) => id === pupilId)
    if (!child) throw new NotHere()
    const strands = await Promise.all(
      inSkipOrder(strandIds, style.skipOrder).map(async (strand) => {
        const known = await beliefOf(scope, pupilId, strand)
        const day = known ? child.estimates[strand].day : today
        const believed: Belief =
          known?.belief ??
          placedBelief({ strand, day, ...placementByYear(strand, child.listed.yearGroup) }).belief
        // Time has passed since: what was seen long ago is less sure today.
        const { ability } = waitUntil({ ...believed, day: 0 }, Math.max(0, schoolDaysBetween(day, today)))
        return {
          strand,
          open: whyStop(startCheck({ ability, day: 0 }), difficultiesOf(strand)) === null,
          from: ability.from,
          mass: [...ability.mass],
          followed: child.followed.includes(strand),
        }
      }),
    )
    const open = new Set(strands.flatMap((one) => (one.open ? [one.strand] : [])))
    const least = child.followed
      .filter((strand) => open.has(strand))
      .sort((a, b) => child.estimates[b].sd - child.estimates[a].sd)
    const byId = new Map(children.map(({ id, name }) => [id, { id, name }]))
    return {
      child: { id: child.id, name: child.name },
      seed: Math.floor(now().getTime() / 1000) % 1_000_000,
      strands,
      usual:
        least.length > 0 || child.followed.length > 0 ? least.slice(0, usualStrands) : ['count', 'how-many'],
      then: then.flatMap((id) => (id === pupilId ? [] : (byId.get(id) ?? []))),
    }
  },
)
