import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { range, shorterBy, sum } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { beside, onTable, place, stacked, numeral } from '../../../table'

const paramsSchema = z
  .object({
    low: z.number().int().min(0).max(20),
    high: z.number().int().min(1).max(20),
    /** Draw as many, beside writing and building. */
    draw: z.boolean().default(true),
  })
  .refine(({ low, high }) => low < high, { path: ['high'], error: 'The last number must be the larger one.' })

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  inOrder: true,
  tasks: ({ low, high }) => high - low + 1,
  open: ({ params, done }) => [params.low + (done % (params.high - params.low + 1))],
  answer({ params, prompt: [number], player }, sink) {
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: number, write: true }, steps: 0 })
    // Traced once, written once.
    sink({ kind: 'wrote', player, what: 'numeral', text: String(number) })
    sink({ kind: 'wrote', player, what: 'numeral', text: String(number) })
    if (params.draw) sink({ kind: 'wrote', player, what: 'drawing', text: '●'.repeat(number) })
    sink({ kind: 'answered', player, item: { op: 'count', answer: number }, steps: number })
    sink({ kind: 'built', player, cubes: number, space: number })
  },
})

const level = (id: string, title: string, low: number, high: number) =>
  levelOf<Params>(id, title, high, 'objects', { low, high, draw: true })

const table = respondTable<Params>(
  () =>
    onTable(
      beside(14, place('number', [40, 50]), stacked(8, place('written', [60, 20]), place('work', [80, 40]))),
    ),
  ({ prompt, open }) => {
    if (prompt.length === 0) return []
    const [number] = prompt
    return [
      lie('number', 'sheet', 'number', numeral(number)),
      ...(open
        ? []
        : [lie('written', 'pencil', 'written', numeral(number)), ...heap('cubes', 'cube', 'work', number)]),
    ]
  },
)

export const markAndMake = defineGame({
  ...engine,
  id: 'mark-and-make',
  title: 'Mark and Make',
  summary: 'Trace, write, draw and build each number in turn.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('to-5', '0 to 5', 0, 5),
    level('to-10', '0 to 10', 0, 10),
    level('to-15', '0 to 15', 0, 15),
    level('teens', '11 to 20', 11, 20),
  ],
  players: { min: 1, max: 6, typical: 1 },
  goes: 'parallel',
  interaction: 'shared',
  focus: () => ['count'],
  variants: (params) => [
    ...shorterBy(params.high - params.low + 1, 3).map((count) => ({
      change: 'fewer-cards' as const,
      amount: count,
      params: { ...params, high: params.low + count - 1 },
    })),
  ],
  table,
  materials: ({ low, high }) => [
    perPlayer({ kind: 'sheet', columns: `numbers ${low} to ${high}` }),
    perPlayer({ kind: 'pencil' }),
    perPlayer({ kind: 'cube' }, Math.min(high, sum(range(low, high)))),
  ],
  room: { ...quietTable, noise: 0 },
})
