import { z } from 'zod'
import { covering, type CoverState } from '../../families/cover'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { range, rollInAnyOrder, sum, dice } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, grid, onTable, place, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z.object({
  /** The largest number on the side. */
  to: z.number().int().min(10).max(1000),
  /** Blanks between the two numbers a row shows. */
  blanks: z.number().int().min(1).max(4).default(3),
})

export type Params = z.infer<typeof paramsSchema>

const rows = 11

/** Numbers of the row with this index: rows climb evenly towards the largest number. */
function rowOf({ to, blanks }: Params, index: number): number[] {
  const start = Math.round((index * (to - blanks - 1)) / (rows - 1))
  return range(start, start + blanks + 1)
}

const engine = covering<Params>({
  own: true,
  spaces: () => rows,
  throw: (_params, chance, player, sink) => rollInAnyOrder(2, chance, player, sink),
  matching: (_params, thrown) => [sum(thrown) - 2],
  cover(params, space, [a, b], player, sink) {
    sink({ kind: 'answered', player, item: { op: 'add', a, b, answer: a + b }, steps: b })
    for (const number of rowOf(params, space).slice(1, -1)) {
      sink({ kind: 'answered', player, item: { op: 'say', from: number - 1, answer: number }, steps: 1 })
      sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
      sink({ kind: 'wrote', player, what: 'numeral', text: String(number) })
    }
    sink({ kind: 'placed', player, space: space + 2 })
  },
})

// Two dice are added up to twelve, however short the side is.
const level = (to: number) =>
  levelOf<Params>(`to-${to}`, `numbers to ${to}`, Math.max(to, 12), 'numerals', { to, blanks: 3 })

const plankId = (player: number, row: number, i: number) => `plank-${player}-${row}-${i}`

const table: Table<Params, CoverState<Params>, number> = {
  layout: (params, players) =>
    onTable(
      stacked(
        10,
        beside(
          14,
          ...range(0, players - 1).map((player) =>
            stacked(
              2,
              ...range(0, rows - 1).map((row) =>
                beside(
                  4,
                  place(`row-${player}-${row}`, [10, 8], { face: numeral(row + 2) }),
                  grid(
                    rowOf(params, row).map((number, i, all) => ({
                      id: plankId(player, row, i),
                      shape: 'square',
                      owner: player,
                      ...(i === 0 || i === all.length - 1 ? { face: numeral(number) } : {}),
                    })),
                    params.blanks + 2,
                    [13, 8],
                    0,
                  ),
                ),
              ),
            ),
          ),
        ),
        deviceSpots(dice(2)),
      ),
    ),
  things: ({ params, boards, thrown }) => [
    ...boards.flatMap((board, player) =>
      board.flatMap((filled, row) =>
        filled
          ? rowOf(params, row)
              .slice(1, -1)
              .map((number, i) =>
                lie(`written-${player}-${row}-${i}`, 'sleeve', plankId(player, row, i + 1), numeral(number), {
                  owner: player,
                }),
              )
          : [],
      ),
    ),
    ...deviceThings(dice(2), thrown),
  ],
  say: ({ params, turn }, row) => ({
    verb: 'fill',
    numbers: rowOf(params, row),
    spots: range(1, params.blanks).map((i) => plankId(turn, row, i)),
  }),
}

export const jettyPlanks = defineGame({
  ...engine,
  id: 'jetty-planks',
  title: 'Jetty Planks',
  summary: 'Two dice pick a row of your jetty; write the numbers that are missing in it.',
  section: 'collect',
  params: paramsSchema,
  levels: [level(10), level(20), level(50), level(100)],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  focus: () => ['say'],
  variants: (params) =>
    params.blanks > 1 ? [{ change: 'fewer-blanks', amount: 1, params: { ...params, blanks: 1 } }] : [],
  table,
  materials: ({ to, blanks }) => [
    perPlayer({ kind: 'board', name: 'jetty sheet', shows: `to ${to}, ${blanks} blanks a row` }),
    perPlayer({ kind: 'sleeve' }),
    perSet({ kind: 'die', sides: 6 }, 2),
  ],
  room: { ...quietTable, together: false, win: true },
})
