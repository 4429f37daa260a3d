import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, place, stacked, trackRows, numeral, words } from '../../../table'
import { numberWords } from '../../../things/number-words'

const paramsSchema = z
  .object({
    high: z.number().int().min(5).max(1000),
    /**
     * What the number line shows: every number, every fifth (or tenth), or only its ends. None: there is no line, the
     * number is written down.
     */
    marks: z.enum(['all', 'some', 'ends', 'none']).default('all'),
    calls: z.number().int().min(3).max(30).default(12),
  })
  .refine(({ high, marks }) => marks !== 'none' || high <= 100, {
    path: ['high'],
    error: 'Numbers to 100 are written down.',
  })

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  all: true,
  tasks: ({ calls }) => calls,
  open({ params, chance, player }, sink) {
    // What is written is of the highest of its rungs: to ten all numbers, beyond it those that came since.
    const low = params.marks !== 'none' || params.high <= 10 ? 0 : params.high <= 20 ? 11 : 21
    const number = chance.int(low, params.high)
    sink?.({ kind: 'called', player, words: String(number) })
    return [number]
  },
  answer({ params, prompt: [number], player }, sink) {
    if (params.marks === 'none') {
      sink({ kind: 'answered', player, item: { op: 'numeral', answer: number, write: true }, steps: 0 })
      sink({ kind: 'wrote', player, what: 'numeral', text: String(number) })
      return
    }
    if (params.marks === 'all')
      sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
    else {
      const among = params.marks === 'ends' ? 2 : Math.ceil(params.high / (params.high > 20 ? 10 : 5)) + 1
      sink({ kind: 'answered', player, item: { op: 'order', among, answer: number }, steps: 0 })
    }
    sink({ kind: 'placed', player, space: number })
  },
})

const level = (id: string, title: string, high: number, marks: Params['marks']) =>
  levelOf<Params>(id, title, high, 'numerals', { high, marks, calls: 12 })

const markId = (n: number) => `mark-${n}`

/** True where a number stands on the line. */
const isMarked = ({ high, marks }: Params, n: number) =>
  marks === 'all' || n === 0 || n === high || (marks === 'some' && n % (high > 20 ? 10 : 5) === 0)

const table = respondTable<Params>(
  (params) =>
    onTable(
      stacked(
        14,
        place('called', [60, 30], { label: 'the caller says' }),
        params.marks === 'none'
          ? place('written', [60, 34])
          : trackRows(0, params.high, (n) => ({
              id: markId(n),
              shape: 'circle',
              ...(isMarked(params, n) ? { face: numeral(n) } : {}),
            })),
      ),
      12,
    ),
  ({ params, prompt: [number], open }) =>
    number === undefined
      ? []
      : params.marks === 'none'
        ? [
            // Heard, not seen: as a numeral it would be copied.
            lie('called', 'whiteboard', 'called', words(numberWords(number))),
            ...(open ? [] : [lie('written', 'whiteboard', 'written', numeral(number))]),
          ]
        : [
            lie('called', 'number line', 'called', numeral(number)),
            ...(open ? [] : [lie('finger', 'number line', markId(number), { kind: 'shade' })]),
          ],
)

export const pointFast = defineGame({
  ...engine,
  id: 'point-fast',
  title: 'Point to It',
  summary: 'A number is called; all point to it on their own number line, or write it down.',
  section: 'order',
  params: paramsSchema,
  levels: [
    level('to-10', '0 to 10, all numbers', 10, 'all'),
    level('to-20', '0 to 20, all numbers', 20, 'all'),
    level('fives', '0 to 20, fives only', 20, 'some'),
    level('tens', '0 to 100, tens only', 100, 'some'),
    level('ends', '0 to 100, ends only', 100, 'ends'),
    level('write-10', '0 to 10, written down', 10, 'none'),
    level('write-20', '11 to 20, written down', 20, 'none'),
    level('write-100', '21 to 100, written down', 100, 'none'),
  ],
  players: { min: 1, max: 34, typical: 6 },
  goes: 'call',
  interaction: 'shared',
  variants: (params) => fewer(params, 'calls', 'fewer-rounds', 4),
  table,
  materials: ({ high, marks }) => [
    perPlayer(marks === 'none' ? { kind: 'whiteboard' } : { kind: 'number line', to: high, marks }),
  ],
  room: { ...quietTable, where: 'carpet', alone: false, whole: true },
})
