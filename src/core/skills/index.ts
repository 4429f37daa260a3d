import { add } from './ladders/add'
import { coins } from './ladders/coins'
import { count, countBack } from './ladders/count'
import { facts } from './ladders/facts'
import { groups } from './ladders/groups'
import { howMany } from './ladders/how-many'
import { numerals } from './ladders/numerals'
import { order } from './ladders/order'
import { pattern } from './ladders/pattern'
import { placeValue } from './ladders/place-value'
import { recall } from './ladders/recall'
import { skipFives, skipMore, skipTens, skipTwos } from './ladders/skip'
import type { Step, Strand, StrandId } from './ladders/strand'
import { time } from './ladders/time'

/** Every strand, counting first. */
export const strands: readonly Strand[] = [
  count,
  countBack,
  numerals,
  howMany,
  order,
  add,
  recall,
  placeValue,
  skipTens,
  skipFives,
  skipTwos,
  skipMore,
  groups,
  facts,
  coins,
  time,
  pattern,
]

/** The strands a class is placed on when it is made; the others begin with the year group's usual step. */
export const placedStrands = ['add', 'how-many', 'numerals'] as const satisfies readonly StrandId[]

/** Strands that are looked at side by side; every strand is in one of the sets. */
export const strandSets = [
  { id: 'numbers', title: 'Adding, how many, numerals', strands: placedStrands },
  { id: 'counting', title: 'Counting and order', strands: ['count', 'count-back', 'order'] },
  { id: 'steps', title: 'Counting in steps', strands: ['skip-tens', 'skip-fives', 'skip-twos'] },
  { id: 'tens', title: 'Tens and multiplying', strands: ['place', 'groups', 'facts'] },
  { id: 'fluent', title: 'By heart, larger steps', strands: ['recall', 'skip-more'] },
  { id: 'beside', title: 'Coins, time, pattern', strands: ['coins', 'time', 'pattern'] },
] as const satisfies readonly { id: string; title: string; strands: readonly StrandId[] }[]

export type StrandSetId = (typeof strandSets)[number]['id']

export function strandOf(id: StrandId): Strand {
  return strands.find((strand) => strand.id === id)!
}

/** A step by its strand and its id: ids stay when a ladder gets new rungs. */
export interface StepPlace {
  strand: StrandId
  step: string
}

/** @throws if the strand has no such step */
export function stepOf(place: StepPlace): Step {
  return strandOf(place.strand).steps[stepIndex(place)]
}

/** Where a step stands on its ladder as it is now, from 0: for arithmetic along the ladder, never to be kept. */
export function stepIndex({ strand, step }: StepPlace): number {
  const index = positions.get(strand)?.get(step)
  if (index === undefined) throw new Error(`The strand ${strand} has no step ${step}.`)
  return index
}

export const hasStep = ({ strand, step }: StepPlace): boolean => positions.get(strand)?.has(step) ?? false

const positions = new Map(
  strands.map(({ id, steps }) => [id, new Map(steps.map((step, index) => [step.id, index]))]),
)

/** The hardest step of a strand. */
export const topStep = (strand: StrandId): string => strandOf(strand).steps.at(-1)!.id

export { strandIds, type Step, type Strand, type StrandId } from './ladders/strand'
export {
  isTrue,
  itemAsked,
  itemKey,
  largestNumber,
  practiceItemSchema,
  sentenceOf,
  timeInWords,
  type PracticeItem,
} from './item'
export { choicesFor, slips, slipReasons, type SlipReason } from './slips'
export { placeOf } from './item-place'
