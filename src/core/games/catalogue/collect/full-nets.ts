import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { range, sum } from '../../engine/source'
import { perSet } from '../../engine/material'
import { heap, packSpots, packThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral } from '../../../table'

const paramsSchema = z
  .object({
    /** Cards and nets from the low number to the high one. */
    low: z.number().int().min(0).max(17).default(0),
    high: z.number().int().min(3).max(20),
    /** When all nets are full, put them in order. */
    order: z.boolean().default(true),
  })
  .refine(({ low, high }) => high - low >= 3, { path: ['high'], error: 'Four nets at least.' })

export type Params = z.infer<typeof paramsSchema>

/** One for each number. */
const nets = ({ low, high }: Params) => high - low + 1

const engine = responding<Params>({
  tasks: nets,
  cards: nets,
  open({ params, card: drawn, player }, sink) {
    const card = params.low + drawn
    sink?.({ kind: 'drew', player, card })
    return [card]
  },
  answer({ params, prompt: [card], player }, sink) {
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: card }, steps: 0 })
    sink({ kind: 'answered', player, item: { op: 'count', answer: card }, steps: card })
    sink({ kind: 'built', player, cubes: card, space: card })
    if (!params.order) return
    sink({ kind: 'answered', player, item: { op: 'order', among: nets(params), answer: card }, steps: 0 })
    sink({ kind: 'placed', player, space: card })
  },
})

const level = (id: string, low: number, high: number) =>
  levelOf<Params>(id, `${low} to ${high}`, high, 'objects', { low, high, order: true })

const netId = (n: number) => `net-${n}`

const table = respondTable<Params>(
  ({ low, high }) =>
    onTable(
      stacked(
        12,
        grid(
          range(low, high).map((n) => ({ id: netId(n), shape: 'square', face: numeral(n), head: true })),
          6,
          [30, 32],
          4,
        ),
        packSpots(),
      ),
    ),
  ({ prompt, open, packLeft, params }) => {
    const turned = range(params.low, params.high).filter((n) => !packLeft.includes(n - params.low))
    const filled = open ? turned.filter((n) => n !== prompt[0]) : turned
    return [
      ...packThings('number cards', prompt.length > 0 ? numeral(prompt[0]) : undefined, packLeft.length),
      ...filled.flatMap((n) => heap(`heap-${n}`, 'counter', netId(n), n)),
    ]
  },
)

export const fullNets = defineGame({
  ...engine,
  id: 'full-nets',
  title: 'Full Nets',
  summary: 'Turn a number, fill a net with that many, and at the end put all nets in order.',
  section: 'collect',
  params: paramsSchema,
  // Six nets, and counters by the hundred at most: more fill the floor and the morning.
  levels: [level('to-5', 0, 5), level('to-10', 5, 10), level('to-20', 11, 16)],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: () => ['count'],
  variants: (params) =>
    nets(params) > 4
      ? [{ change: 'fewer-cards', amount: 4, params: { ...params, high: params.low + 3 } }]
      : [],
  table,
  materials: (params) => [
    perSet({ kind: 'number cards', from: params.low, to: params.high }),
    perSet({ kind: 'net' }, nets(params)),
    perSet({ kind: 'counter' }, sum(range(params.low, params.high))),
  ],
  room: { ...quietTable, floor: 1, where: 'carpet' },
})
