import type { LevelTexts } from '../../engine/texts'
import type { Params } from './point-fast'

export const pointFastTexts = (params: Params): LevelTexts => {
  const { high, marks, calls } = params
  const shows =
    marks === 'all'
      ? 'every number'
      : marks === 'ends'
        ? 'only its ends'
        : `every ${high > 50 ? 'ten' : 'five'}`
  return {
    setUp: `A number line 0 to ${high} for each child; it shows ${shows}.`,
    start: 'All the fingers on zero.',
    end: `Done after ${calls} calls.`,
    steps: [
      ['look', 'Listen to the number.'],
      ['place', 'Point to it.'],
      ['check', 'Keep your finger there. Look left and right.'],
      ['say', 'Say what it is between.'],
    ],
    rules: [
      'The caller says a number.',
      'Point to it on your line and keep your finger there.',
      'Look at a partner’s: same place?',
      marks === 'all' ? 'Say what it lies between.' : `Say which mark it is near, and on which side.`,
      'The next caller says a number.',
    ],
    lookFors: [
      marks === 'all'
        ? 'Goes to the place at once, or counts along?'
        : marks === 'ends'
          ? 'Uses the middle of the line?'
          : 'Starts from the nearest mark?',
      'Turns the right way from a number near by?',
      'Says what it is between?',
    ],
    misconceptions: [
      {
        seen: 'Counts from zero every time.',
        ask: 'Is it before or after the middle? What is near it?',
        move: 'even-spaces',
      },
      ...(marks === 'all'
        ? [{ seen: 'Points to 31 for 13.', ask: 'Which ten comes first?', move: 'digits-turned' as const }]
        : [
            {
              seen: 'Spaces the numbers unevenly.',
              ask: 'Where is the middle? Which number lies there?',
              move: 'even-spaces' as const,
            },
          ]),
    ],
    iCan: `I can find numbers on a line to ${high}.`,
    words: ['before', 'after', 'between', 'near', 'middle'],
    easier: 'Fold the line in the middle and mark it.',
    harder:
      marks === 'all' ? 'Point with your eyes shut, then look.' : 'Turn the line over and draw your own.',
    stuck: 'Find the middle. Which side is it on?',
    finishEarly: 'Point to the number halfway between the last two.',
    talk: 'How did you find it?',
    cautions: ['A warm-up, not a race: nobody is called out for being slow.'],
    home: 'Draw a line on paper and take turns to call.',
  }
}
