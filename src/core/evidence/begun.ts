import { stepIndex, strandOf, type StepPlace, type StrandId } from '../skills'
import { statementsFor, type Statement } from '../skills/curricula'
import { markedStep, type ProfileStep } from '../skills/marked-step'
import { believed, difficultiesOf, placedBelief, type Running } from './history'
import { placementByYear, spread, usualStep, yearGroups, type YearGroup } from './prior'

/**
 * The year group in which a strand is usually begun; before it, nothing speaks for offering it. Tables of 2, 5 and 10 in
 * Year 2, of 3, 4 and 8 in Year 3, steps of 2, 5 and 10, tens and ones, coins and the hour in Year 1; bonds to 5 at the end of
 * Reception: national curriculum for
 * England, mathematics programmes of study (2013), from memory. The others: common practice, no source.
 */
const usuallyBegun: Record<StrandId, YearGroup> = {
  count: 'Reception',
  'count-back': 'Reception',
  numerals: 'Reception',
  'how-many': 'Reception',
  order: 'Reception',
  add: 'Reception',
  pattern: 'Reception',
  groups: 'Reception',
  place: 'Year 1',
  'skip-tens': 'Year 1',
  'skip-fives': 'Year 1',
  'skip-twos': 'Year 1',
  time: 'Year 1',
  coins: 'Year 1',
  recall: 'Reception',
  facts: 'Year 2',
  'skip-more': 'Year 3',
}

/** How far below the first step of a strand a child stands who has not begun it: hardly one answer in four is right. Common practice, no source. */
const belowFirst = 2

/**
 * What is believed of a child on a strand where it was neither placed nor seen: that it works on its year group's usual
 * step; that it can do little of it where its year group has not begun the strand.
 */
export function believedByYear(strand: StrandId, yearGroup: YearGroup, day: string): Running {
  if (!isToCome(strand, { followed: [], yearGroup }))
    return placedBelief({ strand, day, ...placementByYear(strand, yearGroup) })
  const [first] = difficultiesOf(strand)
  return believed(strand, { mean: first - belowFirst, sd: spread.unknown }, day)
}

/**
 * The first year group that usually works at a step or beyond it, and never later than the one whose curriculum asks for it.
 * Of a step beyond all of them, the last.
 */
export function usualYearOf(place: StepPlace): YearGroup {
  const { strand } = place
  const at = stepIndex(place)
  const begins = yearGroups.indexOf(usuallyBegun[strand])
  const works = yearGroups.findIndex(
    (year, index) => index >= begins && stepIndex({ strand, step: usualStep[strand][year] }) >= at,
  )
  // What a curriculum asks of a harder step it takes for granted of an easier one.
  const asked = strandOf(strand)
    .steps.slice(at)
    .map(({ id }) => yearGroups.indexOf(curriculumYearOf({ strand, step: id }) ?? yearGroups.at(-1)!))
  return yearGroups[Math.min(works < 0 ? yearGroups.length - 1 : works, ...asked)]
}

/** The year group a statement is for: the end of Reception for the early learning goals; a grade's children are a year older. */
function yearOfStatement({ document, code }: Statement): YearGroup {
  if (document === 'elg') return 'Reception'
  const [first] = code
  const year = document === 'england' ? Number(code[1]) : first === 'K' ? 1 : Number(first) + 1
  return yearGroups[Math.min(year, yearGroups.length - 1)]
}

/** The first year group whose curriculum, by the project's own map, asks for a step; null: none does. */
export function curriculumYearOf(place: StepPlace): YearGroup | null {
  const years = statementsFor(place).map((statement) => yearGroups.indexOf(yearOfStatement(statement)))
  return years.length === 0 ? null : yearGroups[Math.min(...years)]
}

/** A child as what may be offered to it sees it. */
export interface Beginner {
  /** Strands on which it was placed, checked or seen. */
  followed: readonly StrandId[]
  yearGroup: YearGroup
}

/** A level: what it practises, and what it is marked by. */
interface Offered {
  steps: readonly ProfileStep[]
  marked: readonly ProfileStep[]
}

/** Up to this share of its items may be beyond a child, all of them together. */
const beyondAtMost = 0.2

/**
 * Whether a level may be offered to a child: nearly all that is met there belongs to a strand the child has begun, or
 * to its year group or a lower one. A Reception child is not offered times tables because nothing says otherwise, nor
 * a level where much that is too hard comes in small shares; nor one that is played for a step beyond it, however rarely that
 * comes up: who counts to a hundred to call the sevens practises the sevens.
 */
export function mayOffer({ steps, marked }: Offered, child: Beginner): boolean {
  const beyond = steps.filter((place) => isBeyond(place, child)).reduce((sum, { share }) => sum + share, 0)
  return beyond < beyondAtMost && !isForLater(marked, child)
}

/** True if a level is played for a step that is beyond a child. @param marked what the level is played for */
export const isForLater = (marked: readonly ProfileStep[], child: Beginner): boolean =>
  // Finding the step it is marked at takes longer than seeing that there is nothing to find.
  marked.some((place) => isBeyond(place, child)) && isBeyond(markedStep(marked), child)

/** True of a step on a strand the child has not begun, if it belongs to a higher year group. */
const isBeyond = ({ strand, step }: StepPlace, { followed, yearGroup }: Beginner): boolean =>
  !followed.includes(strand) &&
  yearGroups.indexOf(usualYearOf({ strand, step })) > yearGroups.indexOf(yearGroup)

/** A level may be offered to a group if it may be to at least half of it. */
export const mayOfferToMost = (level: Offered, children: readonly Beginner[]): boolean =>
  children.filter((child) => mayOffer(level, child)).length * 2 >= children.length

/** True if the strand of a child is still to be begun: nothing was seen of it, and its year group does not begin it yet. */
export const isToCome = (strand: StrandId, { followed, yearGroup }: Beginner): boolean =>
  !followed.includes(strand) && yearGroups.indexOf(usuallyBegun[strand]) > yearGroups.indexOf(yearGroup)
