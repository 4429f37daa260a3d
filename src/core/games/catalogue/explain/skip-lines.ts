import { z } from 'zod'
import type { PracticeItem } from '../../../skills'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { shorterBy, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { grid, onTable, place, stacked, trackRows, numeral } from '../../../table'

const paramsSchema = z
  .object({
    /** One step of the count: by ones it is plain counting. */
    by: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4), z.literal(5), z.literal(10)]),
    /** Where the count begins. */
    from: z.number().int().min(0).max(990).default(0),
    to: z.number().int().min(3).max(1000),
    /** What is counted: rods laid end to end, hands raised in a row, tokens in pairs, stairs, places on a line. */
    things: z.enum(['rods', 'hands', 'tokens', 'stairs', 'line']),
    /** Count back to where it began as well. */
    back: z.boolean().default(false),
  })
  .refine(({ by, from, to }) => to > from && to % by === 0 && from % by === 0, {
    path: ['to'],
    error: 'The count must begin and end on a multiple, and go up.',
  })
  .refine(({ by, from, to }) => (to - from) / by <= 60, {
    path: ['to'],
    error: 'Nobody counts that far in one go: 60 steps at most.',
  })
  .refine(({ from, things }) => from === 0 || things === 'line', {
    path: ['from'],
    error: 'What is laid, raised or climbed begins at zero; a line may begin elsewhere.',
  })

export type Params = z.infer<typeof paramsSchema>

const up = ({ by, from, to }: Params) => (to - from) / by
const tasks = (params: Params) => up(params) * (params.back ? 2 : 1)

/** The number reached after so many steps: up to the last one, then back down. */
function reachedAfter(params: Params, steps: number): number {
  const above = steps <= up(params) ? steps : 2 * up(params) - steps
  return params.from + above * params.by
}

const engine = responding<Params>({
  inOrder: true,
  tasks,
  open: ({ params, done }) => [reachedAfter(params, (done % tasks(params)) + 1)],
  answer({ params, prompt: [number], player, done }, sink) {
    const before = reachedAfter(params, done % tasks(params))
    const item =
      params.by === 1
        ? { op: 'say' as const, from: before, answer: number }
        : { op: 'skip' as const, by: params.by, answer: number }
    sink({ kind: 'answered', player, item, steps: params.by === 1 ? 1 : 0 })
    if (params.things === 'hands') sink({ kind: 'jumped', player, times: 1 })
    else if (params.things === 'stairs' || params.things === 'line')
      sink({ kind: 'moved', player, from: before, to: number, squares: params.by })
    else sink({ kind: 'placed', player, space: number })
  },
})

const level = (
  id: string,
  title: string,
  params: Pick<Params, 'by' | 'to' | 'things'> & Partial<Pick<Params, 'from' | 'back'>>,
) => levelOf<Params>(id, title, params.to, 'objects', { from: 0, back: false, ...params })

const stopId = (n: number) => `stop-${n}`

const table = respondTable<Params>(
  ({ by, from, to, things }) =>
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
            trackRows(from, to, (n) => ({ id: stopId(n), shape: 'circle', face: numeral(n) }), 13, 3),
            place('said', [40, 16]),
          ),
    ),
  ({ params, done }) => {
    const { by, from, things } = params
    const reached = done === 0 ? from : reachedAfter(params, ((done - 1) % tasks(params)) + 1)
    return things === 'rods'
      ? range(by, reached, by).map((n) => lie(`rod-${n}`, 'rod', stopId(n), numeral(by)))
      : things === 'tokens'
        ? range(by, reached, by).flatMap((n) => heap(`tokens-${n}`, 'token', stopId(n), by))
        : [lie('marker', 'marker', stopId(reached))]
  },
)

/** The hardest that a count by ones reaches: back where it comes back, else on. */
function countMarked({ by, to, back }: Params): PracticeItem | null {
  return by === 1 ? { op: 'say', from: back ? to : to - 1, answer: back ? to - 1 : to } : null
}

export const skipLines = defineGame({
  ...engine,
  id: 'skip-lines',
  title: 'Skip Lines',
  summary:
    'Count on and back with things you can see: stairs in ones, rods in tens, hands in fives, tokens in twos.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('ones-5', 'stairs in ones to 5 and back', { by: 1, to: 5, things: 'stairs', back: true }),
    level('ones-10', 'stairs in ones to 10 and back', { by: 1, to: 10, things: 'stairs', back: true }),
    level('ones-20', 'a line to 20 and back', { by: 1, to: 20, things: 'line', back: true }),
    level('tens', 'rods in tens to 100', { by: 10, to: 100, things: 'rods' }),
    level('fives', 'hands in fives to 50', { by: 5, to: 50, things: 'hands' }),
    level('twos', 'tokens in twos to 20', { by: 2, to: 20, things: 'tokens' }),
    level('stairs', 'stairs in twos to 20 and back', { by: 2, to: 20, things: 'stairs', back: true }),
    level('over-tens', 'a line from 25 to 45 and back', {
      by: 1,
      from: 25,
      to: 45,
      things: 'line',
      back: true,
    }),
    level('fives-100', 'hands in fives to 100', { by: 5, to: 100, things: 'hands' }),
    level('twos-100', 'a line in twos from 40 to 100', { by: 2, from: 40, to: 100, things: 'line' }),
    level('to-120', 'a line from 88 to 120', { by: 1, from: 88, to: 120, things: 'line' }),
    level('threes', 'tokens in threes to 30', { by: 3, to: 30, things: 'tokens' }),
    level('over-hundreds', 'a line from 290 to 310', { by: 1, from: 290, to: 310, things: 'line' }),
  ],
  players: { min: 1, max: 12, typical: 5 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => [
    ...shorterBy(up(params), 3).map((count) => ({
      change: 'shorter-track' as const,
      amount: params.from + count * params.by,
      params: { ...params, to: params.from + count * params.by },
    })),
  ],
  marked: countMarked,
  table,
  materials: ({ by, from, to, things }) => [
    things === 'rods'
      ? perSet({ kind: 'rod', length: by }, to / by)
      : things === 'tokens'
        ? perSet({ kind: 'token' }, to)
        : perSet({ kind: 'track', from, to }),
    ...(things === 'rods' || things === 'tokens' ? [] : [perSet({ kind: 'marker' })]),
  ],
  room: { ...quietTable, noise: 2, floor: 1, where: 'floor', adult: true, whole: true },
})
