import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { shorterBy, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { grid, onTable, place, stacked, trackRows, numeral } from '../../../table'

const paramsSchema = z
  .object({
    by: z.union([z.literal(2), z.literal(3), z.literal(4), z.literal(5), z.literal(10)]),
    to: z.number().int().min(10).max(200),
    /** What is counted: rods laid end to end, hands raised in a row, tokens in pairs, stairs. */
    things: z.enum(['rods', 'hands', 'tokens', 'stairs']),
    /** Count back to nought as well. */
    back: z.boolean().default(false),
  })
  .refine(({ by, to }) => to % by === 0, { path: ['to'], error: 'The count must end on a multiple.' })

export type Params = z.infer<typeof paramsSchema>

const up = ({ by, to }: Params) => to / by
const tasks = (params: Params) => up(params) * (params.back ? 2 : 1)

const engine = responding<Params>({
  inOrder: true,
  tasks,
  open({ params, done }) {
    const at = done % tasks(params)
    // Up to the last multiple, then back down.
    return [at < up(params) ? (at + 1) * params.by : params.to - (at - up(params) + 1) * params.by]
  },
  answer({ params, prompt: [number], player }, sink) {
    sink({ kind: 'answered', player, item: { op: 'skip', by: params.by, answer: number }, steps: 0 })
    if (params.things === 'hands') sink({ kind: 'jumped', player, times: 1 })
    else if (params.things === 'stairs') sink({ kind: 'moved', player, from: 0, to: number, squares: 2 })
    else sink({ kind: 'placed', player, space: number })
  },
})

const level = (
  id: string,
  title: string,
  by: Params['by'],
  to: number,
  things: Params['things'],
  back = false,
) => levelOf<Params>(id, title, to, 'objects', { by, to, things, back })

const stopId = (n: number) => `stop-${n}`

const table = respondTable<Params>(
  ({ by, to, things }) =>
    onTable(
      things === 'rods' || things === 'tokens'
        ? stacked(
            4,
            grid(
              range(by, to, by).map((n) => ({ id: stopId(n), shape: 'square', tone: 'quiet' })),
              Math.min(10, to / by),
              [20, 20],
              3,
            ),
            place('said', [40, 16]),
          )
        : stacked(
            10,
            trackRows(0, to, (n) => ({ id: stopId(n), shape: 'circle', face: numeral(n) }), 13, 3),
            place('said', [40, 16]),
          ),
    ),
  ({ params, prompt, open, done }) => {
    const { by, to, things } = params
    const up = to / by
    // How far the count has come: up to the last multiple, then back.
    const at = done === 0 ? 0 : ((done - 1) % tasks(params)) + 1
    const reached = (at <= up ? at : 2 * up - at) * by
    void prompt
    void open
    return things === 'rods'
      ? range(by, reached, by).map((n) => lie(`rod-${n}`, 'rod', stopId(n), numeral(by)))
      : things === 'tokens'
        ? range(by, reached, by).flatMap((n) => heap(`tokens-${n}`, 'token', stopId(n), by))
        : [lie('finger', 'track', stopId(reached), { kind: 'shade' })]
  },
)

export const skipLines = defineGame({
  ...engine,
  id: 'skip-lines',
  title: 'Skip Lines',
  summary: 'Count in steps with things you can see: rods in tens, hands in fives, tokens in twos.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('tens', 'rods in tens to 100', 10, 100, 'rods'),
    level('fives', 'hands in fives to 50', 5, 50, 'hands'),
    level('twos', 'tokens in twos to 20', 2, 20, 'tokens'),
    level('stairs', 'stairs in twos to 20 and back', 2, 20, 'stairs', true),
    level('threes', 'tokens in threes to 30', 3, 30, 'tokens'),
  ],
  players: { min: 1, max: 12, typical: 5 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => [
    ...shorterBy(up(params), 3).map((count) => ({
      change: 'shorter-track' as const,
      amount: count * params.by,
      params: { ...params, to: count * params.by },
    })),
  ],
  table,
  materials: ({ by, to, things }) => [
    things === 'rods'
      ? perSet({ kind: 'rod', length: by }, to / by)
      : things === 'tokens'
        ? perSet({ kind: 'token' }, to)
        : perSet({ kind: 'track', from: 0, to }),
  ],
  room: { ...quietTable, noise: 2, floor: 1, where: 'floor', adult: true, whole: true },
})
