import { z } from 'zod'
import { daysLater, difficultiesOf, placedBelief } from '@/core/evidence/history'
import { startCheck, whyStop } from '@/core/evidence/quick-check'
import type { Belief } from '@/core/evidence/estimate'
import { placementByYear } from '@/core/evidence/prior'
import { schoolDaysBetween } from '@/core/planning/calendar'
import { strandIds, strandOf, type StrandId } from '@/core/skills'
import type { Coinage } from '@/core/skills/coins'
import { answeredOnBoards } from '@/core/skills/on-boards'
import { workedOn } from '@/core/house-style'
import { houseStyleOf } from '@/data/queries/house-style'
import type { ClassScope } from '@/data/scope'
import { childrenOf, type Child } from './children'
import { classIdSchema } from './classes'
import { now, todayIn } from './clock'
import { beliefOf } from './estimates'
import { NotHere, readingClass } from './use-case'

/** What is believed of a child on a strand today: mass by cell of the strand's grid. */
export interface BelievedStrand {
  strand: StrandId
  from: number
  mass: number[]
  /** It was placed or seen there. */
  followed: boolean
  /** Not known well enough yet: there is something to ask. */
  open: boolean
}

export interface CheckPage {
  child: { id: string; name: string }
  /** Every strand. */
  strands: BelievedStrand[]
  /** Strands that are asked about unless others are chosen: those of which least is known. */
  usual: StrandId[]
  /** What the numbers of its tasks are drawn with: other ones each time. */
  seed: number
  coinage: Coinage
  /** Children who come after this one. */
  then: { id: string; name: string }[]
}

export interface CheckTogetherPage {
  /** With the strands that can be answered on boards: those that the class works on and one of them was placed or seen on, or all where there are none. */
  children: { id: string; name: string; strands: BelievedStrand[] }[]
  usual: StrandId[]
  seed: number
  coinage: Coinage
}

/** Strands of a check of five minutes. */
const usualStrands = 2

/** Strands that are asked about first where nothing was seen yet. */
const firstStrands: StrandId[] = ['count', 'how-many']

const freshSeed = () => Math.floor(now().getTime() / 1000) % 1_000_000

/** What is believed of a child on these strands today. */
function believedOf(
  scope: ClassScope,
  child: Child,
  strands: readonly StrandId[],
): Promise<BelievedStrand[]> {
  const today = todayIn(scope.classroom.timeZone)
  return Promise.all(
    strands.map(async (strand) => {
      const known = await beliefOf(scope, child.id, strand)
      const day = known ? child.estimates[strand].day : today
      const believed: Belief =
        known?.belief ??
        placedBelief({ strand, day, ...placementByYear(strand, child.listed.yearGroup) }).belief
      // Time has passed since: what was seen long ago is less sure today.
      const { ability } = daysLater(believed, strand, Math.max(0, schoolDaysBetween(day, today)))
      return {
        strand,
        open: whyStop(startCheck({ ability, day: 0 }), difficultiesOf(strand)) === null,
        from: ability.from,
        mass: [...ability.mass],
        followed: child.followed.includes(strand),
      }
    }),
  )
}

/** A child to be asked, and what is believed of it before the first answer. */
export const checkPage = readingClass(
  'checkPage',
  classIdSchema.extend({ pupilId: z.uuid(), then: z.array(z.uuid()).max(60).default([]) }),
  async (scope, { pupilId, then }): Promise<CheckPage> => {
    const [children, style] = await Promise.all([childrenOf(scope), houseStyleOf(scope)])
    const child = children.find(({ id }) => id === pupilId)
    if (!child) throw new NotHere()
    const strands = await believedOf(scope, child, workedOn(style))
    const open = new Set(strands.flatMap((one) => (one.open ? [one.strand] : [])))
    const least = child.followed
      .filter((strand) => open.has(strand))
      .sort((a, b) => child.estimates[b].sd - child.estimates[a].sd)
    // Of whom nothing is known yet: where most begin, if the class works on that.
    const known = least.length > 0 || strands.some(({ strand }) => child.followed.includes(strand))
    const first = workedOn(style, firstStrands)
    const byId = new Map(children.map(({ id, name }) => [id, { id, name }]))
    return {
      child: { id: child.id, name: child.name },
      seed: freshSeed(),
      coinage: style.coinage,
      strands,
      usual: known
        ? least.slice(0, usualStrands)
        : first.length > 0
          ? first
          : strands.slice(0, usualStrands).map(({ strand }) => strand),
      then: then.flatMap((id) => (id === pupilId ? [] : (byId.get(id) ?? []))),
    }
  },
)

/** Strands with something that can be written on a board. */
const boardStrands = strandIds.filter((strand) =>
  strandOf(strand).steps.some(({ id }) => answeredOnBoards({ strand, step: id })),
)

/** Several children to be asked at once, who answer on whiteboards. */
export const checkTogetherPage = readingClass(
  'checkTogetherPage',
  classIdSchema.extend({ pupilIds: z.array(z.uuid()).min(2).max(8) }),
  async (scope, { pupilIds }): Promise<CheckTogetherPage> => {
    const [all, style] = await Promise.all([childrenOf(scope), houseStyleOf(scope)])
    const asked = all.filter(({ id }) => pupilIds.includes(id))
    if (asked.length < 2) throw new NotHere()
    const onBoards = workedOn(style, boardStrands)
    const followed = onBoards.filter((strand) => asked.some((child) => child.followed.includes(strand)))
    // A class that works on nothing of the kind asks on boards what it likes.
    const strands = [followed, onBoards, boardStrands].find(({ length }) => length > 0)!
    const children = await Promise.all(
      asked.map(async (child) => ({
        id: child.id,
        name: child.name,
        strands: await believedOf(scope, child, strands),
      })),
    )
    // The one about which most of them are open; of equals the earlier on the list.
    const openTo = (strand: StrandId) =>
      children.filter((child) => child.strands.some((one) => one.strand === strand && one.open)).length
    const [most] = [...strands].sort((a, b) => openTo(b) - openTo(a))
    return { children, usual: [most], seed: freshSeed(), coinage: style.coinage }
  },
)
