import type { LevelTexts } from '../../engine/texts'
import type { Params } from './two-halves'

export const twoHalvesTexts = (params: Params): LevelTexts => {
  const { low, high, record, count } = params
  return {
    setUp: `Top halves and bottom halves with ${low} to ${high} dots, face down in two piles${record ? ', a sheet and a pencil each' : ''}.`,
    start: 'Turn no card yet.',
    end: `Done after ${count} creatures.`,
    steps: [
      ['turn', 'Take a top and a bottom.'],
      ['place', 'Join them.'],
      ['say', 'How many dots on each?'],
      ['say', 'How many in all?'],
      record ? ['write', 'Write the sum.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      'Take a top and a bottom and join them.',
      'Say how many dots each half has.',
      'Say how many there are in all.',
      ...(low === 0 ? ['A half without dots counts as zero.'] : []),
      ...(record ? ['Write the sum.'] : []),
      'Put the creature in the harbour and pass it on.',
    ],
    lookFors: [
      high > 5 ? 'Counts on from the larger half?' : 'Sees each half at a glance?',
      'Says the total without counting all?',
      ...(record ? ['Writes the sum in the order of the halves?'] : []),
    ],
    misconceptions: [
      {
        seen: 'Counts the first half again.',
        ask: `You said ${high > 3 ? 'four' : 'three'}. What comes next?`,
        move: 'starts-from-one',
      },
      ...(record
        ? [
            {
              seen: 'Writes 23 for two and three.',
              ask: 'How many dots are there? What does this number say?',
              move: 'writes-parts' as const,
            },
          ]
        : [
            {
              seen: 'Counts again when asked how many.',
              ask: 'You just counted these. So how many are there?',
              move: 'counts-again' as const,
            },
          ]),
    ],
    iCan: `I can add two numbers up to ${high}.`,
    words: ['part', 'altogether', 'and', 'makes'],
    easier: 'Put a cube on each dot, then slide them together.',
    harder: 'Say the total before you join the halves.',
    stuck: 'Say the larger half. Touch the dots of the other and count on.',
    finishEarly: 'Find another creature with the same number of dots.',
    talk: 'If we turn it upside down, does it have more dots?',
    cautions: [],
    home: 'Draw creatures with dots, cut them in two and mix them.',
  }
}
