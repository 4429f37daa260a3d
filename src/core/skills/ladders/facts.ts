import { ladder, rung } from './strand'

/** Multiplication facts. Order: common practice, no source. */
export const facts = ladder('facts', 'Multiply and divide', [
  rung('x2-10-5', 'times 2, 10, 5', 100, 'Knows the facts of 2, 10 and 5.', [
    'Says 7 × 5 is 35.',
    'Skip counts to it.',
    'Adds the two numbers.',
  ]),
  rung('x3-4', 'times 3, 4, 8', 96, 'Knows the facts of 3, 4 and 8.', [
    'Says 6 × 4 is 24.',
    'Doubles twice with help.',
    'Counts by ones.',
  ]),
  rung('x6-9', 'times 6, 7, 9', 100, 'Knows the facts of 6, 7 and 9.', [
    'Says 7 × 9 is 63.',
    'Starts from a fact close by.',
    'Guesses.',
  ]),
  rung('missing-factor', 'missing factor', 100, 'Finds the missing factor.', [
    '8 times what is 56? Says seven.',
    'Skip counts to the product.',
    'Subtracts.',
  ]),
])
