import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, place, pattern, type Face } from '../../../table'

const paramsSchema = z
  .object({
    pattern: z.enum(['dice', 'fingers', 'frame', 'groups']),
    high: z.number().int().min(3).max(20),
    /** How long the pattern is shown, in milliseconds. */
    shown: z.number().int().min(200).max(5000).default(2000),
    looks: z.number().int().min(3).max(30).default(12),
    /** Say how you saw it. */
    explain: z.boolean().default(true),
  })
  .refine(({ pattern, high }) => high <= { dice: 6, fingers: 10, frame: 20, groups: 12 }[pattern], {
    path: ['high'],
    error: 'The pattern does not go that far.',
  })

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  all: true,
  tasks: ({ looks }) => looks,
  open({ params, chance, player }, sink) {
    const number = chance.int(1, params.high)
    const seconds = (params.shown / 1000).toFixed(1)
    sink?.({ kind: 'called', player, words: `${params.pattern} ${number}, ${seconds} s` })
    return [number]
  },
  answer({ params, prompt: [answer], player }, sink) {
    sink({ kind: 'answered', player, item: { op: 'see', pattern: params.pattern, answer }, steps: 0 })
    if (params.explain) sink({ kind: 'explained', player })
  },
})

/** How a pattern is called among the picture cards. */
const cardsShow = {
  dice: 'dice dots',
  fingers: 'fingers',
  frame: 'ten frames',
  groups: 'dots in two groups',
} as const

const level = (id: string, title: string, pattern: Params['pattern'], high: number, shown: number) =>
  levelOf<Params>(id, title, high, 'pictures', { pattern, high, shown, looks: 12, explain: true })

/** The pattern of a look. */
const patternOf = ({ pattern: kind, high }: Params, n: number): Face => pattern(kind, n, high)

const table = respondTable<Params>(
  () => onTable(place('open', [110, 80])),
  // While the question is open the pattern has gone: it was there for the time of a look.
  ({ params, prompt, open }) =>
    prompt.length === 0
      ? []
      : [lie('pattern', 'picture cards', 'open', open ? null : patternOf(params, prompt[0]))],
  (params, [n]) => ({
    things: [lie('pattern', 'picture cards', 'open', patternOf(params, n))],
    milliseconds: params.shown,
  }),
)

export const quickLook = defineGame({
  ...engine,
  id: 'quick-look',
  title: 'Quick Look',
  summary: 'Dots flash up: say how many, and how you saw it.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('fingers-5', 'fingers to 5', 'fingers', 5, 3000),
    level('dice', 'dice patterns', 'dice', 6, 3000),
    level('fingers', 'fingers to 10', 'fingers', 10, 2500),
    level('frame', 'five and some, ten frame', 'frame', 10, 2000),
    level('groups', 'two groups', 'groups', 10, 2000),
    level('double-frame', 'double ten frame', 'frame', 20, 1500),
  ],
  players: { min: 1, max: 34, typical: 6 },
  goes: 'call',
  interaction: 'shared',
  variants: (params) => fewer(params, 'looks', 'fewer-rounds', 4),
  table,
  materials: ({ pattern, high }) => [
    perSet({ kind: 'picture cards', shows: cardsShow[pattern], from: 1, to: high }),
  ],
  room: { ...quietTable, where: 'carpet', whole: true },
})
