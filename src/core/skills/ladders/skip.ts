import { ladder, rung } from './strand'

/** Counting in tens. Ladders for tens, fives and twos stand beside each other; the house style orders them. */
export const skipTens = ladder('skip-tens', 'Count in tens', [
  rung('tens-50', 'tens to 50', 50, 'Counts in tens to 50.', [
    'Says ten, twenty, thirty, forty, fifty.',
    'Joins in after “ten, twenty”.',
    'Says “ten, eleven”.',
  ]),
  rung('tens-100', 'tens to 100', 100, 'Counts in tens to 100, forwards and back.', [
    'Goes on from 60.',
    'Needs the first word.',
    'Slips at fifty or ninety.',
  ]),
])

/** Counting in fives. */
export const skipFives = ladder('skip-fives', 'Count in fives', [
  rung('fives-50', 'fives to 50', 50, 'Counts in fives to 50.', [
    'Says five, ten, fifteen, twenty.',
    'Uses hands to keep track.',
    'Counts by ones in between.',
  ]),
  rung('fives-100', 'fives to 100', 100, 'Counts in fives to 100.', [
    'Goes on from 55.',
    'Slips once and mends it.',
    'Changes to tens.',
  ]),
])

/** Counting in twos: harder than tens and fives (common practice, no source). */
export const skipTwos = ladder('skip-twos', 'Count in twos', [
  rung('twos-20', 'twos to 20', 20, 'Counts in twos to 20.', [
    'Says two, four, six, eight.',
    'Whispers the number in between.',
    'Says the odd numbers too.',
  ]),
  rung('twos-100', 'twos to 100', 100, 'Counts in twos to 100.', [
    'Goes on from 48 over 50.',
    'Slips at a decade and mends it.',
    'Goes over to odd numbers.',
  ]),
])

/** Counting in other numbers. */
export const skipMore = ladder('skip-more', 'Count in threes to nines', [
  rung('threes-fours', 'threes, fours, eights', 96, 'Counts in threes, in fours and in eights.', [
    'Says three, six, nine, twelve.',
    'Counts up in between.',
    'Mixes the two.',
  ]),
  rung(
    'sevens',
    'sixes, sevens, nines',
    108,
    'Counts in sixes, sevens and nines and knows their multiples.',
    ['Says seven, fourteen, twenty-one.', 'Adds seven each time on paper.', 'Guesses.'],
  ),
])
