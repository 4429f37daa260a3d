import { timeInWords } from '../../../skills/item'
import { z } from 'zod'
import { timesOnCards } from '../../../things'
import { responding, respondTable, pastPrompts } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, packSpots, packThings } from '../../families/on-table'
import { beside, grid, onTable, place, stacked, words } from '../../../table'

const paramsSchema = z.object({
  /** Minutes between the times: hours, half hours, quarters, or every number of the clock. */
  every: z.union([z.literal(60), z.literal(30), z.literal(15), z.literal(5)]),
  turn: z.number().int().min(3).max(48).default(10),
  /** Put the cards in order as well. */
  order: z.boolean().default(false),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ turn }) => turn,
  cards: ({ every }) => timesOnCards(every).length,
  open({ params, card, player }, sink) {
    const minutes = timesOnCards(params.every)[card]
    sink?.({ kind: 'drew', player, card: minutes })
    return [minutes]
  },
  answer({ params, prompt: [minutes], player }, sink) {
    const hour = Math.floor(minutes / 60) || 12
    sink({ kind: 'moved', player, from: 0, to: minutes, squares: 4 })
    sink({
      kind: 'answered',
      player,
      item: { op: 'clock', hour, minute: minutes % 60, answer: minutes },
      steps: 0,
    })
    sink({ kind: 'explained', player })
    if (params.order) sink({ kind: 'placed', player, space: minutes })
  },
})

const level = (id: string, title: string, every: Params['every'], order = false) =>
  levelOf<Params>(id, title, 12, 'pictures', { every, turn: 10, order })

const table = respondTable<Params>(
  ({ order, turn }) =>
    onTable(
      stacked(
        12,
        beside(14, packSpots([50, 30]), place('clock', [56, 56])),
        ...(order
          ? [
              grid(
                range(0, turn - 1).map((i) => ({ id: `row-${i}`, shape: 'square', tone: 'quiet' })),
                Math.min(5, turn),
                [38, 16],
                3,
              ),
            ]
          : []),
      ),
    ),
  (state) => {
    const { params, prompt, open, done, packLeft } = state
    const [minutes] = prompt
    const said = (at: number) => words(timeInWords(Math.floor(at / 60), at % 60))
    const lying = params.order
      ? [...pastPrompts(state, done), ...(open || prompt.length === 0 ? [] : [prompt])].map(([at]) => at)
      : []
    return [
      ...packThings(
        'time cards',
        prompt.length > 0 && (open || !params.order) ? said(minutes) : undefined,
        packLeft.length,
      ),
      lie(
        'clock',
        'clock',
        'clock',
        prompt.length > 0 && !open ? { kind: 'clock', minutes } : { kind: 'clock', minutes: 0 },
      ),
      ...[...lying]
        .sort((a, b) => a - b)
        .map((at, i) => lie(`time-${at}`, 'time cards', `row-${i}`, said(at))),
    ]
  },
)

export const clockCards = defineGame({
  ...engine,
  id: 'clock-cards',
  title: 'Clock Cards',
  summary: 'Turn a time, set the clock, and say what happens then.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('hours', 'hours', 60),
    level('half-hours', 'half hours', 30),
    level('order', 'half hours, put in order', 30, true),
    level('quarters', 'quarters', 15),
    level('five-minutes', 'every five minutes', 5),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  variants: (params) => fewer(params, 'turn', 'fewer-cards', 4),
  table,
  materials: ({ every }) => [perSet({ kind: 'time cards', every }), perSet({ kind: 'clock' })],
  room: quietTable,
})
