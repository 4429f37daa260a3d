import { z } from 'zod'
import { defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink } from '../../engine/game'
import { cards, dice, fewer, turnUp, range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, grid, onTable, stacked, numeral, words, type Table } from '../../../table'

const paramsSchema = z.object({
  /** Boxes of each column. */
  boxes: z.number().int().min(2).max(12),
  /** Numbers that are doubled: 6 for a die, more for cards from 1. */
  values: z.number().int().min(3).max(12),
  /** Say beforehand which column will win. */
  predict: z.boolean().default(false),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Boxes filled in each column. */
  heights: readonly number[]
  number: number
  started: boolean
}

function play(state: State, _move: unknown, sink?: Sink): State {
  const { params, heights, number, turn: player } = state
  sink?.({
    kind: 'answered',
    player,
    item: { op: 'add', a: number, b: number, answer: 2 * number },
    steps: number,
  })
  sink?.({ kind: 'wrote', player, what: 'numeral', text: String(2 * number) })
  sink?.({ kind: 'placed', player, space: 2 * number })
  const grown = replaced(heights, number - 1, heights[number - 1] + 1)
  const ended = grown[number - 1] >= params.boxes
  const { players } = state
  return { params, players, turn: nextTurn(state), ended, heights: grown, number, started: true }
}

const level = (id: string, title: string, values: number, boxes: number) =>
  levelOf<Params>(id, title, 2 * values, 'numerals', { boxes, values, predict: false })

const boxId = (number: number, height: number) => `box-${number}-${height}`
const deviceFor = ({ values }: Params) => (values === 6 ? dice(1) : cards(1, values))

const table: Table<Params, State, 'double'> = {
  layout: (params) =>
    onTable(
      beside(
        14,
        stacked(
          3,
          grid(
            // The first box to be filled stands at the foot of its column.
            range(0, params.boxes - 1).flatMap((row) =>
              range(1, params.values).map((number) => ({
                id: boxId(number, params.boxes - row),
                shape: 'square' as const,
              })),
            ),
            params.values,
            [16, 11],
            1,
          ),
          grid(
            range(1, params.values).map((number) => ({
              id: `double-${number}`,
              shape: 'area',
              face: words(`${number} + ${number}`),
            })),
            params.values,
            [16, 9],
            1,
          ),
        ),
        deviceSpots(deviceFor(params)),
      ),
    ),
  things: ({ params, heights, number }) => [
    ...heights.flatMap((height, i) =>
      range(1, height).map((box) =>
        lie(`written-${i + 1}-${box}`, 'pencil', boxId(i + 1, box), numeral(2 * (i + 1))),
      ),
    ),
    ...deviceThings(deviceFor(params), number > 0 ? [number] : []),
  ],
  say: ({ heights, number }) => ({
    verb: 'fill',
    numbers: [2 * number],
    spots: [boxId(number, heights[number - 1] + 1)],
  }),
}

export const doublesDash = defineGame<Params, State, 'double', null>({
  id: 'doubles-dash',
  title: 'Doubles Dash',
  summary: 'Double the number and fill the next box of its column; which column is first at the top?',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('to-6', 'doubles to 6, cards', 3, 4),
    level('short', 'doubles to 12, four boxes', 6, 4),
    level('die', 'doubles to 12, six boxes', 6, 6),
    level('cards', 'doubles to 20, cards', 10, 4),
  ],
  usual: 'short',
  players: { min: 1, max: 2, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  marked: ({ values }) => ({ strand: 'add', step: values > 6 ? 'doubles-20' : 'doubles-10' }),
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    heights: Array<number>(params.values).fill(0),
    number: 0,
    started: false,
  }),
  roll({ params, players, turn: player, ended, heights, started }, chance, sink) {
    if (params.predict && !started) sink?.({ kind: 'predicted', player })
    const source = params.values === 6 ? dice(1) : cards(1, params.values)
    const [number] = turnUp(source, chance, player, sink)
    return { params, players, turn: player, ended, heights, number, started }
  },
  moves: () => ['double'],
  play,
  view: () => null,
  // Columns differ in name only: every number is as likely as any other.
  lumpKey: ({ heights }) => [...heights].sort((a, b) => b - a).join(),
  variants: (params) => fewer(params, 'boxes', 'fewer-spaces', 2),
  table,
  materials: ({ values, boxes }) => [
    perSet({
      kind: 'board',
      name: 'doubles sheet',
      shows: `${values} columns of ${boxes}`,
    }),
    perPlayer({ kind: 'pencil' }),
    values === 6 ? perSet({ kind: 'die', sides: 6 }) : perSet({ kind: 'number cards', from: 1, to: values }),
  ],
  room: { ...quietTable },
})
