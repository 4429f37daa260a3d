import type { TeachingMove } from './move'

/** Tens and ones, and swapping them. Common practice, no source. */
export const tensMoves = {
  'forgot-the-ten': {
    title: 'A full frame is a ten',
    need: 'a double ten frame, counters in two colours',
    do: [
      'Build both numbers on the frames.',
      'Move counters until one frame is full.',
      'Say the ten, then what is beside it.',
    ],
    say: 'One frame is full. What is that called? And the rest?',
    worked: 'The child says “ten and …” before the total.',
  },
  'kept-the-ten': {
    title: 'Break the ten',
    need: 'a ten rod, ten ones, a mat',
    do: [
      'Lay the number on the mat.',
      'Try to take the ones away; swap the rod for ten ones when they run out.',
      'Say how many rods are left.',
    ],
    say: 'Did we use a ten? How many tens are there now?',
    worked: 'The child moves the rod away before it counts the ones.',
  },
  'smaller-from-larger': {
    title: 'Which one are we taking away?',
    need: 'rods and ones',
    do: [
      'Build only the first number: the second is what we take.',
      'Try to take the ones. There are too few: what now?',
      'Swap a ten and go on.',
    ],
    say: 'Show me what there is. Show me what goes. Can it go?',
    worked: 'For 15 − 8 the child swaps or counts back; it does not say 13.',
  },
  'ones-as-tens': {
    title: 'What is this digit worth?',
    need: 'rods and ones, number cards',
    do: [
      'Lay the card; build it under its digits.',
      'Add what was added, on the side where it belongs.',
      'Say the number again.',
    ],
    say: 'Is that three ones or three tens? Where do they go?',
    worked: 'Adding 3 to 42 changes the ones and leaves the rods alone.',
  },
  'ten-is-one-ten': {
    title: 'Ten ones make one ten',
    need: 'ones, ten rods',
    do: ['Lay ones along a rod until they fit.', 'Count them; swap.', 'Say the number before and after.'],
    say: 'Has it become more? What has changed?',
    worked: 'Ten and only ten are swapped, and the number stays the same.',
  },
  'change-from-ten': {
    title: 'Change from a ten',
    need: 'ones, ten rods',
    do: [
      'Pay 7 with a ten: lay the ten down.',
      'Swap it for ten ones; pay seven.',
      'Look at what comes back.',
    ],
    say: 'You gave ten. It costs seven. Is that fair?',
    worked: 'The child asks for the change, and says how much.',
  },
  'tens-first': {
    title: 'Look at the tens first',
    need: 'rods and ones, two number cards',
    do: ['Build both numbers.', 'Cover the ones: which has more now?', 'Uncover: does that change it?'],
    say: 'How many tens has each? Do we need the ones?',
    worked: 'The child compares the tens before it looks at the ones.',
  },
  'no-wrap': {
    title: 'Where does the row go on?',
    need: 'a hundred grid',
    do: [
      'Read along a row to its end.',
      'Find the next number: where is it?',
      'Go one down from 34: how much more?',
    ],
    say: 'What comes after 40? Where is it?',
    worked: 'The child steps down for ten and finds the start of the next row for one.',
  },
} as const satisfies Record<string, TeachingMove>
