import { ladder, rung } from './strand'

/** Tens and ones. Order: common practice, no source. */
export const placeValue = ladder('place', 'Tens and ones', [
  rung('ten-and-some', 'ten and some', 20, 'Says that a teen is ten and some ones.', [
    'Says 14 is ten and four.',
    'Sees it on two ten frames.',
    'Reads 14 as one and four.',
  ]),
  rung('trade-ten', 'trade ten ones', 60, 'Trades ten ones for a ten when it can.', [
    'Stops at ten ones and trades unasked.',
    'Trades when asked “how many ones?”.',
    'Keeps twelve ones beside the tens.',
  ]),
  rung('tens-ones', 'tens and ones', 100, 'Says how many tens and ones a number to 100 has.', [
    'Says 47 is four tens and seven ones.',
    'Builds it first.',
    'Swaps tens and ones.',
  ]),
  rung('ten-more-grid', 'ten more anywhere', 120, 'Adds and takes away tens anywhere on the grid.', [
    'From 34 goes to 64 in one step: “three tens”.',
    'Counts the steps down the grid.',
    'Counts on by ones.',
  ]),
  rung('hundreds', 'hundreds', 1000, 'Says how many hundreds, tens and ones a number has.', [
    'Says 306 is three hundreds and six ones.',
    'Needs the zero explained.',
    'Reads 306 as thirty-six.',
  ]),
])
