import { z } from 'zod'

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

export const spinnerSchema = z.object({
  kind: z.literal('spinner'),
  sectors: z.number().int().min(2).max(20),
})

/** All cards of a pack, lowest first. */
export function pack({ low, high, by = 1 }: { low: number; high: number; by?: number }): number[] {
  const cards: number[] = []
  for (let card = low; card <= high; card += by) cards.push(card)
  return cards
}

/** The pack without the card at `index`. */
export function without(cards: readonly number[], index: number): number[] {
  return [...cards.slice(0, index), ...cards.slice(index + 1)]
}
