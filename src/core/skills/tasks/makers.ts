import {
  byHeart,
  clock,
  countedTogether,
  countOut,
  countSet,
  equalGroups,
  type Maker,
  missing,
  more,
  neighbour,
  numeral,
  ordering,
  partOf,
  pattern,
  same,
  say,
  sharing,
  skip,
  taking,
  tens,
  times,
  trading,
  twoDigits,
  write,
} from './draw'
import { changeOf20, likeCoins, paying, purse } from './draw-coins'

/** What a task of each step asks: numbers that are at the step, and drawn anew each time. */
export const makers: Record<string, Maker> = {
  'count-5': say(1, 1, 4),
  'count-10': say(3, 6, 4),
  'count-20': say(11, 15, 5),
  'count-30': say(22, 24, 6),
  'count-100': say(36, 92, 8),
  'count-120': say(97, 108, 8),
  'count-1000': (chance) => {
    // Across a hundred: what is hard to say is there.
    const from = 100 * chance.int(2, 9) - chance.int(2, 6)
    return { op: 'say', from, answer: from + 8 }
  },
  'back-5': say(5, 5, -4),
  'back-10': say(7, 10, -4),
  'back-20': say(13, 20, -5),
  'back-100': say(32, 99, -6),
  'numerals-5': numeral(0, 5),
  'numerals-10': numeral(6, 10),
  'numerals-20': numeral(11, 20),
  'write-10': write(0, 10),
  'write-20': write(11, 20),
  'write-100': write(21, 99),
  'numerals-100': numeral(21, 100),
  'numerals-120': numeral(101, 120),
  'numerals-1000': numeral(121, 1000),
  'count-out-5': countOut(2, 5),
  'count-set-10': countSet(5, 10),
  'see-5': (chance) => ({
    op: 'see',
    pattern: chance.int(0, 1) === 0 ? 'dice' : 'fingers',
    answer: chance.int(2, 5),
  }),
  'count-out-10': countOut(6, 10),
  'see-6': (chance) => ({
    op: 'see',
    pattern: (['dice', 'fingers', 'groups'] as const)[chance.int(0, 2)],
    answer: 6,
  }),
  'five-and-some': (chance) => ({ op: 'see', pattern: 'frame', answer: chance.int(6, 10) }),
  'count-out-20': countOut(11, 20),
  'tens-and-ones-100': countOut(23, 58),
  'more-5': (chance) => (chance.int(1, 5) === 1 ? same(chance.int(2, 5)) : more(1, 5)(chance)),
  'more-10': (chance) => {
    const a = chance.int(6, 10)
    const b = chance.int(3, a - 1)
    return { op: 'compare', a, b, ask: 'more', answer: a }
  },
  'one-more-10': neighbour(2, 9, 1),
  'order-10': ordering(0, 10, 4),
  'order-20': (chance) =>
    chance.int(0, 1) === 0 ? ordering(11, 20, 4)(chance) : neighbour(11, 19, 1)(chance),
  'order-100': (chance) =>
    chance.int(0, 1) === 0 ? ordering(21, 100, 4)(chance) : neighbour(22, 98, 1)(chance),
  'order-120': (chance) =>
    chance.int(0, 1) === 0 ? ordering(101, 120, 4)(chance) : neighbour(101, 119, 1)(chance),
  'order-1000': (chance) =>
    chance.int(0, 1) === 0 ? ordering(130, 999, 4)(chance) : neighbour(130, 998, 1)(chance),
  'recall-5': byHeart(3, 5),
  'recall-10': byHeart(6, 10),
  'recall-20': byHeart(11, 20),
  'count-all-5': countedTogether(4, 5),
  'take-away-5': taking(3, 5),
  'count-all-10': countedTogether(6, 10),
  'parts-of-5': missing(5, 5),
  'take-away-10': taking(6, 10),
  'count-on-10': (chance) => {
    const b = chance.int(2, 4)
    const a = chance.int(Math.max(4, 6 - b), 10 - b)
    // A double is another step.
    if (a === b) return { op: 'add', a: a + 1, b, answer: a + b + 1 }
    return { op: 'add', a, b, answer: a + b }
  },
  'missing-part-10': missing(6, 9),
  'complements-10': missing(10, 10),
  'difference-10': (chance) => {
    const a = chance.int(5, 10)
    const b = chance.int(2, a - 2)
    return { op: 'subtract', a, b, answer: a - b, compared: true }
  },
  'count-on-20': (chance) => {
    const b = chance.int(2, 4)
    // Half of them across ten, or from a teen number.
    const a = chance.int(0, 1) === 0 && b < 4 ? chance.int(11 - b, 9) : chance.int(11, 20 - b)
    return { op: 'add', a, b, answer: a + b }
  },
  'doubles-10': (chance) => {
    const a = chance.int(3, 5)
    return { op: 'add', a, b: a, answer: 2 * a }
  },
  'doubles-20': (chance) => {
    const a = chance.int(6, 10)
    return { op: 'add', a, b: a, answer: 2 * a }
  },
  'subtract-teens': (chance) => {
    const ones = chance.int(3, 9)
    const b = chance.int(2, ones)
    return { op: 'subtract', a: 10 + ones, b, answer: 10 + ones - b }
  },
  'whole-tens-100': (chance) => {
    const kind = chance.int(0, 2)
    const total = 10 * chance.int(kind === 1 ? 5 : 4, 10)
    const part = 10 * chance.int(1, total / 10 - 1)
    if (kind === 0) return { op: 'missing', part, whole: 100, answer: 100 - part }
    return kind === 1
      ? { op: 'subtract', a: total, b: part, answer: total - part }
      : { op: 'add', a: part, b: total - part, answer: total }
  },
  'make-ten-20': (chance) => {
    const a = chance.int(7, 9)
    const b = chance.int(4, a - 1)
    return { op: 'add', a, b, answer: a + b }
  },
  'subtract-20': (chance) => {
    const a = chance.int(11, 18)
    // Always across ten: inside it is another step.
    const b = chance.int((a % 10) + 1, 9)
    return { op: 'subtract', a, b, answer: a - b }
  },
  'tens-ones-100': twoDigits(false),
  'crossing-100': twoDigits(true),
  'complement-100': (chance) => {
    // To a hundred, to whole tens, or to any number.
    const kind = chance.int(0, 2)
    const whole = kind === 0 ? 100 : kind === 1 ? 10 * chance.int(4, 9) : chance.int(31, 99)
    const least = whole - 5
    const low = chance.int(11, least)
    const part = low % 10 === 0 ? low + 1 : low
    return { op: 'missing', part, whole, answer: whole - part }
  },
  'beyond-100': (chance) => {
    const from = chance.int(112, 880)
    const unit = [1, 10, 100][chance.int(0, 2)]
    const by = unit * chance.int(unit === 1 ? 3 : 2, unit === 100 ? 4 : 9)
    return from > by + 100 && chance.int(0, 1) === 0
      ? { op: 'subtract', a: from, b: by, answer: from - by }
      : { op: 'add', a: Math.min(from, 990 - by), b: by, answer: Math.min(from, 990 - by) + by }
  },
  'ten-and-some': tens(11, 19),
  'trade-ten': trading(12, 19),
  'tens-ones': tens(21, 99),
  'ten-more-grid': (chance) => {
    const [of, tensBy] = [chance.int(21, 59), 10 * chance.int(1, 4)]
    return { op: 'neighbour', of, by: tensBy, answer: of + tensBy }
  },
  hundreds: tens(101, 999),
  'tens-50': skip(10, 2, 5),
  'tens-100': skip(10, 6, 10),
  'fives-50': skip(5, 3, 10),
  'fives-100': skip(5, 11, 20),
  'twos-20': skip(2, 4, 10),
  'twos-100': skip(2, 11, 50),
  'threes-fours': (chance) => skip([3, 4, 8][chance.int(0, 2)], 4, 10)(chance),
  sevens: (chance) => skip([6, 7, 9][chance.int(0, 2)], 3, 10)(chance),
  'share-12': sharing,
  'odd-even-10': (chance) => {
    const of = chance.int(2, 10)
    return { op: 'odd-even', of, answer: of % 2 }
  },
  'equal-groups-20': equalGroups(20, false),
  'half-20': partOf(2, 2, 10),
  'rows-25': equalGroups(25, true),
  'quarter-20': partOf(4, 1, 5),
  'x2-10-5': times([2, 5, 10], [3, 4, 6, 7, 8, 9]),
  'x3-4': times([3, 4, 8], [3, 4, 6, 7, 8, 9]),
  'x6-9': times([6, 7, 9], [6, 7, 9]),
  'missing-factor': (chance) => {
    const [part, answer] = [chance.int(3, 9), chance.int(3, 9)]
    return { op: 'factor', part, whole: part * answer, answer }
  },
  'like-coins-20': likeCoins,
  'pay-10': paying(3, 9),
  'coins-50': (chance) => (chance.int(0, 1) === 0 ? purse(chance) : paying(11, 49)(chance)),
  'change-20': changeOf20,
  hour: clock([0]),
  'half-hour': clock([30]),
  quarter: clock([15, 45]),
  'five-minutes': clock([5, 10, 20, 25, 35, 40, 50, 55]),
  'pattern-ab': pattern('AB'),
  'pattern-aab': pattern('AAB', 'ABB'),
  'pattern-abc': pattern('ABC'),
}
