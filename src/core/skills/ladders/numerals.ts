import { ladder } from './strand'

/** Reading and writing numerals. Order: common practice, no source. */
export const numerals = ladder(
  'numerals',
  'Numerals',
  [
    [5, 'Finds 4 at once.'],
    [10, 'Tells 6 from 9 and finds 8.'],
    [20, 'Reads 12 and 21, 13 and 30 without mixing them up.'],
    [100, 'Reads 37 and says what the 3 stands for.'],
    [120, 'Reads 108 and writes 112.'],
    [1000, 'Reads 406 and writes three hundred and sixty.'],
  ].map(([to, own]) => ({
    id: `numerals-${to}`,
    short: `to ${to}`,
    sentence: `Reads, finds and writes numerals to ${to}.`,
    to: to as number,
    marks: {
      own: own as string,
      help: 'Finds it by counting along a number line.',
      notYet: 'Names another numeral, or waits.',
    },
  })),
)
