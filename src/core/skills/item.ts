import { z } from 'zod'

const whole = z.number().int().nonnegative()

/** One thing a child works out in a go: what a level practises is measured by counting these. */
export const practiceItemSchema = z.discriminatedUnion('op', [
  z.object({ op: z.literal('add'), a: whole, b: whole, answer: whole }),
  z.object({ op: z.literal('subtract'), a: whole, b: whole, answer: whole }),
  /** `part` and how many make `whole`? */
  z.object({ op: z.literal('missing'), part: whole, whole, answer: whole }),
  /** Count out this many objects. */
  z.object({ op: z.literal('count'), answer: whole }),
  /** Read or find this numeral. */
  z.object({ op: z.literal('numeral'), answer: whole }),
])

export type PracticeItem = z.infer<typeof practiceItemSchema>

/** A short name, equal for equal items: `6+3`, `9-4`, `3+_=10`, `count 4`, `numeral 4`. */
export function itemKey(item: PracticeItem): string {
  switch (item.op) {
    case 'add':
      return `${item.a}+${item.b}`
    case 'subtract':
      return `${item.a}-${item.b}`
    case 'missing':
      return `${item.part}+_=${item.whole}`
    case 'count':
    case 'numeral':
      return `${item.op} ${item.answer}`
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
    case 'count':
    case 'numeral':
      return true
  }
}
