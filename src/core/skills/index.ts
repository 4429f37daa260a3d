import { add } from './ladders/add'
import { count, countBack } from './ladders/count'
import { facts } from './ladders/facts'
import { howMany } from './ladders/how-many'
import { numerals } from './ladders/numerals'
import { order } from './ladders/order'
import { pattern } from './ladders/pattern'
import { placeValue } from './ladders/place-value'
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
  placeValue,
  skipTens,
  skipFives,
  skipTwos,
  skipMore,
  facts,
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
  { id: 'tens', title: 'Tens and facts', strands: ['place', 'skip-more', 'facts'] },
  { id: 'beside', title: 'Time and pattern', strands: ['time', 'pattern'] },
] as const satisfies readonly { id: string; title: string; strands: readonly StrandId[] }[]

export type StrandSetId = (typeof strandSets)[number]['id']

export function strandOf(id: StrandId): Strand {
  return strands.find((strand) => strand.id === id)!
}

export function stepOf(place: StepPlace): Step {
  return strandOf(place.strand).steps[place.step]
}

/** A step by its strand and its index there, from 0. */
export interface StepPlace {
  strand: StrandId
  step: number
}

export { strandIds, type Step, type Strand, type StrandId } from './ladders/strand'
export { isTrue, itemKey, largestNumber, sentenceOf, type PracticeItem } from './item'
export { placeOf } from './item-place'
