import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range, dice } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, deviceSpots, packSpots, deviceThings, packThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral } from '../../../table'

const paramsSchema = z
  .object({
    /** Numbers that can come up, from the step size so that each has a lower neighbour. */
    high: z.number().int().min(4).max(110),
    by: z.union([z.literal(1), z.literal(10)]).default(1),
    device: z.enum(['die', 'cards']).default('cards'),
    goes: z.number().int().min(3).max(40).default(10),
    /** Largest first. */
    falling: z.boolean().default(false),
  })
  .refine(({ device, high }) => device === 'cards' || high === 6, {
    path: ['high'],
    error: 'A die gives 1 to 6.',
  })

export type Params = z.infer<typeof paramsSchema>

const numbers = ({ high, by }: Params) => range(by, high)

const engine = responding<Params>({
  tasks: ({ goes }) => goes,
  open({ params, chance, player }, sink) {
    const number = chance.int(params.by, params.high)
    if (params.device === 'die') sink?.({ kind: 'rolled', player, faces: [number] })
    else sink?.({ kind: 'drew', player, card: number })
    return [number]
  },
  answer({ params, prompt: [number], player }, sink) {
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
    for (const by of params.falling ? [params.by, -params.by] : [-params.by, params.by]) {
      sink({
        kind: 'answered',
        player,
        item: { op: 'neighbour', of: number, by, answer: number + by },
        steps: 1,
      })
      sink({ kind: 'placed', player, space: number + by })
    }
  },
})

const level = (id: string, title: string, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, params.high + (params.by ?? 1), 'numerals', paramsSchema.parse(params))

const table = respondTable<Params>(
  ({ device }) =>
    onTable(
      stacked(
        12,
        device === 'die' ? deviceSpots(dice(1)) : packSpots(),
        grid(
          range(0, 2).map((i) => ({ id: `beside-${i}`, shape: 'square', tone: 'quiet' })),
          3,
          [26, 34],
          6,
        ),
      ),
    ),
  ({ params, prompt, open }) => {
    const [number] = prompt
    const { by, falling, device } = params
    const three =
      number === undefined || open
        ? []
        : falling
          ? [number + by, number, number - by]
          : [number - by, number, number + by]
    return [
      ...(device === 'die'
        ? deviceThings(dice(1), prompt)
        : packThings('number cards', open ? numeral(number) : undefined)),
      ...three.map((n, i) => lie(`beside-${i}`, 'number cards', `beside-${i}`, numeral(n))),
    ]
  },
)

export const neighbours = defineGame({
  ...engine,
  id: 'neighbours',
  title: 'Neighbours',
  summary: 'Find a number, then one less and one more, and lay the three in order.',
  section: 'order',
  params: paramsSchema,
  levels: [
    level('die', '1 to 6, die', { high: 6, device: 'die' }),
    level('to-10', '1 to 10', { high: 10 }),
    level('to-20', '1 to 20', { high: 20 }),
    level('to-30', '1 to 30', { high: 30 }),
    level('to-100', 'ten less, ten more to 100', { high: 90, by: 10 }),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => fewer(params, 'goes', 'fewer-rounds', 4),
  table,
  materials: (params) => [
    perSet({ kind: 'number cards', from: 0, to: (numbers(params).at(-1) ?? 0) + params.by }),
    params.device === 'die'
      ? perSet({ kind: 'die', sides: 6 })
      : perSet({
          kind: 'number cards',
          from: numbers(params)[0],
          to: numbers(params).at(-1)!,
          by: params.by,
        }),
  ],
  room: quietTable,
})
