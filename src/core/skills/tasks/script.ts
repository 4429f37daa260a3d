import type { Chance } from '../../chance/chance'
import { stepWords, timeInWords, type PracticeItem } from '../item'

/** What lies on the table, if anything does, and what is said. */
export interface Script {
  /** What the adult lays, hides or shows; null: nothing is needed. */
  do: string | null
  say: string
}

/** What is known by heart is asked so that there is no time to count. */
const atOnce = 'Hands on the table; wait three seconds at most.'

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

/** What lies on the table and what to say, in plain words. */
export function scriptOf(id: string, item: PracticeItem, chance: Chance): Script {
  const own = scripts[id]
  if (own) return own(item)
  switch (item.op) {
    case 'add':
      return item.known
        ? { do: atOnce, say: `${item.a} and ${item.b}?` }
        : spoken(`What is ${item.a} and ${item.b}?`)
    case 'subtract': {
      if (item.known) return { do: atOnce, say: `${item.a} take away ${item.b}?` }
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
      return item.write
        ? { do: 'Paper and a pencil; no numbers in sight.', say: `Write the number ${item.answer}.` }
        : { do: `Show the card ${item.answer}.`, say: 'Which number is this?' }
    case 'say':
      return spoken(`Count ${item.answer >= item.from ? 'on' : 'back'} from ${item.from} to ${item.answer}.`)
    case 'skip':
      return spoken(`Count in ${stepWords[item.by]} to ${item.answer}.`)
    case 'compare':
      return id === 'more-5'
        ? {
            do: `Lay ${many(item.a, 'counter')} and ${many(item.b, 'counter')}, spread out differently.`,
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
    case 'coins':
      return { do: `Lay out coins: ${item.coins.join(', ')}.`, say: 'How many shells are these worth?' }
    case 'pay':
      return {
        do: 'A heap of coins of every kind.',
        say: `This costs ${item.price} shells. Pay it with as few coins as you can. How many coins is that?`,
      }
    case 'change':
      return spoken(`It costs ${item.price} shells and you pay with ${item.paid}. How many come back?`)
    case 'multiply':
      return spoken(`What is ${item.a} times ${item.b}?`)
    case 'factor':
      return spoken(`${item.part} times what is ${item.whole}?`)
    case 'clock':
      return {
        do: 'A clock with hands to turn.',
        say: `Set the clock to ${timeInWords(item.hour, item.minute)}.`,
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
