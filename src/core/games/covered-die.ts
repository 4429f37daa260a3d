import { z } from 'zod'
import { smallParts } from './cautions'
import { responding } from './families/respond'
import { defineGame, levelOf, quietTable } from './game'
import { fewer } from './source'

const paramsSchema = z.object({
  /** Faces of the dice. */
  faces: z.number().int().min(3).max(10),
  /** Seconds to look before one is covered. */
  look: z.number().int().min(1).max(10).default(3),
  /** What happens with the total. */
  then: z.enum(['say', 'shade', 'move']).default('shade'),
  goes: z.number().int().min(3).max(40).default(12),
})

type Params = z.infer<typeof paramsSchema>

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

const level = (id: string, title: string, faces: number, then: Params['then'], look = 3) =>
  levelOf<Params>(id, title, 2 * faces, 'hidden', { faces, look, then, goes: 12 })

export const coveredDie = defineGame({
  ...engine,
  id: 'covered-die',
  title: 'Covered Die',
  summary: 'Look at two dice, cover one; the partner names the total from memory.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-3', 'dice with 1 to 3', 3, 'shade', 5),
    level('die', 'ordinary dice', 6, 'shade'),
    level('move', 'ordinary dice, move along', 6, 'move'),
    level('to-9', 'numbers 1 to 9', 9, 'say'),
  ],
  players: { min: 2, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => fewer(params, 'goes', 'fewer-rounds', 4),
  materials: ({ faces, then }) => [
    { item: faces === 6 ? 'die' : `die with 1 to ${faces}`, perSet: 2 },
    { item: 'cup', perSet: 1 },
    ...(then === 'shade' ? [{ item: 'shading grid of totals', perPlayer: 1 }] : []),
    ...(then === 'move'
      ? [
          { item: 'number track to 50', perSet: 1 },
          { item: 'marker', perPlayer: 1, loose: true },
        ]
      : []),
  ],
  texts: {
    rules: [
      'Roll two dice and look for three seconds.',
      'Your partner covers one with a cup.',
      'Say the total.',
      'Lift the cup and check.',
      'Shade the total, or move that many. Change over.',
    ],
    lookFors: [
      'Keeps the covered number in mind?',
      'Counts on from it, or knows the sum?',
      'Sees the dots at a glance?',
    ],
    misconceptions: [
      { seen: 'Says only the number in sight.', ask: 'And under the cup? What did you see?' },
      { seen: 'Counts the covered dots in the air from one.', ask: 'You know it is four. Start from there.' },
    ],
    talk: 'How did you remember the covered one?',
    cautions: [smallParts],
    homeVersion: 'Two dice and a cup are all you need.',
    finishEarly: 'Say the total first and let your partner find the covered die.',
  },
  room: { ...quietTable, noise: 2, alone: false },
})
