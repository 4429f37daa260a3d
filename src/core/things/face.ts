import { z } from 'zod'

const n = z.number().int()
const count = n.min(0)

/**
 * What a card, the side of a die, a sector or a box shows. One value, one drawing: on the screen, on
 * paper, in the picture beside a game.
 */
export const faceSchema = z.discriminatedUnion('kind', [
  z.object({ kind: z.literal('numeral'), n }),
  /** Dots as on a die. */
  z.object({ kind: z.literal('pips'), n: count.max(9) }),
  z.object({ kind: z.literal('fingers'), n: count.max(10) }),
  /** A frame filled fives first. */
  z.object({
    kind: z.literal('frame'),
    n: count.max(20),
    cells: z.union([z.literal(5), z.literal(10), z.literal(20)]),
  }),
  /** Dots in two groups that are seen as such. */
  z.object({ kind: z.literal('groups'), a: count, b: count }),
  /** A heap of things, in fives. */
  z.object({ kind: z.literal('objects'), n: count }),
  z.object({ kind: z.literal('tens'), tens: count, ones: count }),
  z.object({ kind: z.literal('domino'), a: count.max(9), b: count.max(9) }),
  /** Minutes after twelve. */
  z.object({ kind: z.literal('clock'), minutes: count.max(719) }),
  z.object({ kind: z.literal('sum'), a: count, b: count }),
  z.object({ kind: z.literal('difference'), a: count, b: count }),
  z.object({ kind: z.literal('product'), a: count, b: count }),
  /** Two parts below, what they make on top; one corner may be covered. */
  z.object({
    kind: z.literal('triangle'),
    a: count,
    b: count,
    top: count,
    covered: z.enum(['none', 'top', 'a', 'b']),
  }),
  z.object({ kind: z.literal('chest'), n: count }),
  /** A row of coloured cubes, a letter each. */
  z.object({ kind: z.literal('chain'), colours: z.string().regex(/^[A-C]*$/) }),
  /** A wheel with the sector the clip points at; null: not spun yet. */
  z.object({ kind: z.literal('wheel'), sectors: z.array(z.string()).min(2), at: count.nullable() }),
  /** Coins side by side, by what each is worth. */
  z.object({ kind: z.literal('coins'), coins: z.array(count).min(1).max(8) }),
  z.object({ kind: z.literal('words'), text: z.string().max(80) }),
  /** A place that is shaded, or pointed at. */
  z.object({ kind: z.literal('shade') }),
  z.object({ kind: z.literal('blank') }),
])

export type Face = z.infer<typeof faceSchema>

export const numeral = (n: number): Face => ({ kind: 'numeral', n })
export const pips = (n: number): Face => ({ kind: 'pips', n })
export const words = (text: string): Face => ({ kind: 'words', text })

/** Dots in two groups: five and some more, or two that are nearly alike. */
export const groups = (n: number): Face =>
  n > 5 ? { kind: 'groups', a: 5, b: n - 5 } : { kind: 'groups', a: Math.ceil(n / 2), b: Math.floor(n / 2) }

/** A wheel of the numbers 1 to `sectors`. */
export const wheel = (sectors: number, at: number | null): Face => ({
  kind: 'wheel',
  sectors: Array.from({ length: sectors }, (_, i) => String(i + 1)),
  at: at === null ? null : at - 1,
})

/** A pattern that is seen, not counted: of a number up to `high`, in a frame that holds it. */
export function pattern(kind: 'dice' | 'fingers' | 'frame' | 'groups', n: number, high = n): Face {
  switch (kind) {
    case 'dice':
      return pips(n)
    case 'fingers':
      return { kind: 'fingers', n }
    case 'frame':
      return { kind: 'frame', n, cells: high > 10 ? 20 : high > 5 ? 10 : 5 }
    case 'groups':
      return groups(n)
  }
}
