import type { TeachingMove } from './move'

/** Equal groups and shares, coins. Common practice, no source. */
export const groupMoves = {
  'one-group-less': {
    title: 'Count the groups',
    need: 'plates and counters',
    do: [
      'Lay the plates first and count them.',
      'Fill each alike.',
      'Count in steps, touching a plate for each.',
    ],
    say: 'How many plates? How many have you counted?',
    worked: 'The child touches every plate once and stops.',
  },
  'one-group-more': {
    title: 'Stop at the last plate',
    need: 'plates and counters',
    do: [
      'Lay the plates in a row with a stop card after the last.',
      'Count in steps to the stop card.',
      'Take the card away.',
    ],
    say: 'Which plate is the last? What do we say there?',
    worked: 'The count ends on the last plate without the card.',
  },
  'groups-not-sum': {
    title: 'How many groups, how many in each',
    need: 'counters, rings of string',
    do: [
      'Lay three rings; point at each: “one group, two groups, three groups”.',
      'Put four counters in every ring; point inside: “four in each”.',
      'Count in fours, a ring at a time. Then lay 4 rings of 3: the same number?',
    ],
    say: 'Which number tells the groups? Which tells how many are in each?',
    worked: 'Says what each number counts before working it out.',
  },
  'unequal-shares': {
    title: 'One for you, one for you',
    need: 'counters, plates',
    do: [
      'Give one counter to every plate, then one more to every plate.',
      'Stop after each round: has every plate the same?',
      'Go on until none are left; line the shares up side by side.',
    ],
    say: 'Is it fair? How can you see it?',
    worked: 'Deals in rounds and checks the shares against each other.',
  },
  'halved-once': {
    title: 'Half, and half again',
    need: 'a strip of paper, counters',
    do: [
      'Fold the strip once: two parts, each a half.',
      'Fold it again and open it: four parts, each a quarter.',
      'Lay counters on the four parts, the same on each; count one part.',
    ],
    say: 'How many equal parts now? What is one of them called?',
    worked: 'Makes four shares for a quarter, two for a half, without a reminder.',
  },
  'not-paired': {
    title: 'Find everyone a partner',
    need: 'counters, paper with two columns',
    do: [
      'Lay the counters two by two, one in each column.',
      'Is one left without a partner? Then it is odd.',
      'One more counter: what is it now? Three numbers in a row.',
    ],
    say: 'Has everyone a partner? So what do we call that number?',
    worked: 'Pairs the counters, then says it, and knows that the next one changes it.',
  },
  'counted-coins': {
    title: 'What is it worth?',
    need: 'a coin of 5, five ones, a coin of 2',
    do: [
      'Lay the five ones in a row and the 5 below them: worth the same.',
      'Tap the 5 five times: “one, two, three, four, five”.',
      'Now two fives: tap each five times, then once each: “five, ten”.',
    ],
    say: 'How many coins? How much are they worth?',
    worked: 'Says two numbers: how many coins, and what they are worth.',
  },
  'left-one-coin': {
    title: 'Slide it across',
    need: 'four mixed coins, a line on paper',
    do: [
      'Put the coins in order, the largest first.',
      'Slide one across the line, say the total, then the next.',
      'Stop when none is left on this side.',
    ],
    say: 'Which coins have you counted? Are any left?',
    worked: 'Moves each coin as it is counted and ends with none left.',
  },
  'all-in-ones': {
    title: 'Swap for a larger coin',
    need: 'ten ones, coins of 2 and 5',
    do: [
      'Pay 8 with ones.',
      'Take five of them and swap them for a 5; still 8?',
      'Swap two more for a 2. Count the coins.',
    ],
    say: 'Which is the largest coin that fits? What is still to pay?',
    worked: 'Begins with the largest coin that fits into the price.',
  },
  'said-the-price': {
    title: 'From the price to what was paid',
    need: 'a number line to 20, a marker, coins',
    do: [
      'Put the marker on the price.',
      'Hop to what was paid; count the hops.',
      'Lay as many ones as there were hops: that comes back.',
    ],
    say: 'What did it cost? What did you give? How far apart are they?',
    worked: 'Says the hops, not the price, and checks that both make what was paid.',
  },
} as const satisfies Record<string, TeachingMove>
