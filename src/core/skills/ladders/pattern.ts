import { ladder, rung } from './strand'

/** Repeating patterns. Order: common practice, no source. */
export const pattern = ladder('pattern', 'Pattern', [
  rung('pattern-ab', 'AB pattern', 2, 'Copies and goes on with a pattern like red, blue.', [
    'Goes on six pieces and says what comes next.',
    'Goes on after a start.',
    'Adds colours at random.',
  ]),
  rung('pattern-aab', 'two and one', 3, 'Copies and goes on with patterns like red, red, blue.', [
    'Keeps two and one through ten pieces.',
    'Slips into AB, notices and corrects it.',
    'Loses the pattern at once.',
  ]),
  rung('pattern-abc', 'three by turns', 3, 'Copies and goes on with patterns of three.', [
    'Goes on red, blue, green and says the part that repeats.',
    'Finds the part that repeats with help.',
    'Leaves one out.',
  ]),
])
