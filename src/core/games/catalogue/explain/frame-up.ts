import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { shorterBy } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, packSpots, packThings } from '../../families/on-table'
import { beside, onTable, place, numeral } from '../../../table'

const paramsSchema = z.object({
  /** Cards 0 to 5 (one row), 10 (one frame) or 20 (two frames). */
  high: z.union([z.literal(5), z.literal(10), z.literal(20)]),
  /** Say also how many more make the frames full. */
  more: z.boolean().default(true),
  turn: z.number().int().min(3).max(21).nullable().default(null),
})

export type Params = z.infer<typeof paramsSchema>

const turned = ({ high, turn }: Params) => Math.min(turn ?? Infinity, high + 1)

const engine = responding<Params>({
  tasks: turned,
  cards: ({ high }) => high + 1,
  open({ card, player }, sink) {
    sink?.({ kind: 'drew', player, card })
    return [card]
  },
  answer({ params, prompt: [number], player }, sink) {
    const { high, more } = params
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
    sink({ kind: 'built', player, cubes: number, space: 0 })
    const seen = { op: 'see' as const, pattern: 'frame' as const, answer: number }
    if (number > 10)
      sink({
        kind: 'answered',
        player,
        item: { op: 'tens', tens: Math.floor(number / 10), ones: number % 10, answer: number },
        steps: 0,
      })
    else sink({ kind: 'answered', player, item: seen, steps: 0 })
    if (more) {
      const item = { op: 'missing' as const, part: number, whole: high, answer: high - number }
      sink({ kind: 'answered', player, item, steps: high - number })
    }
  },
})

const level = (id: string, title: string, high: Params['high'], more: boolean) =>
  levelOf<Params>(id, title, high, 'objects', { high, more, turn: high === 20 ? 12 : null })

const table = respondTable<Params>(
  ({ high }) => onTable(beside(14, packSpots(), place('frame', [90, high === 20 ? 70 : 40]))),
  ({ params, prompt, open, packLeft }) => [
    ...packThings('number cards', prompt.length > 0 ? numeral(prompt[0]) : undefined, packLeft.length),
    lie('frame', 'frame', 'frame', {
      kind: 'frame',
      n: open ? 0 : (prompt[0] ?? 0),
      cells: params.high,
    }),
  ],
)

export const frameUp = defineGame({
  ...engine,
  id: 'frame-up',
  title: 'Frame Up',
  summary: 'Build the number on a ten frame, fives first, and say how many more fill it.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('five', '0 to 5, one row', 5, true),
    level('build', '0 to 10, built and named', 10, false),
    level('ten', '0 to 10, how many more', 10, true),
    level('twenty', '0 to 20, two frames', 20, true),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: ({ more }) => (more ? ['missing'] : ['see']),
  variants: (params) => [
    ...shorterBy(turned(params), 4).map((turn) => ({
      change: 'fewer-cards' as const,
      amount: turn,
      params: { ...params, turn },
    })),
  ],
  table,
  materials: ({ high }) => [
    perSet({ kind: 'number cards', from: 0, to: high }),
    perSet({ kind: 'frame', cells: high }),
    perSet({ kind: 'counter' }, high),
  ],
  room: quietTable,
})
