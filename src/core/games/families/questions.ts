import type { Chance } from '../../chance/chance'
import { byHeart, equalGroups, partOf, sharing } from '../../skills/tasks/draw'
import { changeOf20, likeCoins, paying, purse } from '../../skills/tasks/draw-coins'
import { itemKey, largestNumber, type PracticeItem } from '../../skills/item'

interface QuestionKind {
  title: string
  /** The strand and step that every question of this kind practises. */
  strand: string
  step: string
  /** The largest number in a question. */
  to: number
  ask: (chance: Chance) => PracticeItem
}

const add = (a: number, b: number): PracticeItem => ({ op: 'add', a, b, answer: a + b })
const subtract = (a: number, b: number): PracticeItem => ({ op: 'subtract', a, b, answer: a - b })
const missing = (part: number, whole: number): PracticeItem => ({
  op: 'missing',
  part,
  whole,
  answer: whole - part,
})
const multiply = (a: number, b: number): PracticeItem => ({ op: 'multiply', a, b, answer: a * b })

/** Questions by strand and step, with fresh numbers each time. */
export const questionKinds = {
  'parts-of-5': {
    title: 'parts of 5',
    strand: 'add',
    step: 'parts-of-5',
    to: 5,
    ask: (chance) => missing(chance.int(0, 5), 5),
  },
  'take-away-10': {
    title: 'take away to 10',
    strand: 'add',
    step: 'take-away-10',
    to: 10,
    ask: (chance) => {
      const a = chance.int(6, 10)
      return subtract(a, chance.int(1, a - 1))
    },
  },
  'count-on-10': {
    title: 'count on to 10',
    strand: 'add',
    step: 'count-on-10',
    to: 10,
    ask: (chance) => {
      const b = chance.int(1, 4)
      const a = chance.int(6 - b, 10 - b)
      // A double is another step.
      return add(a === b ? a + 1 : a, b)
    },
  },
  'bonds-10': {
    title: 'parts of 10',
    strand: 'add',
    step: 'complements-10',
    to: 10,
    ask: (chance) => missing(chance.int(0, 10), 10),
  },
  doubles: {
    title: 'doubles to 20',
    strand: 'add',
    step: 'doubles-20',
    to: 20,
    ask: (chance) => {
      const number = chance.int(6, 10)
      return add(number, number)
    },
  },
  'make-ten': {
    title: 'make ten',
    strand: 'add',
    step: 'make-ten-20',
    to: 20,
    ask: (chance) => {
      const a = chance.int(7, 9)
      const b = chance.int(11 - a > 4 ? 11 - a : 4, 9)
      return a === b ? add(a, b - 1) : add(a, b)
    },
  },
  'subtract-20': {
    title: 'subtract to 20',
    strand: 'add',
    step: 'subtract-20',
    to: 20,
    ask: (chance) => {
      const whole = chance.int(11, 18)
      // Through ten: inside the teens it is another step.
      return subtract(whole, chance.int((whole % 10) + 1, 9))
    },
  },
  'tens-and-ones': {
    title: 'tens and ones',
    strand: 'place',
    step: 'tens-ones',
    to: 100,
    ask: (chance) => {
      const [tens, ones] = [chance.int(2, 9), chance.int(0, 9)]
      return { op: 'tens', tens, ones, answer: 10 * tens + ones }
    },
  },
  'gap-100': {
    title: 'gap to 100',
    strand: 'add',
    step: 'complement-100',
    to: 100,
    ask: (chance) => missing(10 * chance.int(0, 9) + chance.int(1, 9), 100),
  },
  'more-or-less-100': {
    title: 'which is more, to 100',
    strand: 'order',
    step: 'order-100',
    to: 100,
    ask: (chance) => {
      const a = chance.int(21, 100)
      // Two different numbers: of equal ones neither is more.
      const other = chance.int(10, 99)
      const b = other < a ? other : other + 1
      return { op: 'compare', a, b, ask: 'more', answer: Math.max(a, b) }
    },
  },
  sharing: {
    title: 'sharing to 12',
    strand: 'groups',
    step: 'share-12',
    to: 12,
    ask: sharing,
  },
  'odd-or-even': {
    title: 'odd or even to 10',
    strand: 'groups',
    step: 'odd-even-10',
    to: 10,
    ask: (chance) => {
      const of = chance.int(1, 10)
      return { op: 'odd-even', of, answer: of % 2 }
    },
  },
  'equal-groups': {
    title: 'equal groups to 20',
    strand: 'groups',
    step: 'equal-groups-20',
    to: 20,
    ask: equalGroups(20, false),
  },
  halves: {
    title: 'halves to 20',
    strand: 'groups',
    step: 'half-20',
    to: 20,
    ask: partOf(2, 2, 10),
  },
  rows: {
    title: 'rows to 5 by 5',
    strand: 'groups',
    step: 'rows-25',
    to: 25,
    ask: equalGroups(25, true),
  },
  quarters: {
    title: 'quarters to 20',
    strand: 'groups',
    step: 'quarter-20',
    to: 20,
    ask: partOf(4, 1, 5),
  },
  'coins-alike': {
    title: 'coins of one kind',
    strand: 'coins',
    step: 'like-coins-20',
    to: 20,
    ask: likeCoins,
  },
  'prices-10': {
    title: 'prices to 10',
    strand: 'coins',
    step: 'pay-10',
    to: 10,
    ask: paying(3, 9),
  },
  purses: {
    title: 'mixed coins to 50',
    strand: 'coins',
    step: 'coins-50',
    to: 50,
    ask: purse,
  },
  'prices-50': {
    title: 'prices to 50',
    strand: 'coins',
    step: 'coins-50',
    to: 50,
    ask: paying(11, 49),
  },
  change: {
    title: 'change from 10 and 20',
    strand: 'coins',
    step: 'change-20',
    to: 20,
    ask: changeOf20,
  },
  'facts-5': {
    title: 'facts to 5',
    strand: 'recall',
    step: 'recall-5',
    to: 5,
    ask: byHeart(3, 5),
  },
  'facts-10': {
    title: 'facts to 10',
    strand: 'recall',
    step: 'recall-10',
    to: 10,
    ask: byHeart(6, 10),
  },
  'facts-20': {
    title: 'facts to 20',
    strand: 'recall',
    step: 'recall-20',
    to: 20,
    ask: byHeart(11, 20),
  },
  'times-2-5-10': {
    title: 'times 2, 5, 10',
    strand: 'facts',
    step: 'x2-10-5',
    to: 100,
    ask: (chance) => multiply([2, 5, 10][chance.int(0, 2)], chance.int(1, 10)),
  },
  'times-3-4': {
    title: 'times 3, 4, 8',
    strand: 'facts',
    step: 'x3-4',
    to: 72,
    ask: (chance) => multiply([3, 4, 8][chance.int(0, 2)], [3, 4, 6, 7, 8, 9][chance.int(0, 5)]),
  },
  'times-6-9': {
    title: 'times 6, 7, 9',
    strand: 'facts',
    step: 'x6-9',
    to: 81,
    ask: (chance) => multiply([6, 7, 9][chance.int(0, 2)], [6, 7, 9][chance.int(0, 2)]),
  },
  factors: {
    title: 'missing factor',
    strand: 'facts',
    step: 'missing-factor',
    to: 90,
    ask: (chance) => {
      const [part, answer] = [chance.int(2, 9), chance.int(2, 10)]
      return { op: 'factor', part, whole: part * answer, answer }
    },
  },
} as const satisfies Record<string, QuestionKind>

export type QuestionKindId = keyof typeof questionKinds
export const questionKindIds = Object.keys(questionKinds) as [QuestionKindId, ...QuestionKindId[]]

/** A question of this kind. */
export const question = (kind: QuestionKindId, chance: Chance): PracticeItem =>
  questionKinds[kind].ask(chance)

/**
 * So many different questions of a kind, easy to hard: more to count is harder, then larger numbers; of two to compare those
 * that lie closer. Common practice, no source. As far as the kind has so many.
 */
export function questionsInOrder(kind: QuestionKindId, count: number, chance: Chance): PracticeItem[] {
  const drawn = new Map<string, PracticeItem>()
  for (let tries = 0; drawn.size < count && tries < 20 * count; tries++) {
    const item = question(kind, chance)
    drawn.set(itemKey(item), item)
  }
  return [...drawn.values()].sort((a, b) => hardness(a) - hardness(b))
}

const hardness = (item: PracticeItem): number =>
  item.op === 'compare' ? -Math.abs(item.a - item.b) : 1000 * countsFor(item) + largestNumber(item)

/** Counts needed to work an item out by counting up; 0 where it is known or read. */
export function countsFor(item: PracticeItem): number {
  if ('known' in item && item.known) return 0
  switch (item.op) {
    case 'add':
      return Math.min(item.a, item.b)
    case 'subtract':
      return Math.min(item.b, item.answer)
    case 'missing':
      return Math.floor(item.answer / 10) + (item.answer % 10)
    case 'coins':
      return item.coins.length
    case 'pay':
      return item.answer
    case 'change':
      return item.answer
    default:
      return 0
  }
}
