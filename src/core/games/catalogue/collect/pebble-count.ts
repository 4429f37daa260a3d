import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable, type Sink } from '../../engine/game'
import {
  cards,
  deviceOf,
  dice,
  numbersSchema,
  shorterBy,
  sum,
  totalsOf,
  turnUp,
  type Numbers,
} from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie, heap, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, onTable, place, stacked, numeral } from '../../../table'

const paramsSchema = z.object({
  source: numbersSchema,
  /** What is counted out: loose pebbles, or rods of ten and single cubes. */
  pieces: z.enum(['pebbles', 'tens']).default('pebbles'),
  /** Write the numeral. */
  write: z.boolean().default(true),
  /** Draw the objects. */
  draw: z.boolean().default(false),
  /** Goes of a whole game; null: until the time is up. */
  goes: z.number().int().min(2).max(40).nullable().default(null),
})

export type Params = z.infer<typeof paramsSchema>

/** What the throw itself asks: the dots of one die, or the sum of several. */
function readThrow(source: Numbers, numbers: readonly number[], player: number, sink: Sink) {
  if (source.kind !== 'dice') {
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: numbers[0] }, steps: 0 })
    return
  }
  if (numbers.length === 1)
    sink({ kind: 'answered', player, item: { op: 'see', pattern: 'dice', answer: numbers[0] }, steps: 0 })
  let total = numbers[0]
  for (const face of numbers.slice(1)) {
    const item = { op: 'add' as const, a: total, b: face, answer: total + face }
    sink({ kind: 'answered', player, item, steps: face })
    total += face
  }
}

const engine = responding<Params>({
  tasks: ({ goes }) => goes,
  open: ({ params, chance, player }, sink) => turnUp(params.source, chance, player, sink),
  answer({ params, prompt, player }, sink) {
    const total = sum(prompt)
    readThrow(params.source, prompt, player, sink)
    const handled = params.pieces === 'tens' ? Math.floor(total / 10) + (total % 10) : total
    sink({ kind: 'answered', player, item: { op: 'count', answer: total }, steps: handled })
    sink({ kind: 'built', player, cubes: handled, space: total })
    if (params.write) sink({ kind: 'wrote', player, what: 'numeral', text: String(total) })
    if (params.draw) sink({ kind: 'wrote', player, what: 'drawing', text: '●'.repeat(total) })
  },
})

const level = (
  id: string,
  title: string,
  to: number,
  source: Numbers,
  pieces: Params['pieces'] = 'pebbles',
) => levelOf<Params>(id, title, to, 'objects', { source, pieces, write: true, draw: false, goes: null })

/** What lies there once the number is counted out. */
const countedOut = ({ pieces }: Params, total: number) =>
  pieces === 'pebbles'
    ? heap('pebbles', 'pebble', 'work', total)
    : [
        ...heap('tens', 'base-ten ten', 'tens', Math.floor(total / 10)),
        ...heap('ones', 'base-ten one', 'ones', total % 10),
      ]

const table = respondTable<Params>(
  ({ source, pieces }) =>
    onTable(
      stacked(
        10,
        deviceSpots(source),
        pieces === 'pebbles'
          ? place('work', [110, 50])
          : beside(6, place('tens', [66, 48], { label: 'tens' }), place('ones', [48, 48], { label: 'ones' })),
        place('sheet', [50, 16]),
      ),
    ),
  ({ params, prompt, open }) => {
    const total = sum(prompt)
    const counted = prompt.length > 0 && !open
    return [
      ...deviceThings(params.source, prompt),
      ...(counted ? countedOut(params, total) : []),
      ...(counted && params.write ? [lie('numeral', 'sheet', 'sheet', numeral(total))] : []),
    ]
  },
)

export const pebbleCount = defineGame({
  ...engine,
  id: 'pebble-count',
  title: 'Pebble Count',
  summary: 'Roll, count out that many pebbles, write the numeral.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('die', 'one die', 6, dice(1)),
    level('cards-10', 'cards 0 to 10', 10, cards(0, 10)),
    level('two-dice', 'two dice', 12, dice(2)),
    level('three-dice', 'three dice', 18, dice(3)),
    level('cards-20', 'cards 0 to 20', 20, cards(0, 20)),
    level('tens-ones', 'cards 21 to 60, tens and ones', 60, cards(21, 60), 'tens'),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: () => ['count'],
  variants: (params) => [
    ...shorterBy(params.goes ?? 0, 2).map((goes) => ({
      change: 'fewer-rounds' as const,
      amount: goes,
      params: { ...params, goes },
    })),
    ...(params.draw ? [{ change: 'another-device' as const, params: { ...params, draw: false } }] : []),
  ],
  table,
  materials: ({ source, pieces, write, draw }) => [
    deviceOf(source),
    ...(pieces === 'pebbles'
      ? [perPlayer({ kind: 'pebble' }, source.kind === 'dice' ? 6 * source.count : 20)]
      : [
          perPlayer({ kind: 'base-ten ten' }, Math.floor(Math.max(...totalsOf(source).keys()) / 10)),
          perPlayer({ kind: 'base-ten one' }, 9),
        ]),
    ...(write || draw ? [perPlayer({ kind: 'sheet', columns: 'numbers and drawings' })] : []),
  ],
  room: quietTable,
})
