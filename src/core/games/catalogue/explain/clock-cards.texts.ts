import type { LevelTexts } from '../../engine/texts'
import type { Params } from './clock-cards'

export const clockCardsTexts = (params: Params): LevelTexts => {
  const { every, turn, order } = params
  const kind = {
    60: 'o’clock times',
    30: 'o’clock and half past',
    15: 'quarters of an hour',
    5: 'times by five minutes',
  }[every]
  return {
    setUp: `Time cards with ${kind}, a clock with hands to turn.`,
    start: 'The clock stands at twelve.',
    end: `Done after ${turn} cards.`,
    steps: [
      ['turn', 'Turn a card. Read it.'],
      ['move', 'Set the clock.'],
      ['say', 'Say what you do then.'],
      ['check', 'Friend checks the hands.'],
      order ? ['place', 'Lay it in order.'] : ['pass', 'Pass it on.'],
    ],
    rules: [
      'Turn a card and read the time.',
      'Set the clock: the short hand first.',
      'Say what you do at that time.',
      'Your partner checks the hands.',
      ...(order ? ['Lay the card in a row from the earliest time to the latest.'] : []),
    ],
    lookFors: [
      every === 60
        ? 'Sets the short hand on the hour and the long hand on twelve?'
        : every === 5
          ? 'Counts round the clock in fives, not in ones?'
          : every === 15
            ? 'Says “quarter to” of the hour that comes?'
            : 'Puts the hour hand between numbers at half past?',
      'Tells the hands apart?',
      ...(every <= 15
        ? [every === 5 ? 'Says “ten to” of the hour that comes?' : 'Puts the hour hand between numbers?']
        : every === 30
          ? ['Says “half past” of the right hour?']
          : []),
      ...(order ? ['Says which time is earlier?'] : []),
    ],
    misconceptions: [
      every === 60
        ? { seen: 'Swaps the hands.', ask: 'Which hand tells the hour?', move: 'hands-swapped' }
        : every === 5
          ? {
              seen: 'Reads the minutes as the number the long hand points at.',
              ask: 'How many minutes is it from twelve to one? And to two?',
              move: 'counts-things',
            }
          : {
              seen: 'Sets the hour hand straight on the hour at half past.',
              ask: 'Is it still four, or on its way to five?',
              move: 'half-past',
            },
      ...(every === 60
        ? []
        : [
            {
              seen: every === 5 ? 'Says “20 to 4” for 20 to 5.' : 'Reads half past four as half past five.',
              ask: every === 5 ? 'Which hour is coming?' : 'Has it got to five yet?',
              move: 'next-hour' as const,
            },
          ]),
    ],
    iCan:
      every === 60
        ? 'I can set the clock to the hour.'
        : every === 30
          ? 'I can set half past.'
          : every === 15
            ? 'I can set quarter past and quarter to.'
            : 'I can set the clock to five minutes.',
    words: [
      'o’clock',
      ...(every < 60 ? ['half past'] : ['hour']),
      ...(every === 15 ? ['quarter past', 'quarter to'] : every === 5 ? ['past', 'to'] : []),
      'short hand',
      'long hand',
    ],
    easier: 'Use a clock with the short hand only.',
    harder: 'Set it an hour later and say it.',
    stuck: 'Set the short hand together. What has it passed?',
    finishEarly: 'Set the clock an hour later than each card.',
    talk: 'What do you do then? And an hour later?',
    cautions: [],
    home: 'Say the time at each meal and show it with your arms.',
  }
}
