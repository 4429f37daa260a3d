import type { Chance } from '../../../chance/chance'
import type { PracticeItem } from '../../../skills'
import type { Sink } from '../../engine/game'
import { dice, sum, totalsOf, turnUp, type Numbers } from '../../engine/source'

/** What is done with the numbers turned up, to get the number that is marked. */
export const callRules = ['total', 'minus-two', 'ten-minus', 'product', 'difference'] as const

type Rule = (typeof callRules)[number]

/** How a number is called. */
interface Call {
  source: Numbers
  rule: Rule
}

/** The number to mark for a throw. */
export function called({ rule }: Call, thrown: readonly number[]): number {
  const [a, b = 1] = thrown
  switch (rule) {
    case 'total':
      return sum(thrown)
    case 'minus-two':
      return sum(thrown) - 2
    case 'ten-minus':
      return 10 - sum(thrown)
    case 'product':
      return a * b
    case 'difference':
      return Math.abs(a - b)
  }
}

/** The sums that lead to it. */
export function worked({ rule }: Call, thrown: readonly number[]): PracticeItem[] {
  const [a, b = 1] = thrown
  const total = sum(thrown)
  const last = thrown[thrown.length - 1]
  const adding: PracticeItem[] =
    thrown.length > 1 ? [{ op: 'add', a: total - last, b: last, answer: total }] : []
  switch (rule) {
    case 'total':
      return adding.length > 0 ? adding : [{ op: 'numeral', answer: total }]
    case 'minus-two':
      return [...adding, { op: 'subtract', a: total, b: 2, answer: total - 2 }]
    case 'ten-minus':
      return [{ op: 'missing', part: total, whole: 10, answer: 10 - total }]
    case 'product':
      return [{ op: 'multiply', a, b, answer: a * b }]
    case 'difference': {
      const [high, low] = [Math.max(a, b), Math.min(a, b)]
      return [{ op: 'subtract', a: high, b: low, answer: high - low, compared: true }]
    }
  }
}

const pairs = (rule: Rule) => rule === 'product' || rule === 'difference'

/** Uses the device; two cards or spins where the rule needs two numbers. */
export function callNumbers({ source, rule }: Call, chance: Chance, player: number, sink?: Sink): number[] {
  const first = turnUp(source, chance, player, sink)
  return pairs(rule) && first.length < 2 ? [...first, ...turnUp(source, chance, player, sink)] : first
}

const weightsKnown = new Map<string, ReadonlyMap<number, number>>()

/** How often each number is called. */
export function callWeights(params: Call): ReadonlyMap<number, number> {
  const key = JSON.stringify([params.source, params.rule])
  const known = weightsKnown.get(key)
  if (known) return known
  const weights = new Map<number, number>()
  const hear = (thrown: number[], share: number) => {
    const number = called(params, thrown)
    if (number >= 0) weights.set(number, (weights.get(number) ?? 0) + share)
  }
  const singles: ReadonlyMap<number, number> =
    params.source.kind === 'dice' ? totalsOf(dice(1)) : totalsOf(params.source)
  if (pairs(params.rule)) for (const [a, p] of singles) for (const [b, q] of singles) hear([a, b], p * q)
  else for (const [total, share] of totalsOf(params.source)) hear([total], share)
  weightsKnown.set(key, weights)
  return weights
}
