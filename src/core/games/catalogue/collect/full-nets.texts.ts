import { food, smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './full-nets'

export const fullNetsTexts = (params: Params): LevelTexts => {
  const { low, high, order } = params
  const hasZero = low === 0
  return {
    setUp: `Cards ${low} to ${high} face down, ${high - low + 1} nets in a row, counters for fish.`,
    start: 'All the nets are empty.',
    end: order ? 'Done when all the nets stand in order.' : 'Done when every card has its net.',
    steps: [
      ['turn', 'Turn a card. Say it.'],
      ['count', 'Count that many fish.'],
      ['place', 'Put them in a net.'],
      ['place', 'Lay the card by it.'],
      order ? ['check', 'All full? Put them in order.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      'Turn a card and read it.',
      'Count that many into an empty net and lay the card with it.',
      ...(hasZero ? ['Zero: the net stays empty.'] : []),
      ...(order ? ['All the cards turned? Put the nets in order.'] : []),
      'Check each other’s nets.',
    ],
    lookFors: [
      high > 10
        ? 'Keeps count beyond ten without losing the place?'
        : 'Counts each one once, and stops at the number?',
      ...(hasZero ? ['Says that the net for zero stays empty?'] : []),
      ...(order ? ['Puts the nets in order by number, without counting again?'] : []),
    ],
    misconceptions: [
      hasZero
        ? {
            seen: 'Puts one in the net for zero.',
            ask: 'What does this card say? How many fish is that?',
            move: 'zero',
          }
        : {
            seen: 'Leaves a fish out, or counts one twice.',
            ask: 'How can you tell which fish you have counted?',
            move: 'one-for-one',
          },
      { seen: 'Goes on counting after the number.', ask: 'How many did you want?', move: 'one-too-many' },
    ],
    iCan: `I can count out up to ${high} things.`,
    words: ['count', 'how many', ...(hasZero ? ['zero'] : []), 'one more', ...(order ? ['in order'] : [])],
    easier: 'Move each fish across a line as it is counted.',
    harder: 'Take a net and say how many without counting; then check.',
    stuck: 'Say the number twice, then count together and stop.',
    finishEarly: 'Close your eyes while a partner takes one out. Which net was it?',
    talk: 'Which net has one more than this one? How do you know?',
    cautions: [smallParts, food],
    home: 'Use cake cases and buttons, and numbers written on scraps of paper.',
  }
}
