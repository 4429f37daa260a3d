import { add } from './add'
import { howMany } from './how-many'
import { numerals } from './numerals'
import type { Step, Strand, StrandId } from './strand'

/** Every strand, in the order in which a class table shows them. */
export const strands: readonly Strand[] = [add, howMany, numerals]

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

export { strandIds, type Step, type Strand, type StrandId } from './strand'
export { isTrue, itemKey, type PracticeItem } from './item'
export { placeOf } from './place'
