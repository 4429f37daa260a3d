import { z } from 'zod'
import { tellStep, tracking, markersOn, type TrackState } from '../../families/track'
import { defineGame, levelOf, quietTable, type Variant } from '../../engine/game'
import { range, spinner, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { deviceSpots, deviceThings } from '../../families/on-table'
import { onTable, stacked, trackRows, numeral, type Table } from '../../../table'

const paramsSchema = z
  .object({
    length: z.number().int().min(4).max(60),
    sectors: z.number().int().min(2).max(12),
    /** Squares that blow the marker back to the start and cost the next go. */
    penalty: z.array(z.number().int().min(1).max(59)).max(20),
    finish: z.enum(['exact', 'pass']).default('exact'),
  })
  .refine(({ penalty, length }) => penalty.every((square) => square < length), {
    path: ['penalty'],
    error: 'A squall lies on or beyond the last square.',
  })

export type Params = z.infer<typeof paramsSchema>

const engine = tracking<Params, number>({
  start: () => 0,
  throw: ({ sectors }, _at, chance, player, sink) => turnUp(spinner(sectors), chance, player, sink),
  options: ({ length, finish }, at, [squares]) =>
    finish === 'exact' && at + squares > length ? [] : [squares],
  land({ length, penalty }, at, squares, player, sink) {
    const to = Math.min(length, at + squares)
    tellStep(sink, player, at, to)
    sink?.({ kind: 'moved', player, from: at, to, squares: to - at })
    if (!penalty.includes(to)) return { to }
    sink?.({ kind: 'sent-back', player, space: to })
    return { to: 0, rest: true }
  },
  finished: ({ length }, at) => at === length,
})

const level = (id: string, title: string, length: number, sectors: number, penalty: number[]) =>
  levelOf<Params>(id, title, length, 'numerals', { length, sectors, penalty, finish: 'exact' })

function variants(params: Params): Variant<Params>[] {
  const found: Variant<Params>[] = []
  if (params.finish === 'exact')
    found.push({ change: 'let-passing-count', params: { ...params, finish: 'pass' } })
  if (params.penalty.length > 1) {
    const penalty = params.penalty.slice(0, -1)
    found.push({ change: 'fewer-hazards', amount: penalty.length, params: { ...params, penalty } })
  }
  return found
}

const squareId = (n: number) => `square-${n}`

const table: Table<Params, TrackState<Params>, number> = {
  layout: ({ length, penalty, sectors }) =>
    onTable(
      stacked(
        14,
        trackRows(0, length, (n) => ({
          id: squareId(n),
          shape: n === length ? 'island' : 'circle',
          face: numeral(n),
          ...(penalty.includes(n) ? { tone: 'hazard' as const } : {}),
        })),
        deviceSpots(spinner(sectors)),
      ),
      12,
    ),
  things: ({ params, positions, thrown }) => [
    ...markersOn(positions, squareId),
    ...deviceThings(spinner(params.sectors), thrown),
  ],
  say({ params, positions, turn }, squares) {
    const from = positions[turn]
    const to = Math.min(params.length, from + squares)
    const back = params.penalty.includes(to)
    return {
      verb: 'move',
      numbers: [from, to - from, back ? 0 : to],
      spots: [...range(from + 1, to).map(squareId), ...(back ? [squareId(0)] : [])],
    }
  },
}

export const squall = defineGame({
  ...engine,
  id: 'squall',
  title: 'Squall',
  summary: 'Race along a track; a squall blows the marker back to the start.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('to-8', 'to 8, spinner 1 to 2', 8, 2, [4]),
    level('to-12', 'to 12, spinner 1 to 3', 12, 3, [5, 9]),
    level('to-15', 'to 15, spinner 1 to 4', 15, 4, [6, 11]),
    level('to-20', 'to 20, spinner 1 to 5', 20, 5, [7, 13, 17]),
    level('to-30', 'to 30, spinner 1 to 6', 30, 6, [8, 15, 22, 27]),
  ],
  usual: 'to-12',
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  marked: ({ length }) => (length > 20 ? { strand: 'add', step: 'count-on-20' } : null),
  variants,
  table,
  materials: ({ length, sectors, penalty }) => [
    perSet({ kind: 'track', from: 0, to: length, squalls: penalty }),
    perPlayer({ kind: 'marker' }),
    perSet({ kind: 'spinner', sectors }),
  ],
  room: { ...quietTable, together: false, win: true },
})
