import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { beside, onTable, place, stacked, words } from '../../../table'

const paramsSchema = z.object({
  /** The most that is fetched of each. */
  high: z.number().int().min(3).max(12),
  /** Seconds for fetching. */
  seconds: z.number().int().min(30).max(180).default(90),
  /** Sentences written: two of adding, or also two of taking away. */
  sentences: z.union([z.literal(2), z.literal(4)]).default(4),
  rounds: z.number().int().min(1).max(6).default(2),
})

export type Params = z.infer<typeof paramsSchema>

/** Squares walked in a second, so that the walk lasts as long as the rule says. */
const stepsPerSecond = 1 / 0.7

const engine = responding<Params>({
  tasks: ({ rounds }) => rounds,
  open({ params, chance, player }, sink) {
    const counts = [chance.int(1, params.high), chance.int(1, params.high)].sort((a, b) => b - a)
    sink?.({ kind: 'called', player, words: `Fetch some of each: ${params.seconds} s` })
    return counts
  },
  answer({ params, prompt: [a, b], player }, sink) {
    const squares = Math.round(params.seconds * stepsPerSecond)
    sink({ kind: 'moved', player, from: 0, to: a + b, squares })
    for (const count of [a, b])
      sink({ kind: 'answered', player, item: { op: 'count', answer: count }, steps: count })
    const total = a + b
    const adding = [
      { op: 'add' as const, a, b, answer: total },
      { op: 'add' as const, a: b, b: a, answer: total },
    ]
    const taking = [
      { op: 'subtract' as const, a: total, b: a, answer: b },
      { op: 'subtract' as const, a: total, b, answer: a },
    ]
    for (const item of params.sentences === 4 ? [...adding, ...taking] : adding) {
      sink({ kind: 'answered', player, item, steps: Math.min(item.b, item.answer) })
      const sign = item.op === 'add' ? '+' : '−'
      sink({ kind: 'wrote', player, what: 'sentence', text: `${item.a} ${sign} ${item.b} = ${item.answer}` })
    }
  },
})

const level = (id: string, title: string, high: number, sentences: 2 | 4) =>
  levelOf<Params>(id, title, 2 * high, 'objects', { high, seconds: 90, sentences, rounds: 2 })

const table = respondTable<Params>(
  () =>
    onTable(
      stacked(
        10,
        beside(
          14,
          place('first', [80, 46], { shape: 'square', tone: 'quiet' }),
          place('second', [80, 46], { shape: 'square', tone: 'quiet' }),
        ),
        place('sheet', [110, 40]),
      ),
    ),
  ({ params, prompt, open }) => {
    if (prompt.length === 0) return []
    const [a, b] = prompt
    const written = [
      `${a} + ${b} = ${a + b}`,
      `${b} + ${a} = ${a + b}`,
      `${a + b} − ${b} = ${a}`,
      `${a + b} − ${a} = ${b}`,
    ]
    return [
      ...heap('first', 'find', 'first', a),
      ...heap('second', 'find', 'second', b),
      ...(open
        ? []
        : written
            .slice(0, params.sentences)
            .map((text, i) => lie(`sentence-${i}`, 'sheet', 'sheet', words(text)))),
    ]
  },
)

export const fetchTwo = defineGame({
  ...engine,
  id: 'fetch-two',
  title: 'Fetch Two',
  summary: 'Fetch any number of two kinds of things, then write what they make together.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-3', 'to 3 of each, adding', 3, 2),
    level('to-5', 'to 5 of each, adding', 5, 2),
    level('to-6', 'to 6 of each, all four sentences', 6, 4),
    level('to-8', 'to 8 of each, all four sentences', 8, 4),
    level('to-10', 'to 10 of each, all four sentences', 10, 4),
  ],
  usual: 'to-5',
  players: { min: 1, max: 6, typical: 4 },
  goes: 'parallel',
  interaction: 'shared',
  focus: ({ sentences }) => (sentences === 4 ? ['subtract'] : ['add']),
  variants: (params) => [
    ...fewer(params, 'rounds', 'fewer-rounds', 1),
    ...(params.sentences === 4
      ? [{ change: 'another-device' as const, params: { ...params, sentences: 2 as const } }]
      : []),
  ],
  table,
  materials: ({ high }) => [
    perPlayer({ kind: 'list' }),
    perPlayer({ kind: 'tray' }),
    perPlayer({ kind: 'find' }, 2 * high),
    perPlayer({ kind: 'sheet', columns: 'number sentences' }),
  ],
  room: { ...quietTable, noise: 2, floor: 2, where: 'floor', adult: true },
})
