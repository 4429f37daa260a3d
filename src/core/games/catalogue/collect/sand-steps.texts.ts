import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './sand-steps'

export const sandStepsTexts = (params: Params): LevelTexts => {
  const { to, write } = params
  const die = to <= 6
  return {
    setUp: `A path 1 to ${to} for each child, ${die ? 'a die' : `a spinner with 1 to ${to}`}, covers${write ? ', a pencil each' : ''}.`,
    start: 'All the steps are open.',
    end: 'The first to cover every step wins.',
    steps: [
      die ? ['roll', 'Roll the die.'] : ['spin', 'Spin.'],
      ['say', 'Say the number.'],
      ['cover', 'Cover that step.'],
      ...(write ? [['write', 'Write the number.'] as const] : []),
      ['pass', 'Pass it on.'],
    ],
    rules: [
      `${die ? 'Roll the die' : 'Spin'} and say the number.`,
      `Find that step on your path and cover it.${write ? ' Write the number beside it.' : ''}`,
      'Covered already? Pass it on.',
      ...(die && to < 6
        ? [
            to === 5
              ? 'A six isn’t on the path: roll again.'
              : `More than ${to} isn’t on the path: roll again.`,
          ]
        : []),
    ],
    lookFors: [
      'Finds the numeral at once, or counts along the path?',
      ...(write ? ['Writes the numeral the right way round?'] : []),
      'Says which steps are still open?',
    ],
    misconceptions: [
      {
        seen: 'Covers the next step whatever came up.',
        ask: 'Which number did you get? Where is it?',
        move: 'find-the-numeral',
      },
      ...(write
        ? [
            {
              seen: 'Writes 3 or 5 back to front.',
              ask: 'Trace this one with your finger. Where does it start?',
              move: 'looks-alike' as const,
            },
          ]
        : []),
    ],
    iCan: `I can find and write the numbers to ${to}.`,
    words: ['number', 'before', 'after', 'still open'],
    easier: 'Say the path aloud with a finger before each go.',
    harder: 'Cover the numerals on the path with sticky notes and find them by their place.',
    stuck: 'Count the dots, then say the path until you come to it.',
    finishEarly: 'Say your steps backwards.',
    talk: 'Which numbers are still missing? Which one is hardest to get?',
    cautions: [smallParts],
    home: `Chalk or draw ${to} steps and cover them with leaves.`,
  }
}
