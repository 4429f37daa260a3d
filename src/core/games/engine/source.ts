import { z } from 'zod'
import { inAnyOrder, type Matters, type Chance } from '../../chance/chance'
import type { Sink, Variant } from './game'
import { perSet, type Material } from './material'

/** Where the numbers of a game come from. */
export const diceSchema = z.object({
  kind: z.literal('dice'),
  count: z.number().int().min(1).max(3),
})

export const cardsSchema = z
  .object({
    kind: z.literal('cards'),
    low: z.number().int().min(0).max(1000),
    high: z.number().int().min(0).max(1000),
  })
  .refine(({ low, high }) => low <= high, { path: ['high'], error: 'The highest card is below the lowest.' })

const spinnerSchema = z.object({
  kind: z.literal('spinner'),
  sectors: z.number().int().min(2).max(20),
})

/** Dice or a spinner: every throw stands by itself. */
export const throwSchema = z.discriminatedUnion('kind', [diceSchema, spinnerSchema])
export type Throw = z.infer<typeof throwSchema>

/** Dice, a spinner, or cards shuffled back after each draw. */
export const numbersSchema = z.discriminatedUnion('kind', [diceSchema, spinnerSchema, cardsSchema])
export type Numbers = z.infer<typeof numbersSchema>

export const dice = (count: number) => ({ kind: 'dice' as const, count })
export const spinner = (sectors: number) => ({ kind: 'spinner' as const, sectors })
export const cards = (low: number, high: number) => ({ kind: 'cards' as const, low, high })

/** Uses the device once; one number a die. */
export function turnUp(source: Numbers, chance: Chance, player: number, sink?: Sink): number[] {
  switch (source.kind) {
    case 'dice': {
      const faces: number[] = []
      for (let die = 0; die < source.count; die++) faces.push(chance.int(1, 6))
      sink?.({ kind: 'rolled', player, faces })
      return faces
    }
    case 'spinner': {
      const sector = chance.int(1, source.sectors)
      sink?.({ kind: 'spun', player, sector })
      return [sector]
    }
    case 'cards': {
      const card = chance.int(source.low, source.high)
      sink?.({ kind: 'drew', player, card })
      return [card]
    }
  }
}

/** Rolls dice of which only how often each face came up matters to the game, or only the total. */
export function rollInAnyOrder(
  count: number,
  chance: Chance,
  player: number,
  sink?: Sink,
  matters?: Matters,
): readonly number[] {
  const faces = inAnyOrder(chance, count, 1, 6, matters)
  sink?.({ kind: 'rolled', player, faces })
  return faces
}

/** Chance of each total a source can give; the totals ascending. */
export function totalsOf(source: Numbers): Map<number, number> {
  if (source.kind !== 'dice') {
    const [low, high] = source.kind === 'spinner' ? [1, source.sectors] : [source.low, source.high]
    return new Map(range(low, high).map((number) => [number, 1 / (high - low + 1)]))
  }
  let totals = new Map([[0, 1]])
  for (let die = 0; die < source.count; die++) {
    const next = new Map<number, number>()
    for (const [total, share] of totals)
      for (let face = 1; face <= 6; face++) next.set(total + face, (next.get(total + face) ?? 0) + share / 6)
    totals = next
  }
  return totals
}

/** The device among the materials of a set. */
export function deviceOf(source: Numbers): Material {
  if (source.kind === 'dice') return perSet({ kind: 'die', sides: 6 }, source.count)
  if (source.kind === 'spinner') return perSet({ kind: 'spinner', sectors: source.sectors })
  return perSet({ kind: 'number cards', from: source.low, to: source.high })
}

export const sum = (numbers: readonly number[]) => {
  let total = 0
  for (const number of numbers) total += number
  return total
}

/** `low, low + by, … high`. */
export function range(low: number, high: number, by = 1): number[] {
  const numbers: number[] = []
  for (let number = low; number <= high; number += by) numbers.push(number)
  return numbers
}

/** All cards of a pack, lowest first. */
export const pack = ({ low, high, by = 1 }: { low: number; high: number; by?: number }) =>
  range(low, high, by)

/** The pack without the card at `index`. */
export function without(cards: readonly number[], index: number): number[] {
  const left = cards.slice()
  for (let i = index + 1; i < left.length; i++) left[i - 1] = left[i]
  left.pop()
  return left
}

/** Shorter by a quarter and by half, mildest first: rounds, spaces or cards that a shorter game would have. */
export function shorterBy(now: number, least: number): number[] {
  return [0.75, 0.5].map((share) => Math.round(now * share)).filter((less) => less >= least && less < now)
}

/** The same rules with fewer of what the option `key` counts, by a quarter and by half. */
export function fewer<P, K extends keyof P>(
  params: P,
  key: K,
  change: Variant<P>['change'],
  least: number,
): Variant<P>[] {
  const now = params[key]
  if (typeof now !== 'number') return []
  return shorterBy(now, least).map((amount) => ({ change, amount, params: { ...params, [key]: amount } }))
}
