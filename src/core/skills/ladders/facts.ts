import { ladder, rung } from './strand'

/** Multiplication facts. Order: common practice, no source. */
export const facts = ladder('facts', 'Multiply and divide', [
  rung('x2-10-5', 'times 2, 10, 5', 100, 'Knows the facts of 2, 10 and 5.', [
    'Says 7 × 5 is 35.',
    'Skip counts to it.',
    'Adds the two numbers.',
  ]),
  rung('x3-4', 'times 3, 4', 48, 'Knows the facts of 3 and 4.', [
    'Says 6 × 4 is 24.',
    'Doubles twice with help.',
    'Counts by ones.',
  ]),
  rung('x6-9', 'times 6 to 9', 100, 'Knows the facts of 6 to 9.', [
    'Says 7 × 8 is 56.',
    'Starts from a fact close by.',
    'Guesses.',
  ]),
  rung('missing-factor', 'missing factor', 100, 'Finds the missing factor.', [
    '8 times what is 56? Says seven.',
    'Skip counts to the product.',
    'Subtracts.',
  ]),
])
