import { z } from 'zod'
import { responding, respondTable, pastPrompts } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range, sum } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { beside, grid, onTable, place, stacked, trackRows, numeral, pips } from '../../../table'

const paramsSchema = z.object({
  /** Faces of the dice. */
  faces: z.number().int().min(3).max(10),
  /** Seconds to look before one is covered. */
  look: z.number().int().min(1).max(10).default(3),
  /** What happens with the total. */
  then: z.enum(['say', 'shade', 'move']).default('shade'),
  goes: z.number().int().min(3).max(40).default(12),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ goes }) => goes,
  open({ params, chance, player }, sink) {
    const faces = [chance.int(1, params.faces), chance.int(1, params.faces)]
    sink?.({ kind: 'rolled', player, faces })
    return faces
  },
  answer({ params, prompt: [seen, covered], player, players }, sink) {
    // The partner covers one; who answers keeps it in the head and counts on.
    sink({ kind: 'called', player: (player + 1) % players, words: `${params.look} seconds` })
    const total = seen + covered
    sink({ kind: 'answered', player, item: { op: 'add', a: covered, b: seen, answer: total }, steps: seen })
    if (params.then === 'shade') sink({ kind: 'placed', player, space: total })
    if (params.then === 'move') sink({ kind: 'moved', player, from: 0, to: total, squares: total })
  },
})

/** Where the track of the moving form ends. */
const trackTo = 50

const level = (id: string, title: string, faces: number, then: Params['then'], look = 3) =>
  levelOf<Params>(id, title, 2 * faces, 'hidden', { faces, look, then, goes: 12 })

const totalId = (total: number) => `total-${total}`

const table = respondTable<Params>(
  ({ faces, then }) =>
    onTable(
      stacked(
        12,
        beside(12, place('seen', [30, 30]), place('cup', [34, 34], { label: 'under the cup' })),
        ...(then === 'shade'
          ? [
              grid(
                range(2, 2 * faces).map((total) => ({
                  id: totalId(total),
                  shape: 'square',
                  face: numeral(total),
                })),
                Math.min(9, 2 * faces - 1),
                [16, 14],
              ),
            ]
          : then === 'move'
            ? [trackRows(0, trackTo, (n) => ({ id: totalId(n), shape: 'circle', face: numeral(n) }), 11, 3)]
            : []),
      ),
    ),
  (state) => {
    const { params, prompt, open, players, done, turn } = state
    const out = prompt.length > 0
    const [seen, covered] = prompt
    const answered = [...pastPrompts(state, done), ...(out && !open ? [prompt] : [])].map(sum)
    const dieOn = (id: string, at: string, face: number | null) =>
      lie(id, 'die', at, face === null ? null : face <= 9 ? pips(face) : numeral(face))
    // Whose go each answered task was: goes run round the table.
    const first = (((turn - (open ? 0 : 1) - done) % players) + players) % players
    return [
      dieOn('die-0', 'seen', out ? seen : null),
      dieOn('die-1', 'cup', out && !open ? covered : null),
      ...(out && open ? [lie('cup', 'cup', 'cup')] : []),
      ...(params.then === 'shade'
        ? [...new Set(answered)].map((total) =>
            lie(`shade-${total}`, 'board', totalId(total), { kind: 'shade' }),
          )
        : []),
      ...(params.then === 'move'
        ? range(0, players - 1).map((player) =>
            lie(
              `marker-${player}`,
              'marker',
              totalId(
                Math.min(trackTo, sum(answered.filter((_, i) => (first + 1 + i) % players === player))),
              ),
              null,
              { owner: player },
            ),
          )
        : []),
    ]
  },
  ({ look }, [seen, covered]) => ({
    things: [
      lie('die-0', 'die', 'seen', seen <= 9 ? pips(seen) : numeral(seen)),
      lie('die-1', 'die', 'cup', covered <= 9 ? pips(covered) : numeral(covered)),
    ],
    milliseconds: 1000 * look,
  }),
)

export const coveredDie = defineGame({
  ...engine,
  id: 'covered-die',
  title: 'Covered Die',
  summary: 'Look at two dice, cover one; the partner names the total from memory.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-3', 'dice with 1 to 3', 3, 'shade', 5),
    level('to-4', 'dice with 1 to 4', 4, 'shade', 5),
    level('die', 'ordinary dice', 6, 'shade'),
    level('move', 'ordinary dice, move along', 6, 'move'),
    level('to-7', 'numbers 1 to 7', 7, 'say'),
    level('to-9', 'numbers 1 to 9', 9, 'say'),
  ],
  players: { min: 2, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => fewer(params, 'goes', 'fewer-rounds', 4),
  table,
  materials: ({ faces, then }) => [
    perSet({ kind: 'die', sides: faces }, 2),
    perSet({ kind: 'cup' }),
    ...(then === 'shade'
      ? [perPlayer({ kind: 'board', name: 'shading grid', shows: `totals 2 to ${2 * faces}` })]
      : []),
    ...(then === 'move'
      ? [perSet({ kind: 'track', from: 0, to: trackTo }), perPlayer({ kind: 'marker' })]
      : []),
  ],
  room: { ...quietTable, noise: 2, alone: false },
})
