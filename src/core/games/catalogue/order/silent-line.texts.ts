import type { LevelTexts } from '../../engine/texts'
import type { Params } from './silent-line'

export const silentLineTexts = (params: Params): LevelTexts => {
  const { cards, low, high, rounds, falling } = params
  const kind = {
    numerals: `cards ${low} to ${high}`,
    sums: `sum cards with answers ${low} to ${high}`,
    'tens-pictures': `pictures of tens and ones, ${low} to ${high}`,
    mixed: `mixed cards ${low} to ${high}: numbers, sums and pictures`,
    clocks: 'clock cards from seven in the morning to a quarter to seven in the evening',
  }[cards]
  const clocks = cards === 'clocks'
  const works = cards === 'sums' || cards === 'mixed'
  return {
    setUp: `A pack of ${kind}, one card for each child, no two alike, and room for a line.`,
    start: `Show where the line begins: the ${clocks ? 'earliest time' : falling ? 'largest number' : 'smallest number'} stands there.`,
    end: `Done after ${rounds} rounds. Everybody wins when the line is complete.`,
    steps: [
      ['look', works ? 'Look at your card. Work it out.' : 'Look at your card.'],
      ['move', 'Find your place. Not a word.'],
      ['check', 'Look left and right.'],
      ['say', 'Say it in turn down the line.'],
    ],
    rules: [
      `Each takes a card and looks at it.${!clocks && high - low < 33 ? ' More children than cards? Make two lines.' : ''}`,
      `Line up ${clocks ? 'from seven in the morning on (one to six are in the afternoon)' : falling ? 'from the largest' : 'from the smallest'}, without a word.`,
      'Hands up when you think the line is done.',
      'The adult says only “complete” or “not yet”, and nothing else.',
      'Not yet? Find it together, still without a word.',
    ],
    lookFors: [
      works
        ? 'Works the sum out before walking?'
        : clocks
          ? 'Reads the short hand first?'
          : high > 20
            ? 'Looks at the tens before the ones?'
            : 'Goes to the place at once, or tries along the line?',
      'Looks at the cards on both sides?',
      'Moves if the card next to theirs doesn’t fit?',
    ],
    misconceptions: [
      clocks
        ? {
            seen: 'Takes the long hand for the hour.',
            ask: 'Which hand tells the hour?',
            move: 'hands-swapped',
          }
        : works
          ? {
              seen: 'Lines up by the first number.',
              ask: 'How many is that altogether?',
              move: 'both-parts',
            }
          : high > 20
            ? {
                seen: 'Orders by the first digit only.',
                ask: '5 and 31: how many tens has each?',
                move: 'tens-first',
              }
            : high <= 10
              ? { seen: 'Stands 6 after 9.', ask: 'Which comes first when you count?', move: 'looks-alike' }
              : { seen: 'Stands 12 after 20.', ask: 'Which comes first when you count?', move: 'tens-first' },
    ],
    iCan: clocks ? 'I can put times in order.' : `I can find my place among numbers to ${high}.`,
    words: clocks
      ? ['earlier', 'later', 'o’clock', 'half past', 'quarter past', 'quarter to']
      : ['before', 'after', 'between', 'smaller', 'larger'],
    easier: 'Line up in two halves first; then join them.',
    harder: 'Begin from the other end.',
    stuck: 'Hold the card beside a neighbour’s: which comes first?',
    finishEarly: clocks
      ? 'Say what you do at your time, in turn.'
      : 'Turn round: say your number in order, from the other end.',
    talk: 'How did you find your place without speaking?',
    cautions: ['Walking, not running; room to pass behind the line.'],
    home: 'Give each of the family a number and line up without a word.',
  }
}
