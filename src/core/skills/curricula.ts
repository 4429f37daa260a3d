import type { StepPlace } from './index'

/** Published curricula that steps are held against. */
export const documents = {
  ccss: 'Common Core State Standards for Mathematics (2010)',
  england: 'National Curriculum in England, mathematics programmes of study (2013)',
  elg: 'Early Years Foundation Stage early learning goals (2021)',
} as const

type DocumentId = keyof typeof documents

/** One statement of a curriculum, in our words. Every code and paraphrase here is from memory. */
export interface Statement {
  document: DocumentId
  code: string
  /** What it asks, in short. */
  asks: string
  /** The largest number it names, where it names one. */
  to?: number
  /** Ids of the steps that serve it. */
  steps: readonly string[]
}

const statement =
  (document: DocumentId) =>
  (code: string, asks: string, steps: string, to?: number): Statement => ({
    document,
    code,
    asks,
    steps: steps.split(' '),
    ...(to === undefined ? {} : { to }),
  })

const ccss = statement('ccss')
const england = statement('england')
const elg = statement('elg')

export const statements: readonly Statement[] = [
  ccss('K.CC.A.1', 'counts to 100 by ones and by tens', 'count-30 count-100 tens-50 tens-100', 100),
  ccss('K.CC.A.2', 'counts forward from any number it knows', 'count-10 count-20 count-30'),
  ccss(
    'K.CC.A.3',
    'writes numerals from 0 to 20',
    'numerals-5 numerals-10 numerals-20 write-10 write-20',
    20,
  ),
  ccss('K.CC.B.4', 'knows that the last number said tells how many', 'count-set-10 count-out-5 count-out-10'),
  ccss(
    'K.CC.B.5',
    'counts to answer how many, and counts out to 20',
    'count-out-5 count-out-10 count-out-20',
    20,
  ),
  ccss('K.CC.C.6', 'says which of two groups to 10 has more, fewer or the same', 'more-5 more-10', 10),
  ccss('K.CC.C.7', 'compares two written numbers from 1 to 10', 'more-10 order-10', 10),
  ccss('1.OA.A.1', 'adds to, takes from and compares within 20', 'difference-10 count-on-20', 20),
  ccss('2.OA.C.3', 'says whether a group to 20 is odd or even, by pairing', 'odd-even-10', 20),
  ccss('2.OA.C.4', 'adds equal rows and columns, to 5 by 5', 'rows-25', 25),
  ccss('2.NBT.B.7', 'adds and subtracts within 1000 by hundreds, tens and ones', 'beyond-100', 1000),
  ccss('3.OA.A.1', 'reads a product as equal groups', 'equal-groups-20'),
  ccss('3.OA.A.2', 'reads a quotient as equal shares', 'share-12'),
  ccss('K.OA.A.1', 'shows adding and taking away with objects and fingers', 'count-all-5 take-away-5'),
  ccss(
    'K.OA.A.2',
    'adds and subtracts within 10 with objects or drawings',
    'count-all-10 take-away-10 count-on-10',
    10,
  ),
  ccss('K.OA.A.3', 'takes numbers to 10 apart in more than one way', 'parts-of-5 missing-part-10', 10),
  ccss('K.OA.A.4', 'finds the number that makes 10 with a given one', 'complements-10', 10),
  ccss('K.OA.A.5', 'adds and subtracts fluently within 5', 'parts-of-5 recall-5', 5),
  ccss('K.NBT.A.1', 'makes 11 to 19 of ten ones and some more', 'ten-and-some', 19),
  ccss('1.OA.B.4', 'sees a subtraction as a missing part', 'missing-part-10 subtract-20', 20),
  ccss('1.OA.C.5', 'links counting on and back with adding and taking away', 'count-on-10 count-on-20'),
  ccss(
    '1.OA.C.6',
    'adds and subtracts within 20, fluently within 10; makes ten, uses doubles',
    'count-on-10 complements-10 count-on-20 doubles-20 make-ten-20 subtract-teens subtract-20 recall-10',
    20,
  ),
  ccss(
    '1.NBT.A.1',
    'counts, reads and writes to 120 from any start',
    'count-120 numerals-100 numerals-120 write-100',
    120,
  ),
  ccss(
    '1.NBT.B.2',
    'knows the tens and ones of a two-digit number',
    'trade-ten tens-ones tens-and-ones-100',
    99,
  ),
  ccss('1.NBT.B.3', 'compares two-digit numbers', 'order-20 order-100', 99),
  ccss('1.NBT.C.4', 'adds within 100: two digits and one, and tens', 'tens-ones-100 crossing-100', 100),
  ccss('1.NBT.C.5', 'says ten more and ten less in the head', 'order-100 ten-more-grid', 100),
  ccss('1.NBT.C.6', 'takes whole tens away from whole tens', 'whole-tens-100', 90),
  ccss('1.MD.B.3', 'tells the time in hours and half hours', 'hour half-hour'),
  ccss('2.MD.C.7', 'tells the time to five minutes', 'quarter five-minutes'),
  ccss(
    '2.OA.B.2',
    'adds and subtracts fluently within 20; knows the sums of one-digit numbers',
    'count-on-20 make-ten-20 subtract-20 recall-20',
    20,
  ),
  ccss('2.MD.C.8', 'solves problems with coins and notes', 'like-coins-20 coins-50 change-20'),
  ccss('2.NBT.A.1', 'knows hundreds, tens and ones', 'hundreds', 999),
  ccss(
    '2.NBT.A.2',
    'counts within 1000, and by fives, tens and hundreds',
    'count-1000 fives-50 fives-100 tens-100',
    1000,
  ),
  ccss('2.NBT.A.3', 'reads and writes numbers to 1000', 'numerals-1000', 1000),
  ccss('2.NBT.A.4', 'compares three-digit numbers', 'order-120 order-1000', 999),
  ccss(
    '2.NBT.B.5',
    'adds and subtracts fluently within 100',
    'tens-ones-100 crossing-100 complement-100',
    100,
  ),
  ccss('3.OA.A.4', 'finds the unknown number of a multiplication or division', 'missing-factor', 100),
  ccss('3.OA.C.7', 'multiplies and divides fluently within 100', 'x2-10-5 x3-4 x6-9', 100),

  england(
    'Y1 place value: counting',
    'counts to and across 100, on and back, from any number',
    'count-30 count-100 count-120 back-20 back-100',
    100,
  ),
  england(
    'Y1 place value: numerals and steps',
    'counts, reads and writes numbers to 100; counts in twos, fives and tens',
    'numerals-20 numerals-100 write-10 write-20 write-100 twos-20 fives-50 tens-50 tens-100',
    100,
  ),
  england('Y1 place value: one more', 'says one more and one less', 'one-more-10 order-20 order-100'),
  england(
    'Y1 addition: bonds',
    'uses number bonds and their subtractions within 20',
    'parts-of-5 complements-10 doubles-10 doubles-20 make-ten-20 subtract-teens subtract-20 recall-10',
    20,
  ),
  england(
    'Y1 addition: to 20',
    'adds and subtracts one- and two-digit numbers to 20',
    'count-on-20 make-ten-20 subtract-teens subtract-20',
    20,
  ),
  england(
    'Y1 multiplication and division',
    'solves one-step problems with objects, pictures and arrays',
    'share-12 equal-groups-20 rows-25',
  ),
  england('Y1 fractions', 'finds half and a quarter of a quantity', 'half-20 quarter-20'),
  england('Y1 measurement: money', 'knows what coins are worth', 'like-coins-20 pay-10'),
  england('Y1 time', 'tells the time to the hour and half past', 'hour half-hour'),
  england(
    'Y2 place value: steps',
    'counts in steps of 2, 3 and 5 from 0, and in tens from any number',
    'twos-100 threes-fours fives-100 tens-100 ten-more-grid',
  ),
  england(
    'Y2 place value: digits',
    'knows the place value of each digit of a two-digit number',
    'tens-ones tens-and-ones-100',
    99,
  ),
  england('Y2 place value: order', 'compares and orders numbers to 100', 'order-100', 100),
  england(
    'Y2 addition: facts',
    'recalls facts to 20 fluently, uses related facts to 100',
    'make-ten-20 subtract-20 recall-20 whole-tens-100 complement-100',
    100,
  ),
  england(
    'Y2 addition: two digits',
    'adds and subtracts two-digit numbers',
    'tens-ones-100 crossing-100',
    100,
  ),
  england(
    'Y2 multiplication',
    'recalls the facts of the 2, 5 and 10 times tables; knows odd and even numbers',
    'x2-10-5 odd-even-10',
    100,
  ),
  england(
    'Y2 measurement: money',
    'makes the same amount from different coins; works out what is paid and what comes back',
    'pay-10 coins-50 change-20',
  ),
  england(
    'Y2 time',
    'tells the time to five minutes, with quarter past and quarter to',
    'quarter five-minutes',
  ),
  england(
    'Y3 place value: steps',
    'counts in 4, 8, 50 and 100; ten or 100 more and less',
    'threes-fours ten-more-grid',
    1000,
  ),
  england(
    'Y3 place value: hundreds',
    'knows hundreds, tens and ones; reads, writes, compares and orders to 1000',
    'hundreds numerals-1000 order-1000 count-1000',
    1000,
  ),
  england(
    'Y3 addition',
    'adds and subtracts ones, tens and hundreds to three-digit numbers in the head',
    'beyond-100',
    1000,
  ),
  england('Y3 multiplication', 'recalls the facts of the 3, 4 and 8 times tables', 'x3-4', 96),
  england('Y4 place value', 'counts in 6, 7, 9, 25 and 1000', 'sevens'),
  england(
    'Y4 multiplication',
    'recalls the tables to 12 × 12; uses place value and known facts to divide',
    'x6-9 missing-factor',
    144,
  ),

  elg(
    'Number 1',
    'understands numbers to 10 deeply, with what each is made of',
    'count-set-10 count-out-5 count-out-10 numerals-10 five-and-some missing-part-10',
    10,
  ),
  elg('Number 2', 'sees how many to 5 without counting', 'see-5', 5),
  elg(
    'Number 3',
    'recalls bonds to 5 at once, and some to 10 with doubles',
    'parts-of-5 complements-10 doubles-10 recall-5',
    10,
  ),
  elg(
    'Numerical Patterns 1',
    'counts beyond 20 and knows the pattern of the count',
    'count-20 count-30 back-10',
    20,
  ),
  elg(
    'Numerical Patterns 2',
    'compares amounts to 10: more, less, the same',
    'more-5 more-10 one-more-10',
    10,
  ),
  elg(
    'Numerical Patterns 3',
    'explores patterns to 10: evens and odds, doubles, sharing',
    'twos-20 odd-even-10 share-12',
    10,
  ),
]

/** The statements that a step serves. */
export const statementsFor = ({ step }: StepPlace): readonly Statement[] =>
  statements.filter(({ steps }) => steps.includes(step))
