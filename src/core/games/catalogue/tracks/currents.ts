import { z } from 'zod'
import { tellStep, tracking, markersOn, type TrackState } from '../../families/track'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { dice, fewer, turnUp, range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { deviceSpots, deviceThings } from '../../families/on-table'
import { beside, grid, onTable, stacked, trackRows, numeral, words, type Table } from '../../../table'

const paramsSchema = z.object({
  goal: z.number().int().min(5).max(200),
  /** Squares on (or back) for each face of the die. */
  table: z.array(z.number().int().min(-10).max(12)).length(6),
  record: z.boolean().default(false),
})

export type Params = z.infer<typeof paramsSchema>

const surprises = [4, -3, 2, 6, -1, 8]

const engine = tracking<Params, number>({
  start: () => 0,
  throw: (_params, _at, chance, player, sink) => turnUp(dice(1), chance, player, sink),
  // Back from the start is no move at all.
  options: ({ goal, table }, at, [face]) => {
    const to = Math.max(0, Math.min(goal, at + table[face - 1]))
    return to === at ? [] : [to]
  },
  land({ record }, at, to, player, sink) {
    tellStep(sink, player, at, to, record)
    sink?.({ kind: 'moved', player, from: at, to, squares: Math.abs(to - at) })
    return { to }
  },
  finished: ({ goal }, at) => at >= goal,
})

const level = (id: string, title: string, goal: number) =>
  levelOf<Params>(id, title, goal, 'numerals', { goal, table: surprises, record: false })

const squareId = (n: number) => `square-${n}`

/** What a face of the die does, as it stands in the table of surprises. */
const surprise = (face: number, by: number) => words(`${face}: ${by < 0 ? `back ${-by}` : `on ${by}`}`)

const table: Table<Params, TrackState<Params>, number> = {
  layout: ({ goal, table: surprises }) => {
    const long = goal > 40
    const track = trackRows(0, goal, (n) => ({
      id: squareId(n),
      shape: n === goal ? 'island' : 'circle',
      face: numeral(n),
    }))
    const currents = grid(
      surprises.map((by, i) => ({ id: `current-${i + 1}`, shape: 'square', face: surprise(i + 1, by) })),
      long ? 1 : 3,
      long ? [24, 12] : [30, 11],
    )
    // A long track needs the height for itself.
    return long
      ? onTable(beside(6, track, stacked(12, deviceSpots(dice(1), 'under each other'), currents)), 6)
      : onTable(stacked(14, track, beside(12, deviceSpots(dice(1)), currents)), 12)
  },
  things: ({ positions, thrown }) => [...markersOn(positions, squareId), ...deviceThings(dice(1), thrown)],
  say({ positions, turn }, to) {
    const from = positions[turn]
    const steps = range(1, Math.abs(to - from))
    return {
      verb: 'move',
      numbers: [from, Math.abs(to - from), to],
      spots: steps.map((k) => squareId(from + Math.sign(to - from) * k)),
    }
  },
}

export const currents = defineGame({
  ...engine,
  id: 'currents',
  title: 'Currents',
  summary: 'The die says which current you meet: some carry you on, some carry you back.',
  section: 'tracks',
  params: paramsSchema,
  levels: [
    level('to-12', 'to 12', 12),
    level('to-20', 'to 20', 20),
    level('to-50', 'to 50', 50),
    level('to-100', 'to 100', 100),
  ],
  usual: 'to-20',
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  variants: (params) => fewer(params, 'goal', 'shorter-track', 10),
  table,
  materials: ({ goal, record }) => [
    perSet({ kind: 'track', from: 0, to: goal }),
    perPlayer({ kind: 'marker' }),
    perSet({ kind: 'die', sides: 6 }),
    perSet({ kind: 'table', of: 'currents' }),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'number sentences' })] : []),
  ],
  room: { ...quietTable, together: false, win: true },
})
