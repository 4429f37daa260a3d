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
  /** One die picks one of six rows, two one of eleven. */
  dice: z.union([z.literal(1), z.literal(2)]).default(2),
  /** Full rows that win; null: all of them. */
  full: z.number().int().min(2).max(11).nullable().default(null),
})

export type Params = z.infer<typeof paramsSchema>

/** Rows of a side: one for each number that can be rolled. */
export const rowsOf = ({ dice: count }: Pick<Params, 'dice'>) => (count === 1 ? 6 : 11)
/** Full rows that win. */
export const rowsToWin = (params: Pick<Params, 'dice' | 'full'>) =>
  Math.min(rowsOf(params), params.full ?? rowsOf(params))

/** Numbers of the row with this index: rows climb evenly towards the largest number. */
function rowOf(params: Params, index: number): number[] {
  const { to, blanks } = params
  const start = Math.round((index * (to - blanks - 1)) / (rowsOf(params) - 1))
  return range(start, start + blanks + 1)
}

/** The number that picks the first row. */
const firstRow = ({ dice: count }: Params) => count

const engine = covering<Params>({
  own: true,
  spaces: rowsOf,
  enough: rowsToWin,
  throw: ({ dice: count }, chance, player, sink) => rollInAnyOrder(count, chance, player, sink),
  matching: (params, thrown) => [sum(thrown) - firstRow(params)],
  cover(params, space, [a, b], player, sink) {
    if (b !== undefined)
      sink({ kind: 'answered', player, item: { op: 'add', a, b, answer: a + b }, steps: b })
    for (const number of rowOf(params, space).slice(1, -1)) {
      sink({ kind: 'answered', player, item: { op: 'say', from: number - 1, answer: number }, steps: 1 })
      sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
      sink({ kind: 'wrote', player, what: 'numeral', text: String(number) })
    }
    sink({ kind: 'placed', player, space: space + firstRow(params) })
  },
})

// To ten only six rows differ: one die picks one. Two dice are added up to twelve, however short the side is. Rows for a two
// and a twelve come so rarely that nobody waits for all of them.
const level = (to: number) =>
  levelOf<Params>(`to-${to}`, `numbers to ${to}`, to === 10 ? 10 : Math.max(to, 12), 'numerals', {
    to,
    blanks: 3,
    ...(to === 10 ? { dice: 1, full: null } : { dice: 2, full: 8 }),
  })

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
              ...range(0, rowsOf(params) - 1).map((row) =>
                beside(
                  4,
                  place(`row-${player}-${row}`, [10, 8], { face: numeral(row + firstRow(params)) }),
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
        deviceSpots(dice(params.dice)),
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
    ...deviceThings(dice(params.dice), thrown),
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
  // Past twenty the numbers of the rows are spread thin: to read them is what comes up most.
  focus: ({ to }) => (to <= 20 ? ['say'] : ['numeral', 'say']),
  variants: (params) =>
    params.blanks > 1 ? [{ change: 'fewer-blanks', amount: 1, params: { ...params, blanks: 1 } }] : [],
  table,
  materials: (params) => [
    perPlayer({
      kind: 'board',
      name: 'jetty sheet',
      shows: `to ${params.to}, ${rowsOf(params)} rows, ${params.blanks} blanks a row`,
    }),
    perPlayer({ kind: 'sleeve' }),
    perSet({ kind: 'die', sides: 6 }, params.dice),
  ],
  room: { ...quietTable, together: false, win: true },
})
