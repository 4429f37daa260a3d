import type { TeachingMove } from './move'

/** Parts and wholes, adding and taking away. Common practice, no source. */
export const addingMoves = {
  'counted-own': {
    title: 'The square I stand on is done',
    need: 'the track, a sticky note, a marker',
    do: [
      'Put the sticky note on the square the marker stands on.',
      'Hop one square with a finger and stop.',
      'Three goes with the note, then three without.',
    ],
    say: 'This one is done. One hop: where am I?',
    worked: 'Without the note the finger goes to the next square first.',
  },
  added: {
    title: 'The whole is there already',
    need: 'a strip of squares as long as the whole, counters',
    do: [
      'Lay the strip: this is the whole.',
      'Cover the part that is known.',
      'Ask which squares are still bare, before anything is counted.',
    ],
    say: 'Is the strip getting longer? Then what are we looking for?',
    worked: 'The child points at the bare part before it says a number.',
  },
  'took-away': {
    title: 'More or fewer at the end?',
    need: 'counters',
    do: [
      'Read the sentence; thumbs up for more at the end, down for fewer.',
      'Act it with counters.',
      'Compare with the thumb.',
    ],
    say: 'Before you work it out: will there be more, or fewer?',
    worked: 'The thumb is right on four mixed sentences.',
  },
  'named-the-whole': {
    title: 'Part, part, whole',
    need: 'a sheet with one large and two small circles, counters',
    do: [
      'Put all in the large circle.',
      'Move some into a small one: that part is known.',
      'Move the rest: how many?',
    ],
    say: 'Which circle is the whole? Which one are we asked for?',
    worked: 'The child puts its finger on the part that is asked for.',
  },
  'same-total': {
    title: 'Different sums, one total',
    need: 'ten frames, counters in two colours',
    do: [
      'Build both sums on frames.',
      'Lay one frame on the other.',
      'Move one counter over: still the same?',
    ],
    say: 'What is the same? What is different?',
    worked: 'The child names another sum with that total.',
  },
  'turn-round': {
    title: 'Turn it round',
    need: 'a rod of cubes in two colours',
    do: ['Read the rod: 5 and 3.', 'Turn it end to end: read it again.', 'Write both sentences.'],
    say: 'Did any cube come or go?',
    worked: 'The second sentence comes without working out.',
  },
  'other-ways': {
    title: 'Another way to make it',
    need: 'cubes in two colours',
    do: [
      'Build the number in one colour.',
      'Swap some for the other colour: say both parts.',
      'Find two ways more.',
    ],
    say: 'What else makes it?',
    worked: 'Three ways come without a prompt.',
  },
  'both-parts': {
    title: 'Both make the whole',
    need: 'a cup, counters',
    do: [
      'Show two heaps; push them together: that is the whole.',
      'Cover one heap; ask for the whole, not for the heap in sight.',
      'Write the whole, then both heaps under it.',
    ],
    say: 'Is that all of them? What else belongs to it?',
    worked: 'The child says the whole before a part, three times.',
  },
  'writes-parts': {
    title: 'One number for all of them',
    need: 'dots, a sheet with two small boxes and a large one',
    do: [
      'Write each part in a small box.',
      'Push the dots together; count.',
      'Write the whole in the large box.',
    ],
    say: 'Is twenty-three right for two and three?',
    worked: 'The whole is written as one number, and is not the parts side by side.',
  },
  'double-it': {
    title: 'The same again',
    need: 'cubes, a mirror if there is one',
    do: ['Build the number.', 'Build it again beside it, or hold the mirror.', 'Say “four and four”.'],
    say: 'How many are there now? How many times is the number there?',
    worked: 'The child says the number twice before the double.',
  },
  'over-the-ten': {
    title: 'Nine, and a new ten',
    need: 'a hundred grid, a marker',
    do: [
      'Stand the marker on a number that ends in nine.',
      'Say the tens alone down the side: which ten is next?',
      'Step over the end of the row and back, three times, in three places.',
    ],
    say: 'After nine comes a new ten. Which ten comes now?',
    worked: 'The next ten comes without the grid, on the way on and on the way back.',
  },
  'fives-first': {
    title: 'The top row is five',
    need: 'a ten frame, counters',
    do: [
      'Fill the top row: five.',
      'Add one at a time and say “five and one, six”.',
      'Flash it for two seconds and ask.',
    ],
    say: 'How do you know without counting?',
    worked: 'The child says “five and …” of a full row and some.',
  },
  'know-or-work-out': {
    title: 'A fact close by',
    need: 'fact cards in two piles: know, nearly know',
    do: [
      'Take one of the second pile.',
      'Find one of the first pile that is near it.',
      'Say how to get from one to the other.',
    ],
    say: 'Which one do you know for sure that could help?',
    worked: 'A fact is worked out from another, not from one.',
  },
} as const satisfies Record<string, TeachingMove>
