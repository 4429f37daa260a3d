import { ladder, rung } from './strand'

/**
 * Sharing, odd and even, equal groups, halves and quarters of a set: what multiplying and dividing stand on. Order: common
 * practice, no source.
 */
export const groups = ladder('groups', 'Groups and sharing', [
  rung('share-12', 'share fairly', 12, 'Shares up to 12 fairly and says how many each gets.', [
    'Shares 12 among 3 one by one, says “four each”.',
    'Shares by ones once somebody begins; then counts.',
    'Hands out handfuls; the shares are not equal.',
  ]),
  rung('odd-even-10', 'odd and even', 10, 'Says whether a number to 10 is odd or even, and why.', [
    'Puts 7 in pairs: “one has no partner, it is odd”.',
    'Pairs them up with help, then says it.',
    'Guesses.',
  ]),
  rung('equal-groups-20', 'equal groups', 20, 'Says how many are in equal groups, to 20.', [
    '4 groups of 5: “five, ten, fifteen, twenty”.',
    'Counts in steps once somebody begins.',
    'Adds the two numbers, or loses count of the groups.',
  ]),
  rung('half-20', 'half of a set', 20, 'Finds half of an even number of things, to 20.', [
    'Half of 12: makes two equal shares, or knows 6 and 6.',
    'Shares between two, asks whether that is half.',
    'Takes some away and calls it half.',
  ]),
  rung(
    'rows-25',
    'rows of equal length',
    25,
    'Says how many are in equal rows, by rows or by columns, to 25.',
    [
      '3 rows of 5: counts in fives, and sees 5 columns of 3.',
      'Counts in steps along one row with help.',
      'Counts each one.',
    ],
  ),
  rung('quarter-20', 'quarter of a set', 20, 'Finds a quarter of a number of things, to 20.', [
    'Quarter of 12: shares among four, or halves twice.',
    'Halves once, halves again when asked to.',
    'Stops at half, or makes four shares that differ.',
  ]),
])
