import { z } from 'zod'
import { fewestCoins } from './coins'

const whole = z.number().int().nonnegative()

/** One thing a child works out in a go: what a level practises is measured by counting these. */
export const practiceItemSchema = z.discriminatedUnion('op', [
  /** `known`: said at once, by heart; `counted`: both amounts lie there and all is counted; else worked out. */
  z.object({
    op: z.literal('add'),
    counted: z.literal(true).optional(),
    a: whole,
    b: whole,
    answer: whole,
    known: z.literal(true).optional(),
  }),
  /** `compared`: how many more `a` is than `b`; else `b` is taken away. */
  z.object({
    op: z.literal('subtract'),
    a: whole,
    b: whole,
    answer: whole,
    compared: z.literal(true).optional(),
    known: z.literal(true).optional(),
  }),
  /** `part` and how many make `whole`? */
  z.object({
    op: z.literal('missing'),
    part: whole,
    whole,
    answer: whole,
    known: z.literal(true).optional(),
  }),
  /** Count out this many objects; `set`: count those that lie there and say how many. */
  z.object({ op: z.literal('count'), answer: whole, set: z.literal(true).optional() }),
  /** Say how many without counting them. */
  z.object({
    op: z.literal('see'),
    pattern: z.enum(['dice', 'fingers', 'frame', 'groups']),
    answer: whole,
  }),
  /** Read or find this numeral; `write`: write it when it is said. */
  z.object({ op: z.literal('numeral'), answer: whole, write: z.literal(true).optional() }),
  /** Say the number words on (or back) from `from` to `answer`. */
  z.object({ op: z.literal('say'), from: whole, answer: whole }),
  /** Say this multiple while counting in steps. */
  z.object({ op: z.literal('skip'), by: whole, answer: whole }),
  /** Which of two is more, or less? */
  z.object({ op: z.literal('compare'), a: whole, b: whole, ask: z.enum(['more', 'less']), answer: whole }),
  /** One (or ten) more or less than a number. */
  z.object({ op: z.literal('neighbour'), of: whole, by: z.number().int(), answer: whole }),
  /** Put a number in its place among `among` others. */
  z.object({ op: z.literal('order'), among: whole, answer: whole }),
  /** Tens and ones make a number; `traded`: ten ones have to be changed for a ten first, or a ten for ones. */
  z.object({
    op: z.literal('tens'),
    tens: whole,
    ones: whole,
    answer: whole,
    traded: z.literal(true).optional(),
  }),
  z.object({ op: z.literal('multiply'), a: whole, b: whole, answer: whole }),
  /** `part` times what is `whole`? */
  z.object({ op: z.literal('factor'), part: whole, whole, answer: whole }),
  /** Share fairly: how many each gets. */
  z.object({ op: z.literal('share'), total: whole, among: whole, answer: whole }),
  /** Equal groups, or equal rows, that are seen: how many altogether? */
  z.object({
    op: z.literal('groups'),
    groups: whole,
    size: whole,
    rows: z.literal(true).optional(),
    answer: whole,
  }),
  /** One of two or four equal parts of a set. */
  z.object({
    op: z.literal('part-of'),
    of: whole,
    parts: z.union([z.literal(2), z.literal(4)]),
    answer: whole,
  }),
  /** Odd (1) or even (0)? */
  z.object({ op: z.literal('odd-even'), of: whole, answer: whole }),
  /** What some coins come to, as they lie there. */
  z.object({ op: z.literal('coins'), coins: z.array(whole).min(1).max(8), answer: whole }),
  /** Pay a price exactly with the fewest coins: how many are they? */
  z.object({ op: z.literal('pay'), price: whole, answer: whole }),
  /** What comes back when more than the price is paid. */
  z.object({ op: z.literal('change'), price: whole, paid: whole, answer: whole }),
  /** Read or set a time; the answer in minutes after twelve. */
  z.object({ op: z.literal('clock'), hour: whole, minute: whole, answer: whole }),
  /** Go on with a pattern; the answer is the length of the part that repeats. */
  z.object({ op: z.literal('pattern'), unit: z.string().regex(/^[A-C]{2,4}$/), answer: whole }),
])

export type PracticeItem = z.infer<typeof practiceItemSchema>

/** A short name, equal for equal items: `6+3`, `9-4`, `3+_=10`, `count 4`, `numeral 4`. */
export function itemKey(item: PracticeItem): string {
  switch (item.op) {
    case 'add':
      return `${item.a}+${item.b}${item.known ? ' known' : ''}${item.counted ? ' counted' : ''}`
    case 'subtract':
      return `${item.a}-${item.b}${item.compared ? ' compared' : ''}${item.known ? ' known' : ''}`
    case 'missing':
      return `${item.part}+_=${item.whole}${item.known ? ' known' : ''}`
    case 'multiply':
      return `${item.a}×${item.b}`
    case 'factor':
      return `${item.part}×_=${item.whole}`
    case 'share':
      return `${item.total} shared by ${item.among}`
    case 'groups':
      return `${item.groups} ${item.rows ? 'rows' : 'groups'} of ${item.size}`
    case 'part-of':
      return `${partWords[item.parts]} of ${item.of}`
    case 'odd-even':
      return `${item.of} odd or even`
    case 'coins':
      return `coins ${item.coins.join(' ')}`
    case 'pay':
      return `pay ${item.price}`
    case 'change':
      return `${item.paid} pays ${item.price}`
    case 'see':
      return `see ${item.answer} ${item.pattern}`
    case 'say':
      return `say ${item.from} to ${item.answer}`
    case 'skip':
      return `${item.answer} in ${item.by}s`
    case 'compare':
      return `${item.ask} ${item.a} ${item.b}`
    case 'neighbour':
      return `${item.of}${item.by < 0 ? '−' : '+'}${Math.abs(item.by)} beside`
    case 'order':
      return `order ${item.answer}`
    case 'tens':
      return `${item.tens} tens ${item.ones}${item.traded ? ' traded' : ''}`
    case 'clock':
      return `clock ${item.hour}:${String(item.minute).padStart(2, '0')}`
    case 'pattern':
      return `pattern ${item.unit}`
    case 'count':
      return `${item.set ? 'count set' : 'count'} ${item.answer}`
    case 'numeral':
      return `${item.write ? 'write' : 'numeral'} ${item.answer}`
  }
}

/** True if the item's answer is right: every engine's items are held to this. */
export function isTrue(item: PracticeItem): boolean {
  switch (item.op) {
    case 'add':
      return item.a + item.b === item.answer
    case 'subtract':
      return item.a - item.b === item.answer
    case 'missing':
      return item.part + item.answer === item.whole
    case 'multiply':
      return item.a * item.b === item.answer
    case 'factor':
      return item.part * item.answer === item.whole
    case 'share':
      return item.among > 0 && item.among * item.answer === item.total
    case 'groups':
      return item.groups * item.size === item.answer
    case 'part-of':
      return item.parts * item.answer === item.of
    case 'odd-even':
      return item.answer === item.of % 2
    case 'coins':
      return item.coins.reduce((sum, coin) => sum + coin, 0) === item.answer
    case 'pay':
      return fewestCoins(item.price).length === item.answer
    case 'change':
      return item.paid - item.price === item.answer
    case 'skip':
      return item.by > 0 && item.answer % item.by === 0
    case 'compare':
      return item.answer === (item.ask === 'more' ? Math.max(item.a, item.b) : Math.min(item.a, item.b))
    case 'neighbour':
      return item.of + item.by === item.answer
    case 'tens':
      return 10 * item.tens + item.ones === item.answer
    case 'clock':
      return (item.hour % 12) * 60 + item.minute === item.answer && item.minute < 60
    case 'pattern':
      return item.unit.length === item.answer
    case 'count':
    case 'see':
    case 'numeral':
    case 'say':
    case 'order':
      return true
  }
}

/** The largest number a child meets in the item: what a level's range is measured by. */
export function largestNumber(item: PracticeItem): number {
  switch (item.op) {
    case 'add':
    case 'multiply':
      return item.answer
    case 'subtract':
      return item.a
    case 'missing':
    case 'factor':
      return item.whole
    case 'share':
      return item.total
    case 'part-of':
    case 'odd-even':
      return item.of
    case 'pay':
      return item.price
    case 'change':
      return item.paid
    case 'say':
      return Math.max(item.from, item.answer)
    case 'compare':
      return Math.max(item.a, item.b)
    case 'neighbour':
      return Math.max(item.of, item.answer)
    case 'clock':
      return 12
    default:
      return item.answer
  }
}

/** Counting in steps, as it is said: in `fives`. */
export const stepWords: Record<number, string> = {
  2: 'twos',
  3: 'threes',
  4: 'fours',
  5: 'fives',
  6: 'sixes',
  7: 'sevens',
  8: 'eights',
  9: 'nines',
  10: 'tens',
}

const partWords = { 2: 'half', 4: 'a quarter' } as const

/** Groups as they are said: `3 groups of 4`, `1 row of 5`. */
function groupsInWords({ groups, size, rows }: Extract<PracticeItem, { op: 'groups' }>): string {
  const one = rows ? 'row' : 'group'
  return `${groups} ${groups === 1 ? one : `${one}s`} of ${size}`
}

const tensInWords = (tens: number) => `${tens} ${tens === 1 ? 'ten' : 'tens'}`

/** The hundreds, tens and ones of a number as a sum, without what is nought: `300 + 40`; `3 hundreds` alone. */
function hundredsAsSum({ tens, ones }: { tens: number; ones: number }): string {
  const parts = [100 * Math.floor(tens / 10), 10 * (tens % 10), ones].filter((part) => part > 0)
  return parts.length > 1 ? parts.join(' + ') : `${tens / 10} ${tens === 10 ? 'hundred' : 'hundreds'}`
}

/** The number sentence of an item, as it is written on a sheet or shown to the class; empty where none is written. */
export function sentenceOf(item: PracticeItem): string {
  switch (item.op) {
    case 'add':
      return `${item.a} + ${item.b} = ${item.answer}`
    case 'subtract':
      return `${item.a} − ${item.b} = ${item.answer}`
    case 'missing':
      return `${item.part} + ${item.answer} = ${item.whole}`
    case 'multiply':
      return `${item.a} × ${item.b} = ${item.answer}`
    case 'factor':
      return `${item.part} × ${item.answer} = ${item.whole}`
    case 'share':
      return `${item.total} ÷ ${item.among} = ${item.answer}`
    case 'groups':
      return `${groupsInWords(item)} = ${item.answer}`
    case 'part-of':
      return `${partWords[item.parts]} of ${item.of} = ${item.answer}`
    case 'odd-even':
      return `${item.of} is ${item.answer === 1 ? 'odd' : 'even'}`
    case 'coins':
      return item.coins.length > 1 ? `${item.coins.join(' + ')} = ${item.answer}` : String(item.answer)
    case 'pay':
      return `${item.price} = ${fewestCoins(item.price).join(' + ')}`
    case 'change':
      return `${item.paid} − ${item.price} = ${item.answer}`
    case 'compare':
      return item.a === item.b
        ? `${item.a} = ${item.b}`
        : `${item.a} ${item.a > item.b ? '>' : '<'} ${item.b}`
    case 'neighbour':
      return `${item.of} ${item.by < 0 ? '−' : '+'} ${Math.abs(item.by)} = ${item.answer}`
    case 'tens':
      return item.tens < 10
        ? `${tensInWords(item.tens)} + ${item.ones} = ${item.answer}`
        : `${hundredsAsSum(item)} = ${item.answer}`
    case 'clock':
      return `${item.hour}:${String(item.minute).padStart(2, '0')}`
    case 'pattern':
      return item.unit
    default:
      return String(item.answer)
  }
}

/** The time a clock shows, as it is said: `3 o’clock`, `half past 3`, `quarter to 4`, `20 to 4`. */
export function timeInWords(hour: number, minute: number): string {
  const at = hour % 12 || 12
  if (minute === 0) return `${at} o’clock`
  if (minute === 30) return `half past ${at}`
  if (minute === 15) return `quarter past ${at}`
  if (minute === 45) return `quarter to ${(at % 12) + 1}`
  if (minute % 5 === 0) return minute < 30 ? `${minute} past ${at}` : `${60 - minute} to ${(at % 12) + 1}`
  return `${at}:${String(minute).padStart(2, '0')}`
}

/** The item as a card asks it: where a gap alone would not tell what belongs in it, the question stands there. */
export const askedOnCard = (item: PracticeItem): string =>
  item.op === 'odd-even' ? `${item.of}: odd or even?` : itemAsked(item)

/** The item as it is asked, with a gap where the answer goes: what stands before the class. */
export function itemAsked(item: PracticeItem): string {
  switch (item.op) {
    case 'add':
      return `${item.a} + ${item.b} = ?`
    case 'subtract':
      return `${item.a} − ${item.b} = ?`
    case 'missing':
      return `${item.part} + ? = ${item.whole}`
    case 'multiply':
      return `${item.a} × ${item.b} = ?`
    case 'factor':
      return `${item.part} × ? = ${item.whole}`
    case 'share':
      return `${item.total} shared between ${item.among} = ?`
    case 'groups':
      return `${groupsInWords(item)} = ?`
    case 'part-of':
      return `${partWords[item.parts]} of ${item.of} = ?`
    case 'odd-even':
      return `${item.of} is ?`
    case 'coins':
      return 'Worth: ?'
    case 'pay':
      return `Pay ${item.price}: ? coins`
    case 'change':
      return `${item.price}, paid with ${item.paid}: ?`
    case 'compare':
      return item.ask === 'more' ? `${item.a} or ${item.b}: more?` : `${item.a} or ${item.b}: less?`
    case 'neighbour': {
      const by =
        Math.abs(item.by) === 1 ? 'one' : Math.abs(item.by) === 10 ? 'ten' : String(Math.abs(item.by))
      return `${by} ${item.by < 0 ? 'less' : 'more'} than ${item.of}?`
    }
    case 'tens':
      return item.tens < 10 ? `${tensInWords(item.tens)} and ${item.ones} = ?` : `${hundredsAsSum(item)} = ?`
    case 'count':
      return 'How many?'
    case 'see':
      return 'How many did you see?'
    case 'numeral':
      return 'Which number?'
    case 'say':
      return `${item.from}, then?`
    case 'skip':
      return item.answer === item.by ? `Count in ${item.by}s: ?` : `${item.answer - item.by}, then?`
    case 'order':
      return 'Where does it belong?'
    case 'clock':
      return 'What time is it?'
    case 'pattern':
      return 'Which part repeats?'
  }
}
