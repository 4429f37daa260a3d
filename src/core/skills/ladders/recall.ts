import { ladder, rung } from './strand'

/**
 * Adding and taking-away facts known by heart, apart from how they are worked out: a child may work out all of them and
 * know few, and the other way round. Order: common practice, no source.
 */
export const recall = ladder('recall', 'Facts by heart', [
  rung('recall-5', 'facts to 5', 5, 'Says adding and taking-away facts to 5 at once.', [
    'Says “five” to 2 + 3 before a finger is up.',
    'Knows some and counts the others.',
    'Counts each of them.',
  ]),
  rung('recall-10', 'facts to 10', 10, 'Says adding and taking-away facts to 10 at once.', [
    'Says “six” to 10 − 4 at once.',
    'Finds it from a fact it knows, after a moment.',
    'Counts on fingers.',
  ]),
  rung('recall-20', 'facts to 20', 20, 'Says adding and taking-away facts to 20 at once.', [
    'Says “fifteen” to 8 + 7 at once.',
    'Says it by way of a double or of ten, after a moment.',
    'Counts on by ones.',
  ]),
])
