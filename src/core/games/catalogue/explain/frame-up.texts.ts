import { smallParts } from '../../engine/cautions'
import type { LevelTexts } from '../../engine/texts'
import type { Params } from './frame-up'

export const frameUpTexts = (params: Params): LevelTexts => {
  const { high, more, turn } = params
  const frame = high === 5 ? 'a row of five' : high === 10 ? 'a ten frame' : 'two ten frames'
  return {
    setUp: `Cards 0 to ${high} face down, ${frame} and ${high} counters.`,
    start: `The ${high === 5 ? 'row is' : high === 10 ? 'frame is' : 'frames are'} empty.`,
    end: turn === null ? 'Done when all the cards are turned.' : `Done after ${turn} cards.`,
    steps: [
      ['turn', 'Turn a card.'],
      [
        'build',
        high === 5
          ? 'Build it in the row.'
          : high === 10
            ? 'Build it: top row first.'
            : 'Build it: fill one frame first.',
      ],
      ['say', high === 5 ? 'Say how many.' : high === 10 ? 'Say “five and …”.' : 'Say “ten and …”.'],
      ...(more ? [['say', `How many more to ${high}?`] as const] : []),
      ['pass', 'Clear it. Pass it on.'],
    ],
    rules: [
      'Turn a card.',
      high === 5
        ? 'Build it from the left.'
        : high === 10
          ? 'Build it: the top five first.'
          : 'Build it: fill the first frame before the second.',
      high === 5
        ? 'Say how many there are.'
        : high === 10
          ? 'Six or more? Say “five and …”.'
          : 'Eleven or more? Say “ten and …”.',
      ...(more ? [`Say how many more make ${high}.`] : []),
      'Clear the frame and pass it on.',
    ],
    lookFors: [
      more ? 'Sees what is missing?' : 'Fills five without counting them one by one?',
      ...(high > 5 ? ['Says the number by its full row or frame?'] : ['Puts the counters from the left?']),
      'Changes the last number instead of clearing the frame?',
    ],
    misconceptions: [
      {
        seen: 'Puts counters anywhere.',
        ask: 'How could we lay them so that we see how many?',
        move: 'fives-first',
      },
      ...(more
        ? [
            {
              seen: 'Says the number that is there for the one that is missing.',
              ask: 'Which boxes are empty?',
              move: 'added' as const,
            },
          ]
        : [
            {
              seen: 'Counts from one each time.',
              ask: 'What do you know about a full row?',
              move: 'fives-first' as const,
            },
          ]),
    ],
    iCan: more ? `I can say how many more make ${high}.` : 'I can see how many on a ten frame.',
    words: ['row', 'full', ...(more ? ['how many more', 'empty'] : ['five and some']), 'how many'],
    easier: 'Leave the last number and change it.',
    harder: 'Say it before you build it, then check.',
    stuck: more
      ? high > 5
        ? 'Count the empty boxes, a full row first.'
        : 'Count the empty boxes.'
      : 'Fill the top row. How many is that?',
    finishEarly: more
      ? `Show a number; a partner says what makes ${high}.`
      : 'Show a number for two seconds; a partner says it.',
    talk: 'How do you see that it is that many?',
    cautions: [smallParts],
    home:
      high === 20
        ? 'Use two egg boxes for ten and any small things.'
        : high === 5
          ? 'Cut an egg box down to a row of five, and use any small things.'
          : 'Use an egg box for ten and any small things.',
  }
}
