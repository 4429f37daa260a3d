import type { TeachingMove } from './move'

/** Clocks, patterns, chance, reasons. Common practice, no source. */
export const besideMoves = {
  'next-hour': {
    title: 'On its way to the next hour',
    need: 'a clock whose hands turn together',
    do: [
      'Set four o’clock.',
      'Turn slowly; stop at half past.',
      'Ask which hour it has left, and which comes.',
    ],
    say: 'Has it got to five yet? Then which hour are we still in?',
    worked: 'Half past four is read as four, with the hand between.',
  },
  'hands-swapped': {
    title: 'Short says the hour',
    need: 'a clock',
    do: [
      'Cover the long hand; read the short one.',
      'Cover the short hand; read the long one.',
      'Read both.',
    ],
    say: 'Which hand moved far while we waited? That one tells minutes.',
    worked: 'The child points at the short hand first.',
  },
  'half-past': {
    title: 'Where is the short hand at half past?',
    need: 'a clock whose hands turn together',
    do: [
      'Set the hour; watch the short hand.',
      'Turn half way round: where is it?',
      'Set three half pasts together.',
    ],
    say: 'Has the short hand stood still?',
    worked: 'The short hand is set between two numbers.',
  },
  'unit-too-long': {
    title: 'Cut the pattern',
    need: 'a chain of cubes',
    do: [
      'Say the colours in a chant.',
      'Break the chain where it starts again.',
      'Lay the pieces on top of each other.',
    ],
    say: 'Are the pieces the same? Could you cut it smaller?',
    worked: 'All the pieces are the same and cannot be cut alike again.',
  },
  'unit-too-short': {
    title: 'Does it come again?',
    need: 'a chain of cubes',
    do: [
      'Break off the part the child named.',
      'Hold it against the next part.',
      'Make it longer until it fits.',
    ],
    say: 'Does this piece fit all along?',
    worked: 'The part, laid along the chain, fits every time.',
  },
  'part-that-repeats': {
    title: 'Say it, clap it',
    need: 'the chain',
    do: ['Read the colours aloud.', 'Clap on the first of each part.', 'Go on for two whole parts.'],
    say: 'Does it sound the same all along?',
    worked: 'The child mends a slip when it hears it.',
  },
  chance: {
    title: 'How many ways?',
    need: 'two dice of different colours, paper',
    do: [
      'Find every way to make 7; write each down.',
      'Find every way to make 12.',
      'Roll twenty times and mark what came.',
    ],
    say: 'Why does this one come more often?',
    worked: 'The child names a number that comes often and says why.',
  },
  'no-memory': {
    title: 'Does it remember?',
    need: 'the spinner or die',
    do: [
      'Predict; use it; write both down, ten times.',
      'Look for a rule together.',
      'Shake hard, or whisper to it: does that help?',
    ],
    say: 'What does it know about last time?',
    worked: 'The child says that each go is as likely as before.',
  },
  'prove-it': {
    title: 'Show that it can’t be',
    need: 'counters or a number line',
    do: ['Build what the statement says.', 'Look where it breaks.', 'Change one number so that it holds.'],
    say: 'How would you show somebody who does not believe you?',
    worked: 'The reason names the numbers.',
  },
} as const satisfies Record<string, TeachingMove>
