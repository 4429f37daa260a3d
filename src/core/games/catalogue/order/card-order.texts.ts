import type { LevelTexts } from '../../engine/texts'
import type { Params } from './card-order'

export const cardOrderTexts = (params: Params): LevelTexts => {
  const { low, high, by, row, rows, falling } = params
  return {
    setUp: `Cards ${low} to ${high}${by > 1 ? ` in steps of ${by}` : ''}, shuffled face down${high - low > 100 ? ` (${row * rows} of them are enough)` : ''}.`,
    start: 'The row is empty. You build it together.',
    end: `Done after ${rows} rows of ${row}.`,
    steps: [
      ['turn', 'Turn a card. Say it.'],
      ['place', 'Where does it go?'],
      ['check', 'Make room if you need to.'],
      ['say', 'Full? Read your row.'],
      ['pass', 'Put them back. Start a new row.'],
    ],
    rules: [
      'Take turns to turn a card and read it.',
      `Lay it where it belongs in the one row you share, the ${falling ? 'largest' : 'smallest'} on the left.`,
      'Move the others along if you need room.',
      `${row} cards in the row? Read it from the start.`,
      'Put the cards back, shuffle, and begin another row.',
    ],
    lookFors: [
      high > 100
        ? 'Compares hundreds, then tens, then ones?'
        : high > 20
          ? 'Compares tens before ones?'
          : 'Finds the place at once, or tries it out?',
      'Reads the row aloud to check?',
      'Leaves room for numbers between?',
    ],
    misconceptions: [
      high > 10
        ? {
            seen: high > 20 ? 'Looks at the ones first.' : 'Puts 12 after 20.',
            ask: 'How many tens has each? Which comes first when you count?',
            move: 'tens-first',
          }
        : {
            seen: 'Lays six where nine belongs.',
            ask: 'Which way up is it? What comes before it?',
            move: 'looks-alike',
          },
      {
        seen: 'Lays them in the order they came.',
        ask: 'Read your row. Does it get larger all the way?',
        move: 'as-they-came',
      },
    ],
    iCan: `I can put numbers to ${high} in order.`,
    words: ['smaller', 'larger', 'between', 'in order', ...(high > 20 ? ['tens'] : ['next'])],
    easier: 'Begin with three cards in the row.',
    harder: 'Say a number that could come between two of yours.',
    stuck: 'Choose two cards: which comes first when you count? Then the next card.',
    finishEarly: 'Turn one over. Which number could hide there?',
    talk: 'What could come between these two?',
    cautions: [],
    home: 'Write numbers on scraps of paper, mix and order them.',
  }
}
