import type { Chance } from '../../chance/chance'
import type { PracticeItem } from '../item'

/** Draws what a task asks. */
export type Maker = (chance: Chance) => PracticeItem

export const say =
  (low: number, high: number, steps: number): Maker =>
  (chance) => {
    const from = chance.int(low, high)
    return { op: 'say', from, answer: from + steps }
  }
export const numeral =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'numeral', answer: chance.int(low, high) })
export const write =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'numeral', answer: chance.int(low, high), write: true })
/** A sum or what is left, to be said at once: totals in a range, and neither part nought. */
export const byHeart =
  (low: number, high: number): Maker =>
  (chance) => {
    const whole = chance.int(low, high)
    // To twenty both parts are of one digit or ten: what is known is the table of adding.
    const least = Math.max(1, whole - 10)
    const part = chance.int(least, whole - least)
    return chance.int(0, 1) === 0
      ? { op: 'add', a: part, b: whole - part, answer: whole, known: true }
      : { op: 'subtract', a: whole, b: part, answer: whole - part, known: true }
  }
export const countOut =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'count', answer: chance.int(low, high) })
export const countSet =
  (low: number, high: number): Maker =>
  (chance) => ({ op: 'count', answer: chance.int(low, high), set: true })
export const skip =
  (by: number, low: number, high: number): Maker =>
  (chance) => ({ op: 'skip', by, answer: by * chance.int(low, high) })
export const neighbour =
  (low: number, high: number, by: number): Maker =>
  (chance) => {
    const of = chance.int(low, high)
    const step = chance.int(0, 1) === 0 ? by : -by
    return { op: 'neighbour', of, by: step, answer: of + step }
  }
export const more =
  (low: number, high: number): Maker =>
  (chance) => {
    const a = chance.int(low + 1, high)
    const b = chance.int(low, a - 1)
    return chance.int(0, 1) === 0
      ? { op: 'compare', a, b, ask: 'more', answer: a }
      : { op: 'compare', a: b, b: a, ask: 'more', answer: a }
  }
export const taking =
  (low: number, high: number): Maker =>
  (chance) => {
    const a = chance.int(low, high)
    const b = chance.int(1, a - 1)
    return { op: 'subtract', a, b, answer: a - b }
  }
export const missing =
  (low: number, high: number): Maker =>
  (chance) => {
    const whole = chance.int(low, high)
    const part = chance.int(1, whole - 1)
    return { op: 'missing', part, whole, answer: whole - part }
  }
export const tens =
  (low: number, high: number): Maker =>
  (chance) => {
    const answer = chance.int(low, high)
    return { op: 'tens', tens: Math.floor(answer / 10), ones: answer % 10, answer }
  }
export const times =
  (factors: readonly number[], others: readonly number[]): Maker =>
  (chance) => {
    const a = factors[chance.int(0, factors.length - 1)]
    const b = others[chance.int(0, others.length - 1)]
    return { op: 'multiply', a, b, answer: a * b }
  }
export const clock =
  (minutes: readonly number[]): Maker =>
  (chance) => {
    const hour = chance.int(1, 12)
    const minute = minutes[chance.int(0, minutes.length - 1)]
    return { op: 'clock', hour, minute, answer: (hour % 12) * 60 + minute }
  }
export const pattern =
  (...units: string[]): Maker =>
  (chance) => {
    const unit = units[chance.int(0, units.length - 1)]
    return { op: 'pattern', unit, answer: unit.length }
  }
/** A number to be put among others that are given. */
export const ordering =
  (low: number, high: number, among: number): Maker =>
  (chance) => ({ op: 'order', among, answer: chance.int(low, high) })
/** Up to twelve, shared among two, three or four without a rest. */
export const sharing: Maker = (chance) => {
  const among = chance.int(2, 4)
  const answer = chance.int(2, Math.floor(12 / among))
  return { op: 'share', total: among * answer, among, answer }
}
/** Equal groups, or rows: from two to five of two to five, up to a number. */
export const equalGroups =
  (to: number, rows: boolean): Maker =>
  (chance) => {
    const size = chance.int(2, 5)
    const groups = chance.int(2, Math.min(5, Math.floor(to / size)))
    const answer = groups * size
    return rows ? { op: 'groups', groups, size, rows, answer } : { op: 'groups', groups, size, answer }
  }
export const partOf =
  (parts: 2 | 4, low: number, high: number): Maker =>
  (chance) => {
    const answer = chance.int(low, high)
    return { op: 'part-of', of: parts * answer, parts, answer }
  }
export const same = (n: number): PracticeItem => ({ op: 'compare', a: n, b: n, ask: 'more', answer: n })
/** Tens and ones with or without crossing a ten: with ones or with tens and ones, added or taken away. */
export const twoDigits =
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
/** Two amounts that lie there, of two things at least, and are counted together. */
export const countedTogether =
  (low: number, high: number): Maker =>
  (chance) => {
    const total = chance.int(low, high)
    const b = chance.int(2, total - 2)
    return { op: 'add', a: total - b, b, answer: total, counted: true }
  }
/** So many ones, of which ten are changed for a ten. */
export const trading =
  (low: number, high: number): Maker =>
  (chance) => {
    const answer = chance.int(low, high)
    return { op: 'tens', tens: Math.floor(answer / 10), ones: answer % 10, answer, traded: true }
  }
