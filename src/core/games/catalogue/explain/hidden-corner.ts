import { z } from 'zod'
import type { PracticeItem } from '../../../skills'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { range, shorterBy } from '../../engine/source'
import { perSet } from '../../engine/material'
import { packSpots, packThings } from '../../families/on-table'
import { onTable, type Face } from '../../../table'

const paramsSchema = z.object({
  op: z.enum(['add', 'multiply']).default('add'),
  /** The largest part on a card. */
  high: z.number().int().min(2).max(12),
  /** One part of each card is among these; null: any part. */
  among: z.array(z.number().int().min(1).max(12)).min(1).max(6).nullable().default(null),
  /** The partner covers the total, or a part. */
  cover: z.enum(['total', 'part']).default('total'),
  /** Cards turned in a game. */
  turn: z.number().int().min(3).max(66).default(16),
  /** Say how you knew. */
  explain: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

/** Triangle cards: every unordered pair of parts once. A covered factor of nought could be anything: factors begin at one. */
function triangles({ op, high, among }: Params): [number, number][] {
  const low = op === 'multiply' ? 1 : 0
  return range(low, high)
    .flatMap((a) => range(a, high).map((b): [number, number] => [a, b]))
    .filter((parts) => among === null || parts.some((part) => among.includes(part)))
}

const turned = (params: Params) => Math.min(params.turn, triangles(params).length)

function ask({ op, cover }: Params, a: number, b: number): PracticeItem {
  if (op === 'add')
    return cover === 'total'
      ? { op: 'add', a: b, b: a, answer: a + b }
      : { op: 'missing', part: b, whole: a + b, answer: a }
  return cover === 'total'
    ? { op: 'multiply', a, b, answer: a * b }
    : { op: 'factor', part: b, whole: a * b, answer: a }
}

const engine = responding<Params>({
  tasks: turned,
  cards: (params) => triangles(params).length,
  open({ params, card, player }, sink) {
    sink?.({ kind: 'drew', player, card })
    return triangles(params)[card]
  },
  answer({ params, prompt: [a, b], player }, sink) {
    sink({ kind: 'answered', player, item: ask(params, a, b), steps: params.op === 'add' ? a : 0 })
    if (params.explain) sink({ kind: 'explained', player })
  },
})

const level = (id: string, title: string, to: number, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, to, params.cover === 'part' ? 'hidden' : 'numerals', paramsSchema.parse(params))

const table = respondTable<Params>(
  () => onTable(packSpots([60, 54])),
  ({ params, prompt, open, packLeft }) => {
    const [a, b] = prompt
    const covered = params.cover === 'total' ? 'top' : 'a'
    const face: Face = {
      kind: 'triangle',
      a,
      b,
      top: params.op === 'add' ? a + b : a * b,
      covered: open ? covered : 'none',
    }
    return packThings('triangle cards', prompt.length > 0 ? face : undefined, packLeft.length)
  },
)

export const hiddenCorner = defineGame({
  ...engine,
  id: 'hidden-corner',
  title: 'Hidden Corner',
  summary: 'A card shows two parts and their total; a partner covers one corner, the other says it.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('totals-3', 'totals, parts to 3', 6, { high: 3, turn: 10 }),
    level('totals-4', 'totals, parts to 4', 8, { high: 4, turn: 15 }),
    level('totals-5', 'totals, parts to 5', 10, { high: 5 }),
    level('parts-5', 'parts to 5', 10, { high: 5, cover: 'part' }),
    level('totals-7', 'totals, parts to 7', 14, { high: 7 }),
    level('parts-7', 'parts to 7', 14, { high: 7, cover: 'part' }),
    level('totals-10', 'totals, parts to 10', 20, { high: 10 }),
    level('parts-10', 'parts to 10', 20, { high: 10, cover: 'part' }),
    level('products-2-5-10', 'products of 2, 5 and 10', 100, { op: 'multiply', high: 10, among: [2, 5, 10] }),
    level('products', 'products to 10 × 10', 100, { op: 'multiply', high: 10 }),
    level('factors', 'factors to 10', 100, { op: 'multiply', high: 10, cover: 'part' }),
  ],
  usual: 'totals-5',
  players: { min: 2, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  marked: ({ op, cover, high, among }) =>
    cover === 'part' || high < 10 || among !== null
      ? null
      : op === 'add'
        ? { strand: 'add', step: 'make-ten-20' }
        : { strand: 'facts', step: 'x3-4' },
  figures: (params) => ({ cards: triangles(params).length }),
  variants: (params) => [
    ...shorterBy(turned(params), 4).map((turn) => ({
      change: 'fewer-cards' as const,
      amount: turn,
      params: { ...params, turn },
    })),
  ],
  table,
  materials: ({ op, high, among }) => [perSet({ kind: 'triangle cards', op, to: high, among })],
  room: { ...quietTable, alone: false },
})
