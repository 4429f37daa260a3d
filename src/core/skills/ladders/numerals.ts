import { between, ladder, rung } from './strand'

/** Reading numerals up to a number, with what a child does on its own there. */
const reads = (to: number, own: string, sentence = `Reads and finds numerals to ${to}.`) =>
  rung(`numerals-${to}`, `to ${to}`, to, sentence, [
    own,
    'Finds it by counting along a number line.',
    'Names another numeral, or waits.',
  ])

/** Writing numerals that are said: later than reading them, and learned apart. */
const writes = (to: number, sentence: string, marks: [string, string, string]) =>
  between(rung(`write-${to}`, `write to ${to}`, to, sentence, marks))

/** Reading and writing numerals. Order: common practice, no source. */
export const numerals = ladder('numerals', 'Numerals', [
  reads(5, 'Finds 4 at once.'),
  reads(10, 'Tells 6 from 9 and finds 8.'),
  writes(10, 'Writes numerals to 10 the right way round.', [
    'Writes 5 and 7 from memory, the right way round.',
    'Writes it after tracing one.',
    'Writes it back to front, or another numeral.',
  ]),
  reads(20, 'Reads 12 and 21, 13 and 30 without mixing them up.'),
  writes(20, 'Writes numerals to 20, the one first.', [
    'Hears “fourteen” and writes 14.',
    'Writes it after finding it on a number line.',
    'Writes 41 for fourteen, or 104.',
  ]),
  reads(100, 'Reads 37 and says what the 3 stands for.'),
  writes(100, 'Writes numerals to 100.', [
    'Hears “sixty-three” and writes 63.',
    'Writes it after building it in tens and ones.',
    'Writes 603, or 36.',
  ]),
  reads(120, 'Reads 108 and writes 112.', 'Reads, finds and writes numerals to 120.'),
  reads(1000, 'Reads 406 and writes three hundred and sixty.', 'Reads, finds and writes numerals to 1000.'),
])
