import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { range, sum } from '../../engine/source'
import { perSet } from '../../engine/material'
import { heap, packSpots, packThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral } from '../../../table'

const paramsSchema = z.object({
  /** Cards and nets from 0 to this number. */
  high: z.number().int().min(3).max(20),
  /** When all nets are full, put them in order. */
  order: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ high }) => high + 1,
  cards: ({ high }) => high + 1,
  open({ card, player }, sink) {
    sink?.({ kind: 'drew', player, card })
    return [card]
  },
  answer({ params, prompt: [card], player }, sink) {
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: card }, steps: 0 })
    sink({ kind: 'answered', player, item: { op: 'count', answer: card }, steps: card })
    sink({ kind: 'built', player, cubes: card, space: card })
    if (!params.order) return
    sink({ kind: 'answered', player, item: { op: 'order', among: params.high + 1, answer: card }, steps: 0 })
    sink({ kind: 'placed', player, space: card })
  },
})

const level = (id: string, title: string, high: number) =>
  levelOf<Params>(id, title, high, 'objects', { high, order: true })

const netId = (n: number) => `net-${n}`

const table = respondTable<Params>(
  ({ high }) =>
    onTable(
      stacked(
        12,
        grid(
          range(0, high).map((n) => ({ id: netId(n), shape: 'square', face: numeral(n), head: true })),
          high > 10 ? 7 : 6,
          [30, 32],
          4,
        ),
        packSpots(),
      ),
    ),
  ({ prompt, open, packLeft, params }) => {
    const turned = range(0, params.high).filter((n) => !packLeft.includes(n))
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
  levels: [level('to-5', '0 to 5', 5), level('to-10', '0 to 10', 10), level('to-20', '0 to 20', 20)],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: () => ['count'],
  variants: ({ high, order }) =>
    [10, 5]
      .filter((fewer) => fewer < high)
      .map((fewer) => ({ change: 'fewer-cards', amount: fewer + 1, params: { high: fewer, order } })),
  table,
  materials: ({ high }) => [
    perSet({ kind: 'number cards', from: 0, to: high }),
    perSet({ kind: 'net' }, high + 1),
    perSet({ kind: 'counter' }, sum(range(0, high))),
  ],
  room: { ...quietTable, floor: 1, where: 'carpet' },
})
