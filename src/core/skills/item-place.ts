import { largestNumber, type PracticeItem } from './item'
import { add } from './ladders/add'
import { coins } from './ladders/coins'
import { count, countBack } from './ladders/count'
import { facts } from './ladders/facts'
import { groups } from './ladders/groups'
import { howMany } from './ladders/how-many'
import { numerals } from './ladders/numerals'
import { order } from './ladders/order'
import { pattern } from './ladders/pattern'
import { placeValue } from './ladders/place-value'
import { recall } from './ladders/recall'
import { skipFives, skipMore, skipTens, skipTwos } from './ladders/skip'
import type { Strand, StrandId } from './ladders/strand'
import { time } from './ladders/time'

/**
 * The step an item practises: the one place where facts meet the ladders.
 * An item beyond the top of its ladder counts as the top step.
 */
export function placeOf(item: PracticeItem): { strand: StrandId; step: string } {
  if ('known' in item && item.known && largestNumber(item) <= 20) return upTo(recall, largestNumber(item))
  switch (item.op) {
    case 'add':
      return item.counted && item.answer <= 10
        ? at(add, item.answer <= 5 ? 'count-all-5' : 'count-all-10')
        : addPlace(item.a, item.b)
    case 'subtract':
      return item.compared && item.a <= 10 ? at(add, 'difference-10') : subtractPlace(item.a, item.b)
    case 'missing':
      return at(add, missingStep(item.part, item.whole))
    case 'count':
      return at(howMany, item.set && item.answer <= 10 ? 'count-set-10' : countStep(item.answer))
    case 'see':
      return seenPlace(item.pattern, item.answer)
    case 'numeral':
      return numeralPlace(item.answer, item.write ?? false)
    case 'say':
      return item.answer >= item.from ? upTo(count, item.answer) : upTo(countBack, item.from)
    case 'skip':
      return skipPlace(item.by, item.answer)
    case 'compare':
      return comparePlace(Math.max(item.a, item.b))
    case 'neighbour':
      return neighbourPlace(item.of, item.by, item.answer)
    case 'order':
      return at(order, orderStep(item.answer))
    case 'tens':
      if (item.traded) return at(placeValue, 'trade-ten')
      return at(placeValue, item.answer < 20 ? 'ten-and-some' : item.answer <= 100 ? 'tens-ones' : 'hundreds')
    case 'share':
      return at(groups, 'share-12')
    case 'groups':
      return at(groups, item.rows ? 'rows-25' : 'equal-groups-20')
    case 'part-of':
      return at(groups, item.parts === 2 ? 'half-20' : 'quarter-20')
    case 'odd-even':
      return at(groups, 'odd-even-10')
    case 'coins':
      return at(coins, new Set(item.coins).size === 1 && item.answer <= 20 ? 'like-coins-20' : 'coins-50')
    case 'pay':
      return at(coins, item.price <= 10 ? 'pay-10' : 'coins-50')
    case 'change':
      return at(coins, 'change-20')
    case 'multiply':
      return at(facts, factStep(item.a, item.b))
    case 'factor':
      return at(facts, 'missing-factor')
    case 'clock':
      return at(time, clockStep(item.minute))
    case 'pattern':
      return at(pattern, patternStep(item.unit))
  }
}

const at = (strand: Strand, step: string) => ({ strand: strand.id, step })

/** The lowest step whose range holds the number. */
function upTo(strand: Strand, number: number) {
  const step = strand.steps.find(({ range }) => number <= range.to) ?? strand.steps.at(-1)!
  return at(strand, step.id)
}

/** Beyond a hundred reading and writing are one rung. */
function numeralPlace(number: number, write: boolean) {
  if (write && number <= 100) return at(numerals, `write-${number <= 10 ? 10 : number <= 20 ? 20 : 100}`)
  return at(numerals, `numerals-${[5, 10, 20, 100, 120].find((to) => number <= to) ?? 1000}`)
}

const whole = (number: number) => number % 10 === 0

/** From nothing a child counts all; from a number held in the head a child counts on. */
function addPlace(a: number, b: number) {
  const sum = a + b
  if (sum <= 5) return at(add, 'count-all-5')
  if (sum <= 10) return at(add, a === 0 || b === 0 ? 'count-all-10' : a === b ? 'doubles-10' : 'count-on-10')
  if (sum < 20 && (a === 10 || b === 10)) return at(placeValue, 'ten-and-some')
  if (sum <= 20) return at(add, addToTwenty(a, b))
  if (sum > 100) return at(add, 'beyond-100')
  if (whole(a) && whole(b)) return at(add, 'whole-tens-100')
  // Tens put to a number, or the number to its tens: what ten more does on the grid.
  if (whole(a) || whole(b))
    return Math.min(a, b) < 10 ? at(placeValue, 'tens-ones') : at(placeValue, 'ten-more-grid')
  return at(add, (a % 10) + (b % 10) > 9 ? 'crossing-100' : 'tens-ones-100')
}

function addToTwenty(a: number, b: number): string {
  if (a === b) return 'doubles-20'
  return a > 10 || b > 10 || Math.min(a, b) <= 3 ? 'count-on-20' : 'make-ten-20'
}

function subtractPlace(a: number, b: number) {
  if (a <= 5) return at(add, 'take-away-5')
  if (a <= 10) return at(add, 'take-away-10')
  if (a < 20 && b === 10) return at(placeValue, 'ten-and-some')
  if (a > 100) return at(add, 'beyond-100')
  if (a <= 20) return at(add, a % 10 >= b || b === 0 ? 'subtract-teens' : 'subtract-20')
  if (whole(b) && b > 0) return whole(a) ? at(add, 'whole-tens-100') : at(placeValue, 'ten-more-grid')
  return at(add, a % 10 < b % 10 ? 'crossing-100' : 'tens-ones-100')
}

function missingStep(part: number, all: number): string {
  if (all === 10) return 'complements-10'
  if (all <= 5) return 'parts-of-5'
  if (all < 10) return 'missing-part-10'
  if (all > 100) return 'beyond-100'
  if (all <= 20) return part >= 10 && all < 20 ? 'subtract-teens' : 'subtract-20'
  return whole(part) && whole(all) ? 'whole-tens-100' : 'complement-100'
}

/** A pattern to five is seen as one; beyond it by its parts, and beyond ten as ten and some. */
function seenPlace(pattern: Extract<PracticeItem, { op: 'see' }>['pattern'], answer: number) {
  if (answer <= 5) return at(howMany, 'see-5')
  if (answer > 10) return at(placeValue, 'ten-and-some')
  return at(howMany, answer === 6 && pattern !== 'frame' ? 'see-6' : 'five-and-some')
}

function clockStep(minute: number): string {
  if (minute === 0) return 'hour'
  if (minute === 30) return 'half-hour'
  return minute % 15 === 0 ? 'quarter' : 'five-minutes'
}

function countStep(answer: number): string {
  if (answer <= 5) return 'count-out-5'
  if (answer <= 10) return 'count-out-10'
  return answer <= 20 ? 'count-out-20' : 'tens-and-ones-100'
}

function skipPlace(by: number, answer: number) {
  if (by === 10) return at(skipTens, answer <= 50 ? 'tens-50' : 'tens-100')
  if (by === 5) return at(skipFives, answer <= 50 ? 'fives-50' : 'fives-100')
  if (by === 2) return at(skipTwos, answer <= 20 ? 'twos-20' : 'twos-100')
  return at(skipMore, [3, 4, 8].includes(by) ? 'threes-fours' : 'sevens')
}

function comparePlace(larger: number) {
  return at(order, larger <= 5 ? 'more-5' : larger <= 10 ? 'more-10' : orderStep(larger))
}

const orderStep = (number: number) =>
  number <= 10
    ? 'order-10'
    : number <= 20
      ? 'order-20'
      : number <= 100
        ? 'order-100'
        : number <= 120
          ? 'order-120'
          : 'order-1000'

/** A step of ten is place value on the grid; a step of one is order. */
function neighbourPlace(of: number, by: number, answer: number) {
  const larger = Math.max(of, answer)
  if (Math.abs(by) >= 10) return at(placeValue, 'ten-more-grid')
  return at(order, larger <= 10 ? 'one-more-10' : orderStep(larger))
}

function factStep(a: number, b: number): string {
  const easy = (factor: number) => [0, 1, 2, 5, 10].includes(factor)
  if (easy(a) || easy(b)) return 'x2-10-5'
  return [3, 4, 8].includes(a) || [3, 4, 8].includes(b) ? 'x3-4' : 'x6-9'
}

function patternStep(unit: string): string {
  if (unit.includes('C')) return 'pattern-abc'
  return unit.length === 2 ? 'pattern-ab' : 'pattern-aab'
}
