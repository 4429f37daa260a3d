import type { TeachingMove } from './move'

/** Counting once each, stopping, none. Common practice, no source. */
export const countingMoves = {
  'one-too-many': {
    title: 'Stop on the number',
    need: 'counters, two cups',
    do: [
      'Say the number to stop at, and write it down.',
      'Move a counter into the cup for each word.',
      'Stop when the word is the written number; tip out and check.',
    ],
    say: 'Which word is the last one? Say it and stop your hand.',
    worked: 'Hand and voice stop together, three times running.',
  },
  'one-missed': {
    title: 'Touch, move, say',
    need: 'counters in a muddle',
    do: [
      'Draw a line down the table.',
      'Each counter crosses the line as its word is said.',
      'Check by fives.',
    ],
    say: 'Nothing left on this side? Then we have them all.',
    worked: 'The child draws its own line, or counts in a row, unasked.',
  },
  'other-way': {
    title: 'Which way is less?',
    need: 'a number line, a marker',
    do: [
      'Stand the marker on a number.',
      'Show with an arm which way is more, which is less.',
      'Move one, and say it.',
    ],
    say: 'Less: is that nearer to zero, or further away?',
    worked: 'The arm points the right way before the number is said.',
  },
  'by-ones': {
    title: 'One rod at a time',
    need: 'rods, or pairs of shoes for twos, hands for fives',
    do: [
      'Lay one thing at a time.',
      'Say the number so far, in a whisper the ones between.',
      'Then without the whisper.',
    ],
    say: 'How many came? How many are there now?',
    worked: 'The next multiple comes without a whisper.',
  },
  'starts-from-one': {
    title: 'It is shut in the cup',
    need: 'counters, a cup',
    do: [
      'Count some into the cup and turn it over.',
      'Write how many on a sticky note on top.',
      'Lay more beside it; tap the cup, then touch each.',
    ],
    say: 'The cup says six. What do we say for the next one?',
    worked: 'The child taps the cup once and goes on from its number.',
  },
  'runs-past': {
    title: 'Stop on the number',
    need: 'counters, two cups',
    do: [
      'Say the number to stop at twice.',
      'One counter for each word.',
      'A partner says “stop” at the number; then without the partner.',
    ],
    say: 'How many do you want? What will the last word be?',
    worked: 'Hand and voice stop at the number, three times running.',
  },
  'counts-twice': {
    title: 'Where did I start?',
    need: 'counters in a ring',
    do: [
      'Mark one counter: start here.',
      'Touch round to the mark.',
      'Then push each away as it is counted.',
    ],
    say: 'How will you know that you have had them all?',
    worked: 'The child marks a start, or moves each one.',
  },
  'counts-again': {
    title: 'The last word tells how many',
    need: 'counters, a hand',
    do: [
      'Count together; close a hand round the set at the last word.',
      'Ask how many are in the hand.',
      'Open and check once.',
    ],
    say: 'You said six last. So how many are in my hand?',
    worked: 'The child answers without counting again.',
  },
  'one-for-one': {
    title: 'One word, one move',
    need: 'nothing, or a drum',
    do: [
      'One tap, one move, one word.',
      'Slow, then quicker, stopping at the number.',
      'Eyes shut: count your partner’s moves.',
    ],
    say: 'Say the number as your feet land.',
    worked: 'Word and move come together up to the number.',
  },
  'counts-things': {
    title: 'What is one worth?',
    need: 'rods, hands or pairs',
    do: [
      'Show one: how many is that?',
      'Show two: say the number, not the things.',
      'Mix: ask for things, then for how many in all.',
    ],
    say: 'How many rods? How many altogether?',
    worked: 'The child gives both numbers and does not mix them.',
  },
  zero: {
    title: 'None is a number',
    need: 'a cup, counters, a zero card',
    do: [
      'Count three out of the cup, then two, one.',
      'The next cup holds none: lay the zero card.',
      'Act “three and none” and “three take away none”.',
    ],
    say: 'How many are in here? What changed?',
    worked: 'Zero is met with no move and no counter, and the child says why.',
  },
} as const satisfies Record<string, TeachingMove>
