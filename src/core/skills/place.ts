import { add } from './add'
import { howMany } from './how-many'
import type { PracticeItem } from './item'
import { numerals } from './numerals'
import type { Strand, StrandId } from './strand'

/**
 * The step an item practises: the one place where facts meet the ladders.
 * An item beyond the top of its ladder counts as the top step.
 */
export function placeOf(item: PracticeItem): { strand: StrandId; step: number } {
  switch (item.op) {
    case 'add':
      return at(add, addStep(item.a, item.b))
    case 'subtract':
      return at(add, subtractStep(item.a, item.b))
    case 'missing':
      return at(add, missingStep(item.whole))
    case 'count':
      return at(
        howMany,
        item.answer <= 5
          ? 'count-out-5'
          : item.answer <= 10
            ? 'count-out-10'
            : item.answer <= 20
              ? 'count-out-20'
              : 'tens-and-ones-100',
      )
    case 'numeral': {
      const step = numerals.steps.findIndex(({ range }) => item.answer <= range.to)
      return { strand: 'numerals', step: step < 0 ? numerals.steps.length - 1 : step }
    }
  }
}

function at(strand: Strand, stepId: string) {
  return { strand: strand.id, step: strand.steps.findIndex(({ id }) => id === stepId) }
}

/** From nothing a child counts all; from a number held in the head a child counts on. */
function addStep(a: number, b: number): string {
  const sum = a + b
  if (sum <= 5) return 'count-all-5'
  if (sum <= 10) return a === 0 || b === 0 ? 'count-all-10' : 'count-on-10'
  if (sum <= 20) return 'count-on-20'
  return (a % 10) + (b % 10) > 9 ? 'crossing-100' : 'tens-ones-100'
}

function subtractStep(a: number, b: number): string {
  if (a <= 5) return 'take-away-5'
  if (a <= 10) return 'take-away-10'
  if (a <= 20) return 'subtract-20'
  return a % 10 < b % 10 ? 'crossing-100' : 'tens-ones-100'
}

function missingStep(whole: number): string {
  if (whole === 10) return 'complements-10'
  if (whole <= 5) return 'parts-of-5'
  if (whole < 10) return 'missing-part-10'
  return whole <= 20 ? 'subtract-20' : 'complement-100'
}
