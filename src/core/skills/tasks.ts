import type { Chance } from '../chance/chance'
import type { StepPlace } from './index'
import type { PracticeItem } from './item'

/** A task for one child, ready to be said: fresh numbers each time. What to look for are the step's marks. */
export interface Task {
  /** What the adult says. */
  say: string
  /** What lies on the table. */
  objects: readonly string[]
  item: PracticeItem
}

type Maker = (chance: Chance) => PracticeItem

const say =
  (low: number, high: number, steps: number): Maker =>
  (chance) => {
    const from = chance.int(low, high)
    return { op: 'say', from, answer: from + steps }
  }
const numeral =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'numeral', answer: chance.int(low, high) })
const countOut =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'count', answer: chance.int(low, high) })
const skip =
  (by: number, low: number, high: number): Maker =>
  (chance) => ({ op: 'skip', by, answer: by * chance.int(low, high) })
const neighbour =
  (low: number, high: number, by: number): Maker =>
  (chance) => {
    const of = chance.int(low, high)
    const step = chance.int(0, 1) === 0 ? by : -by
    return { op: 'neighbour', of, by: step, answer: of + step }
  }
const more =
  (low: number, high: number): Maker =>
  (chance) => {
    const a = chance.int(low + 1, high)
    const b = chance.int(low, a - 1)
    return chance.int(0, 1) === 0
      ? { op: 'compare', a, b, ask: 'more', answer: a }
      : { op: 'compare', a: b, b: a, ask: 'more', answer: a }
  }
/** a + b with the total in a range and each part at least `least`. */
const adding =
  (low: number, high: number, least = 1): Maker =>
  (chance) => {
    const total = chance.int(low, high)
    const b = chance.int(least, total - least)
    return { op: 'add', a: total - b, b, answer: total }
  }
const taking =
  (low: number, high: number): Maker =>
  (chance) => {
    const a = chance.int(low, high)
    const b = chance.int(1, a - 1)
    return { op: 'subtract', a, b, answer: a - b }
  }
const missing =
  (low: number, high: number): Maker =>
  (chance) => {
    const whole = chance.int(low, high)
    const part = chance.int(1, whole - 1)
    return { op: 'missing', part, whole, answer: whole - part }
  }
const tens =
  (low: number, high: number): Maker =>
  (chance) => {
    const answer = chance.int(low, high)
    return { op: 'tens', tens: Math.floor(answer / 10), ones: answer % 10, answer }
  }
const times =
  (factors: readonly number[], others: readonly number[]): Maker =>
  (chance) => {
    const a = factors[chance.int(0, factors.length - 1)]
    const b = others[chance.int(0, others.length - 1)]
    return { op: 'multiply', a, b, answer: a * b }
  }
const clock =
  (minutes: readonly number[]): Maker =>
  (chance) => {
    const hour = chance.int(1, 12)
    const minute = minutes[chance.int(0, minutes.length - 1)]
    return { op: 'clock', hour, minute, answer: (hour % 12) * 60 + minute }
  }
const pattern =
  (...units: string[]): Maker =>
  (chance) => {
    const unit = units[chance.int(0, units.length - 1)]
    return { op: 'pattern', unit, answer: unit.length }
  }
/** Tens and ones with or without crossing a ten. */
const twoDigits =
  (crossing: boolean): Maker =>
  (chance) => {
    const ones = crossing ? chance.int(3, 9) : chance.int(1, 5)
    const more = crossing ? chance.int(10 - ones + 1, 9) : chance.int(1, 9 - ones - 1)
    const a = 10 * chance.int(2, 5) + ones
    const b = 10 * chance.int(1, 3) + more
    return { op: 'add', a, b, answer: a + b }
  }

const makers: Record<string, Maker> = {
  'count-5': say(1, 1, 4),
  'count-10': say(3, 6, 4),
  'count-20': say(11, 15, 5),
  'count-30': say(18, 24, 6),
  'count-100': say(36, 92, 8),
  'count-120': say(97, 108, 8),
  'count-1000': say(296, 990, 8),
  'back-5': say(5, 5, -4),
  'back-10': say(7, 10, -4),
  'back-20': say(13, 20, -5),
  'back-100': say(32, 99, -6),
  'numerals-5': numeral(0, 5),
  'numerals-10': numeral(6, 10),
  'numerals-20': numeral(11, 20),
  'numerals-100': numeral(21, 100),
  'numerals-120': numeral(101, 120),
  'numerals-1000': numeral(121, 1000),
  'count-out-5': countOut(2, 5),
  'count-out-10': countOut(6, 10),
  'see-6': (chance) => ({
    op: 'see',
    pattern: chance.int(0, 1) === 0 ? 'dice' : 'fingers',
    answer: chance.int(2, 6),
  }),
  'five-and-some': (chance) => ({ op: 'see', pattern: 'frame', answer: chance.int(6, 10) }),
  'count-out-20': countOut(11, 20),
  'tens-and-ones-100': countOut(23, 58),
  'more-5': more(1, 5),
  'more-10': (chance) => {
    const a = chance.int(6, 10)
    const b = chance.int(3, a - 1)
    return { op: 'compare', a, b, ask: 'more', answer: a }
  },
  'one-more-10': neighbour(2, 9, 1),
  'order-20': neighbour(11, 19, 1),
  'order-100': neighbour(22, 98, 1),
  'order-120': neighbour(101, 119, 1),
  'order-1000': neighbour(130, 998, 1),
  'count-all-5': adding(3, 5),
  'take-away-5': taking(3, 5),
  'count-all-10': adding(6, 10, 2),
  'parts-of-5': missing(5, 5),
  'take-away-10': taking(6, 10),
  'count-on-10': (chance) => {
    const b = chance.int(2, 4)
    const a = chance.int(Math.max(4, 6 - b), 10 - b)
    return { op: 'add', a, b, answer: a + b }
  },
  'missing-part-10': missing(6, 9),
  'complements-10': missing(10, 10),
  'count-on-20': (chance) => {
    const b = chance.int(1, 3)
    const a = chance.int(11, 20 - b)
    return { op: 'add', a, b, answer: a + b }
  },
  'make-ten-20': (chance) => {
    const a = chance.int(7, 9)
    const b = chance.int(4, a - 1)
    return { op: 'add', a, b, answer: a + b }
  },
  'subtract-20': (chance) => {
    const a = chance.int(11, 18)
    const b = chance.int(3, 9)
    return { op: 'subtract', a, b, answer: a - b }
  },
  'tens-ones-100': twoDigits(false),
  'crossing-100': twoDigits(true),
  'complement-100': (chance) => {
    const whole = chance.int(0, 1) === 0 ? 100 : 10 * chance.int(4, 9)
    const part = chance.int(11, whole - 5)
    return { op: 'missing', part, whole, answer: whole - part }
  },
  'ten-and-some': tens(11, 19),
  'trade-ten': countOut(12, 19),
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
  'threes-fours': (chance) => skip(chance.int(3, 4), 4, 10)(chance),
  sevens: skip(7, 3, 10),
  'x2-10-5': times([2, 5, 10], [3, 4, 6, 7, 8, 9]),
  'x3-4': times([3, 4], [3, 4, 6, 7, 8, 9]),
  'x6-9': times([6, 7, 8, 9], [6, 7, 8, 9]),
  'missing-factor': (chance) => {
    const [part, answer] = [chance.int(3, 9), chance.int(3, 9)]
    return { op: 'factor', part, whole: part * answer, answer }
  },
  hour: clock([0]),
  'half-hour': clock([30]),
  quarter: clock([15, 45]),
  'pattern-ab': pattern('AB'),
  'pattern-aab': pattern('AAB', 'ABB'),
  'pattern-abc': pattern('ABC'),
}

/** Things a step's tasks need on the table, where its numbers alone do not do. */
const objectsOf: Record<string, readonly string[]> = {
  'count-all-5': ['counters'],
  'take-away-5': ['counters'],
  'count-all-10': ['counters'],
  'take-away-10': ['counters within reach'],
  'count-on-10': ['counters', 'a cloth to hide them'],
  'trade-ten': ['base-ten ones and tens'],
  'tens-and-ones-100': ['tens and single cubes'],
  'ten-more-grid': ['hundred grid'],
}

/** A fresh task of a step. */
export function taskFor({ step }: StepPlace, chance: Chance): Task {
  const item = makers[step](chance)
  return { item, objects: objectsOf[step] ?? usualObjects(item), say: scriptOf(step, item) }
}

function usualObjects(item: PracticeItem): readonly string[] {
  switch (item.op) {
    case 'count':
      return ['counters']
    case 'see':
      return [
        item.pattern === 'frame'
          ? 'ten-frame card'
          : item.pattern === 'dice'
            ? 'dice pattern card'
            : 'your hands',
      ]
    case 'numeral':
      return ['number cards']
    case 'clock':
      return ['clock with hands to turn']
    case 'pattern':
      return ['cubes in three colours']
    default:
      return []
  }
}

const colours = { A: 'red', B: 'blue', C: 'green' } as const

const clockWords = (hour: number, minute: number) => {
  const next = (hour % 12) + 1
  if (minute === 0) return `${hour} o’clock`
  if (minute === 30) return `half past ${hour}`
  return minute === 15 ? `quarter past ${hour}` : `quarter to ${next}`
}

/** What to say, in plain words. */
function scriptOf(id: string, item: PracticeItem): string {
  if (id === 'trade-ten')
    return `Here are ${item.answer} ones. Trade what you can for a ten. What have you got now?`
  if (id === 'count-all-10' || id === 'count-all-5') {
    const { a, b } = item as Extract<PracticeItem, { op: 'add' }>
    return `Here are ${a} counters, and here are ${b}. How many are there altogether?`
  }
  if (id === 'count-on-10') {
    const { a, b } = item as Extract<PracticeItem, { op: 'add' }>
    return `I hide ${a} under the cloth. I put ${b} more beside it. How many are there altogether?`
  }
  switch (item.op) {
    case 'add':
      return `What is ${item.a} and ${item.b}?`
    case 'subtract':
      return `You have ${item.a} and take ${item.b} away. How many are left?`
    case 'missing':
      return `${item.part} and how many more make ${item.whole}?`
    case 'count':
      return `Give me ${item.answer} of these.`
    case 'see':
      return `Show ${item.answer} for a moment. How many did you see? How do you know?`
    case 'numeral':
      return `Show the card with ${item.answer}: which number is this? Turn it over: can you write it?`
    case 'say':
      return item.answer >= item.from
        ? `Count on from ${item.from}. Stop the child after ${item.answer}.`
        : `Count back from ${item.from}. Stop the child after ${item.answer}.`
    case 'skip':
      return `Count in ${item.by}s. Go as far as ${item.answer}.`
    case 'compare':
      return `Which is more: ${item.a} or ${item.b}? How do you know?`
    case 'neighbour':
      return `What is ${Math.abs(item.by)} ${item.by > 0 ? 'more' : 'less'} than ${item.of}?`
    case 'order':
      return `Where does ${item.answer} go?`
    case 'tens':
      return `Look at ${item.answer}. How many ${item.answer > 100 ? 'hundreds, tens and ones' : 'tens and ones'} has it?`
    case 'multiply':
      return `What is ${item.a} times ${item.b}?`
    case 'factor':
      return `${item.part} times what is ${item.whole}?`
    case 'clock':
      return `Set the clock to ${clockWords(item.hour, item.minute)}.`
    case 'pattern': {
      const unit = [...item.unit].map((letter) => colours[letter as keyof typeof colours])
      return `Lay ${[...unit, ...unit].join(', ')}. Go on with it. Which part comes again and again?`
    }
  }
}
