import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, place, stacked, words, groups } from '../../../table'

const paramsSchema = z
  .object({
    low: z.number().int().min(0).max(5),
    high: z.number().int().min(2).max(10),
    /** Write the addition sentence. */
    record: z.boolean().default(true),
    /** Creatures put together in a game. */
    count: z.number().int().min(3).max(30).default(10),
  })
  .refine(({ low, high }) => low < high, {
    path: ['high'],
    error: 'The most dots must be the larger number.',
  })

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ count }) => count,
  open({ params, chance, player }, sink) {
    const top = chance.int(params.low, params.high)
    const bottom = chance.int(params.low, params.high)
    sink?.({ kind: 'drew', player, card: top })
    sink?.({ kind: 'drew', player, card: bottom })
    return [top, bottom]
  },
  answer({ params, prompt: [top, bottom], player }, sink) {
    for (const half of [top, bottom])
      if (half > 0 && half <= 6)
        sink({ kind: 'answered', player, item: { op: 'see', pattern: 'groups', answer: half }, steps: 0 })
    sink({ kind: 'placed', player, space: 0 })
    const total = top + bottom
    sink({ kind: 'answered', player, item: { op: 'add', a: top, b: bottom, answer: total }, steps: bottom })
    if (params.record)
      sink({ kind: 'wrote', player, what: 'sentence', text: `${top} + ${bottom} = ${total}` })
  },
})

const level = (id: string, title: string, low: number, high: number, record = true) =>
  levelOf<Params>(id, title, 2 * high, 'pictures', { low, high, record, count: 10 })

const table = respondTable<Params>(
  () => onTable(stacked(6, place('top', [44, 30]), place('bottom', [44, 30]), place('sheet', [80, 16]))),
  ({ params, prompt, open }) => {
    if (prompt.length === 0) return []
    const [top, bottom] = prompt
    return [
      lie('top', 'creature halves', 'top', groups(top)),
      lie('bottom', 'creature halves', 'bottom', groups(bottom)),
      ...(params.record && !open
        ? [lie('sentence', 'sheet', 'sheet', words(`${top} + ${bottom} = ${top + bottom}`))]
        : []),
    ]
  },
)

export const twoHalves = defineGame({
  ...engine,
  id: 'two-halves',
  title: 'Two Halves',
  summary: 'Join a top and a bottom, each with dots, and say how many dots the creature has.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-3', 'halves to 3, said only', 1, 3, false),
    level('to-5', 'halves to 5', 1, 5),
    level('to-9', 'halves 0 to 9', 0, 9),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: () => ['add'],
  variants: (params) => [
    ...fewer(params, 'count', 'fewer-cards', 4),
    ...(params.record ? [{ change: 'another-device' as const, params: { ...params, record: false } }] : []),
  ],
  table,
  materials: ({ low, high, record, count }) => [
    ...(['top', 'bottom'] as const).map((half) =>
      perSet({ kind: 'creature halves', half, from: low, to: high }, Math.ceil(count / (high - low + 1))),
    ),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'number sentences' })] : []),
  ],
  room: quietTable,
})
