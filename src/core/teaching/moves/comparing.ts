import type { TeachingMove } from './move'

/** Order, size, numerals and where they stand. Common practice, no source. */
export const comparingMoves = {
  'chose-the-other': {
    title: 'Match one to one',
    need: 'cubes in two colours',
    do: ['Build both numbers as towers.', 'Stand them side by side.', 'Touch the part that has no partner.'],
    say: 'Which tower goes on? Which has more? Which has fewer?',
    worked: 'The child says more and fewer of the right tower, four times.',
  },
  'size-not-number': {
    title: 'Big things, small things',
    need: 'three large and five small things',
    do: ['Guess which has more.', 'Pair them off.', 'Spread the five out, push them together: pair again.'],
    say: 'Does it matter how big they are?',
    worked: 'The child pairs or counts before it says more.',
  },
  'as-they-came': {
    title: 'Bigger all the way?',
    need: 'five number cards, a line',
    do: ['Read the row from the left.', 'Stop where it gets smaller.', 'Move that card; read again.'],
    say: 'Does it get bigger every time?',
    worked: 'The child reads its own row and moves a card unasked.',
  },
  'even-spaces': {
    title: 'Find the middle first',
    need: 'a strip of paper, a pencil',
    do: [
      'Fold the strip: write the middle number.',
      'Fold again for the quarters.',
      'Point to a number by its nearest fold.',
    ],
    say: 'Which mark is it near? On which side?',
    worked: 'The child starts from the middle or an end, not from one.',
  },
  'run-of-neighbours': {
    title: 'Stairs without a gap',
    need: 'cubes',
    do: [
      'Build each number as a tower.',
      'Stand them as stairs.',
      'Find the missing stair, and the one too many.',
    ],
    say: 'Which tower is missing between these two?',
    worked: 'The child names the number that joins the run.',
  },
  'halve-what-is-left': {
    title: 'Make half of them go',
    need: 'number cards in a row',
    do: [
      'Think of a card; answer one question.',
      'Turn over what it cannot be; count what is left.',
      'Try a question in the middle.',
    ],
    say: 'If the answer is no, how many are left?',
    worked: 'A question leaves about half, whatever the answer.',
  },
  'looks-alike': {
    title: 'Six and nine, two and five',
    need: 'numeral cards with a line under them, a tray of sand or a finger on the table',
    do: [
      'Trace both with a finger from the starting dot.',
      'Say where each one begins.',
      'Sort mixed cards in two piles.',
    ],
    say: 'Where is the line? Which way up is it?',
    worked: 'Eight mixed cards are sorted without a slip.',
  },
  'find-the-numeral': {
    title: 'Say it, find it',
    need: 'numeral cards, the board',
    do: [
      'Say the number; hold up the card.',
      'Lay it on its space.',
      'Cover, and find the space by the numbers beside it.',
    ],
    say: 'Which numbers is it between?',
    worked: 'The finger goes to the space without counting from one.',
  },
  'digits-turned': {
    title: 'Tens stand on the left',
    need: 'rods and ones, digit cards',
    do: [
      'Build thirteen and thirty-one side by side.',
      'Lay digit cards under each.',
      'Swap the cards: what is it now?',
    ],
    say: 'Which has more? Which digit says so?',
    worked: 'The child builds a two-digit number from its digits without help.',
  },
  'teen-or-ty': {
    title: 'Thirteen or thirty?',
    need: 'rods and ones',
    do: [
      'Say a number; the child builds it.',
      'Say its partner: “-teen”, then “-ty”.',
      'The child says, you build, with slips to catch.',
    ],
    say: 'Listen to the end. One ten and three, or three tens?',
    worked: 'Six spoken numbers are built as they were said.',
  },
} as const satisfies Record<string, TeachingMove>
