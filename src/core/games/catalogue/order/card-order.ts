import { z } from 'zod'
import { responding, respondTable, pastPrompts } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, packSpots, packThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral } from '../../../table'

const paramsSchema = z
  .object({
    low: z.number().int().min(0).max(1000),
    high: z.number().int().min(1).max(1000),
    by: z.number().int().min(1).max(100).default(1),
    /** Cards in a row. */
    row: z.number().int().min(3).max(10).default(5),
    rows: z.number().int().min(1).max(10).default(3),
    /** Largest first. */
    falling: z.boolean().default(false),
  })
  .refine(({ low, high, by, row }) => (high - low) / by + 1 >= row, {
    path: ['row'],
    error: 'The pack has fewer cards than a row.',
  })

export type Params = z.infer<typeof paramsSchema>

const packOf = ({ low, high, by }: Pick<Params, 'low' | 'high' | 'by'>) => range(low, high, by)

const engine = responding<Params>({
  tasks: ({ row, rows }) => row * rows,
  cards: (params) => packOf(params).length,
  shuffles: ({ row }, done) => done % row === 0,
  open({ params, card, player }, sink) {
    const number = params.low + card * params.by
    sink?.({ kind: 'drew', player, card: number })
    return [number]
  },
  answer({ params, prompt: [number], player, done }, sink) {
    // The first card of a row is only read; the others find their place among those that lie.
    const lying = done % params.row
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
    sink({ kind: 'answered', player, item: { op: 'order', among: lying + 1, answer: number }, steps: 0 })
    sink({ kind: 'placed', player, space: params.falling ? -number : number })
  },
})

const level = (id: string, title: string, low: number, high: number, by = 1, row = 5) =>
  levelOf<Params>(id, title, high, 'numerals', { low, high, by, row, rows: 3, falling: false })

const rowId = (i: number) => `row-${i}`

const table = respondTable<Params>(
  ({ row }) =>
    onTable(
      stacked(
        12,
        packSpots(),
        grid(
          range(0, row - 1).map((i) => ({ id: rowId(i), shape: 'square', tone: 'quiet' })),
          row,
          [26, 34],
          4,
        ),
      ),
    ),
  (state) => {
    const { params, prompt, open, done, packLeft } = state
    // Answered cards of this row; a full one lies there until the next card is turned.
    const inRow = open ? done % params.row : done === 0 ? 0 : ((done - 1) % params.row) + 1
    const before = open ? pastPrompts(state, inRow) : [...pastPrompts(state, inRow - 1), prompt].slice(-inRow)
    const lying = (inRow > 0 ? before : []).map(([number], turned) => ({ number, turned }))
    lying.sort((a, b) => (params.falling ? b.number - a.number : a.number - b.number))
    return [
      ...packThings('number cards', open ? numeral(prompt[0]) : undefined, packLeft.length),
      ...lying.map(({ number, turned }, i) =>
        lie(`lying-${turned}`, 'number cards', rowId(i), numeral(number)),
      ),
    ]
  },
)

export const cardOrder = defineGame({
  ...engine,
  id: 'card-order',
  title: 'Card Order',
  summary: 'Put five or six cards in order, one after another.',
  section: 'order',
  params: paramsSchema,
  levels: [
    level('to-9', '1 to 9', 1, 9),
    level('to-20', '0 to 20', 0, 20),
    level('to-50', '0 to 50', 0, 50, 1, 6),
    level('tens', 'tens to 100', 10, 100, 10, 6),
    level('fives', 'fives to 100', 5, 100, 5, 6),
    level('to-100', '0 to 100', 0, 100, 1, 6),
    level('to-120', '80 to 120', 80, 120, 1, 6),
    level('to-1000', '0 to 1000', 0, 1000, 1, 6),
  ],
  players: { min: 1, max: 3, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => fewer(params, 'rows', 'fewer-rounds', 1),
  table,
  materials: ({ low, high, by, row, rows }) => {
    const all = packOf({ low, high, by }).length
    return [perSet({ kind: 'number cards', from: low, to: high, by, some: all > 60 ? row * rows : null })]
  },
  room: quietTable,
})
