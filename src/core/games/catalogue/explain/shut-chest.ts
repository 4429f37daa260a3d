import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, heap, diceThings } from '../../families/on-table'
import { beside, onTable, place, stacked, numeral, wheel, words, type SceneThing } from '../../../table'

const paramsSchema = z.object({
  /** Where the two numbers come from. */
  form: z.enum(['two-spinners', 'die-and-picture', 'chest-card-and-die']).default('two-spinners'),
  /** The largest number in the chest. */
  first: z.number().int().min(3).max(20),
  /** The largest number of loose things. */
  second: z.number().int().min(2).max(6).default(4),
  record: z.boolean().default(true),
  goes: z.number().int().min(3).max(30).default(10),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ goes }) => goes,
  open({ params, chance, player }, sink) {
    const first = chance.int(1, params.first)
    const second = chance.int(1, params.second)
    if (params.form === 'die-and-picture') {
      sink?.({ kind: 'rolled', player, faces: [first] })
      sink?.({ kind: 'drew', player, card: second })
    } else if (params.form === 'chest-card-and-die') {
      sink?.({ kind: 'drew', player, card: first })
      sink?.({ kind: 'rolled', player, faces: [second] })
    } else {
      sink?.({ kind: 'spun', player, sector: first })
      sink?.({ kind: 'spun', player, sector: second })
    }
    return [first, second]
  },
  answer({ params, prompt: [first, second], player }, sink) {
    sink({ kind: 'took', player, cards: [second] })
    const item = { op: 'add' as const, a: first, b: second, answer: first + second }
    sink({ kind: 'answered', player, item, steps: second })
    if (params.record)
      sink({ kind: 'wrote', player, what: 'sentence', text: `${first} + ${second} = ${first + second}` })
  },
})

const level = (id: string, title: string, params: z.input<typeof paramsSchema>) => {
  const parsed = paramsSchema.parse(params)
  return levelOf<Params>(id, title, parsed.first + parsed.second, 'hidden', parsed)
}

const table = respondTable<Params>(
  ({ form }) =>
    onTable(
      stacked(
        10,
        form === 'two-spinners'
          ? beside(10, place('first', [48, 48]), place('second', [48, 48]))
          : beside(10, place('first', [26, 32]), place('second', [26, 32])),
        beside(14, place('chest', [44, 40]), place('loose', [50, 30], { label: 'beside the chest' })),
        place('sheet', [80, 14]),
      ),
    ),
  ({ params, prompt, open }) => {
    const [first, second] = prompt
    const out = prompt.length > 0
    const { form } = params
    const devices: SceneThing[] =
      form === 'two-spinners'
        ? [
            lie('first', 'spinner', 'first', wheel(params.first, out ? first : null)),
            lie('second', 'spinner', 'second', wheel(params.second, out ? second : null)),
          ]
        : form === 'die-and-picture'
          ? [
              ...diceThings(1, out ? [first] : [], 'first', 'first'),
              lie('second', 'picture cards', 'second', out ? { kind: 'fingers', n: second } : null),
            ]
          : [
              lie('first', 'number cards', 'first', out ? numeral(first) : null),
              ...diceThings(1, out ? [second] : [], 'second', 'second'),
            ]
    return [
      ...devices,
      lie('chest', 'chest', 'chest', out ? { kind: 'chest', n: first } : null),
      ...(out ? heap('loose', 'counter', 'loose', second) : []),
      ...(params.record && out && !open
        ? [lie('sentence', 'sheet', 'sheet', words(`${first} + ${second} = ${first + second}`))]
        : []),
    ]
  },
)

export const shutChest = defineGame({
  ...engine,
  id: 'shut-chest',
  title: 'Shut Chest',
  summary: 'Some things are shut away, some lie loose: count on from the hidden ones.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-3', 'chest to 3, two spinners', { first: 3 }),
    level('to-5', 'chest to 5, two spinners', { first: 5 }),
    level('die', 'die and finger pictures', { first: 6, form: 'die-and-picture' }),
    level('to-9', 'chest to 9, two spinners', { first: 9 }),
    level('to-20', 'chest cards to 20 and a die', { first: 20, second: 6, form: 'chest-card-and-die' }),
  ],
  usual: 'to-5',
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => [
    ...fewer(params, 'goes', 'fewer-rounds', 4),
    ...(params.record ? [{ change: 'another-device' as const, params: { ...params, record: false } }] : []),
  ],
  table,
  materials: ({ form, first, second, record }) => [
    perSet({ kind: 'chest' }),
    perSet({ kind: 'counter' }, first + second),
    ...(form === 'two-spinners'
      ? [perSet({ kind: 'spinner', sectors: first }), perSet({ kind: 'spinner', sectors: second })]
      : form === 'die-and-picture'
        ? [
            perSet({ kind: 'die', sides: first }),
            perSet({ kind: 'picture cards', shows: 'fingers', from: 1, to: second, copies: 2 }),
          ]
        : [perSet({ kind: 'number cards', from: 1, to: first }), perSet({ kind: 'die', sides: second })]),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'first, added, total' })] : []),
  ],
  room: quietTable,
})
