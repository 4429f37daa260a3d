import type { Chance } from '../chance/chance'
import type { StepPlace } from './index'
import { stepWords, type PracticeItem } from './item'

/** A task for one child, ready to be said: fresh numbers each time. What to look for are the step's marks. */
export interface Task {
  /** What the adult lays, hides or shows; null: nothing is needed. */
  do: string | null
  say: string
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
const countSet =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'count', answer: chance.int(low, high), set: true })
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
/** A number to be put among others that are given. */
const ordering =
  (low: number, high: number, among: number): Maker =>
  (chance) => ({ op: 'order', among, answer: chance.int(low, high) })
/** Equal groups, or rows: from two to five of two to five, up to a number. */
const equalGroups =
  (to: number, rows: boolean): Maker =>
  (chance) => {
    const size = chance.int(2, 5)
    const groups = chance.int(2, Math.min(5, Math.floor(to / size)))
    const answer = groups * size
    return rows ? { op: 'groups', groups, size, rows, answer } : { op: 'groups', groups, size, answer }
  }
const partOf =
  (parts: 2 | 4, low: number, high: number): Maker =>
  (chance) => {
    const answer = chance.int(low, high)
    return { op: 'part-of', of: parts * answer, parts, answer }
  }
const same = (n: number): PracticeItem => ({ op: 'compare', a: n, b: n, ask: 'more', answer: n })
/** Tens and ones with or without crossing a ten: with ones or with tens and ones, added or taken away. */
const twoDigits =
  (crossing: boolean): Maker =>
  (chance) => {
    const ones = crossing ? chance.int(3, 8) : chance.int(1, 8)
    const tens = 10 * chance.int(3, 6)
    const others = 10 * (chance.int(0, 1) === 0 ? 0 : chance.int(1, 2))
    if (chance.int(0, 1) === 0) {
      const more = crossing ? chance.int(10 - ones, 9) : chance.int(1, 9 - ones)
      // Up to a whole ten is no crossing of it.
      const b = others + (ones + more === 10 ? Math.min(9, more + 1) : more)
      return { op: 'add', a: tens + ones, b, answer: tens + ones + b }
    }
    const less = crossing ? chance.int(ones + 1, 9) : chance.int(1, ones)
    const a = tens + ones
    return { op: 'subtract', a, b: others + less, answer: a - others - less }
  }

const makers: Record<string, Maker> = {
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
  'count-all-5': adding(4, 5, 2),
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
  'threes-fours': (chance) => skip([3, 4, 8][chance.int(0, 2)], 4, 10)(chance),
  sevens: (chance) => skip([6, 7, 9][chance.int(0, 2)], 3, 10)(chance),
  'share-12': (chance) => {
    const among = chance.int(2, 4)
    const answer = chance.int(2, Math.floor(12 / among))
    return { op: 'share', total: among * answer, among, answer }
  },
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
  hour: clock([0]),
  'half-hour': clock([30]),
  quarter: clock([15, 45]),
  'five-minutes': clock([5, 10, 20, 25, 35, 40, 50, 55]),
  'pattern-ab': pattern('AB'),
  'pattern-aab': pattern('AAB', 'ABB'),
  'pattern-abc': pattern('ABC'),
}

/** A fresh task of a step. */
export function taskFor({ step }: StepPlace, chance: Chance): Task {
  const item = makers[step](chance)
  return { item, ...scriptOf(step, item, chance) }
}

type Script = Omit<Task, 'item'>

const spoken = (say: string): Script => ({ do: null, say })

const colours = { A: 'red', B: 'blue', C: 'green' } as const

/** Things in a number that agrees: “1 counter”, “4 counters”. */
const many = (count: number, thing: string) =>
  `${count === 0 ? 'no' : count} ${thing}${count === 1 ? '' : 's'}`

/** What lies there and what is said, for steps whose numbers alone do not tell. */
const scripts: Record<string, (item: PracticeItem) => Script> = {
  'count-all-5': (item) => twoHeaps(item),
  'count-all-10': (item) => twoHeaps(item),
  'count-on-10': (item) => {
    const { a, b } = item as Extract<PracticeItem, { op: 'add' }>
    return {
      do: `Hide ${many(a, 'counter')} under a cloth; lay ${many(b, 'counter')} beside it.`,
      say: `${a} under here. ${b} more. How many altogether?`,
    }
  },
  'count-set-10': ({ answer }) => ({
    do: `Lay ${many(answer, 'counter')} in a muddle.`,
    say: 'Count these. So how many are there?',
  }),
  'difference-10': (item) => {
    const { a, b } = item as Extract<PracticeItem, { op: 'subtract' }>
    return {
      do: `Lay a row of ${many(a, 'counter')} and a row of ${many(b, 'counter')}, one below the other.`,
      say: 'How many more are in the longer row?',
    }
  },
  'trade-ten': ({ answer }) => ({
    do: `Lay ${many(answer, 'base-ten one')}; tens within reach.`,
    say: `Here are ${answer} ones. Swap what you can for a ten. What have you got now?`,
  }),
  'tens-and-ones-100': ({ answer }) => ({
    do: `Lay ${many(Math.floor(answer / 10), 'rod')} of ten and ${many(answer % 10, 'cube')}.`,
    say: 'How many cubes are there altogether?',
  }),
}

function twoHeaps(item: PracticeItem): Script {
  const { a, b } = item as Extract<PracticeItem, { op: 'add' }>
  return { do: `Lay ${many(a, 'counter')} and ${many(b, 'counter')}.`, say: 'How many are there altogether?' }
}

const clockWords = (hour: number, minute: number) => {
  const next = (hour % 12) + 1
  if (minute === 0) return `${hour} o’clock`
  if (minute === 30) return `half past ${hour}`
  if (minute === 15 || minute === 45) return minute === 15 ? `quarter past ${hour}` : `quarter to ${next}`
  return minute < 30 ? `${minute} past ${hour}` : `${60 - minute} to ${next}`
}

/** What lies on the table and what to say, in plain words. */
function scriptOf(id: string, item: PracticeItem, chance: Chance): Script {
  const own = scripts[id]
  if (own) return own(item)
  switch (item.op) {
    case 'add':
      return spoken(`What is ${item.a} and ${item.b}?`)
    case 'subtract': {
      const say = `Take ${item.b} away from ${item.a}. How many are left?`
      return item.a <= 10 ? { do: `Lay ${many(item.a, 'counter')}.`, say } : spoken(say)
    }
    case 'missing':
      return spoken(`${item.part} and how many more make ${item.whole}?`)
    case 'count':
      return { do: 'A heap of counters.', say: `Give me ${item.answer} of these.` }
    case 'see':
      return {
        do: `Show ${seenOn(item.pattern, item.answer)} for two seconds.`,
        say: 'How many did you see? How do you know?',
      }
    case 'numeral':
      return {
        do: `Show the card ${item.answer}; then turn it over.`,
        say: 'Which number is this? Can you write it?',
      }
    case 'say':
      return spoken(`Count ${item.answer >= item.from ? 'on' : 'back'} from ${item.from} to ${item.answer}.`)
    case 'skip':
      return spoken(`Count in ${stepWords[item.by]} to ${item.answer}.`)
    case 'compare':
      return id === 'more-5'
        ? {
            do: `Lay ${many(item.a, 'counter')} and ${many(item.b, 'counter')}, spread out unlike.`,
            say: 'Are there more here or there, or the same? How do you know?',
          }
        : spoken(`Which is more: ${item.a} or ${item.b}? How do you know?`)
    case 'neighbour':
      return id === 'ten-more-grid'
        ? {
            do: 'A hundred grid.',
            say: `What is ${Math.abs(item.by)} ${item.by > 0 ? 'more' : 'less'} than ${item.of}?`,
          }
        : spoken(
            `What is ${Math.abs(item.by) === 1 ? 'one' : item.by} ${item.by > 0 ? 'more' : 'less'} than ${item.of}?`,
          )
    case 'order': {
      const others = othersBeside(item.answer, item.among, id, chance)
      return { do: `Lay the cards ${others.join(', ')} in a row.`, say: `Where does ${item.answer} go?` }
    }
    case 'tens':
      return {
        do: `Show the card ${item.answer}.`,
        say:
          item.answer > 100
            ? 'How many hundreds? How many tens? How many ones?'
            : 'How many tens? How many ones?',
      }
    case 'share':
      return {
        do: `Lay ${many(item.total, 'counter')} and ${many(item.among, 'plate')}.`,
        say: `Share these fairly between the ${item.among} plates. How many are on each?`,
      }
    case 'groups':
      return item.rows
        ? {
            do: `Lay counters in ${item.groups} rows of ${item.size}.`,
            say: 'How many are there? How can you tell without counting each one?',
          }
        : {
            do: `Draw ${item.groups} rings and lay ${many(item.size, 'counter')} in each.`,
            say: `${item.groups} groups of ${item.size}. How many altogether?`,
          }
    case 'part-of':
      return {
        do: `Lay ${many(item.of, 'counter')}.`,
        say: `Show me ${item.parts === 2 ? 'half' : 'a quarter'} of these. How many is that?`,
      }
    case 'odd-even':
      return { do: `Lay ${many(item.of, 'cube')}.`, say: `Is ${item.of} odd or even? How can you tell?` }
    case 'multiply':
      return spoken(`What is ${item.a} times ${item.b}?`)
    case 'factor':
      return spoken(`${item.part} times what is ${item.whole}?`)
    case 'clock':
      return {
        do: 'A clock with hands to turn.',
        say: `Set the clock to ${clockWords(item.hour, item.minute)}.`,
      }
    case 'pattern': {
      const unit = [...item.unit].map((letter) => colours[letter as keyof typeof colours])
      return {
        do: `Lay cubes: ${[...unit, ...unit].join(', ')}.`,
        say: 'Go on with it. Which part comes again and again?',
      }
    }
  }
}

function seenOn(pattern: Extract<PracticeItem, { op: 'see' }>['pattern'], n: number): string {
  switch (pattern) {
    case 'dice':
      return `a dice pattern of ${n}`
    case 'fingers':
      return `${many(n, 'finger')}`
    case 'frame':
      return `a ten frame with ${n}`
    case 'groups':
      return `${many(n, 'dot')} in two groups`
  }
}

/** Cards among which a number is put, in order: others of its step’s range. */
function othersBeside(answer: number, among: number, id: string, chance: Chance): number[] {
  const [low, high] = (
    { 'order-10': [0, 10], 'order-20': [0, 20], 'order-100': [11, 100], 'order-120': [90, 120] } as Record<
      string,
      [number, number]
    >
  )[id] ?? [130, 999]
  const others = new Set<number>()
  while (others.size < among) {
    const other = chance.int(low, high)
    if (other !== answer) others.add(other)
  }
  return [...others].sort((a, b) => a - b)
}
