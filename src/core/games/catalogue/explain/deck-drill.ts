import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perSet } from '../../engine/material'
import { packSpots, packThings } from '../../families/on-table'
import { onTable, numeral, type Face } from '../../../table'

const actions = ['clap', 'jump', 'hop', 'stretch'] as const

const paramsSchema = z.object({
  /** A number to count, or a sum to work out. */
  ask: z.enum(['number', 'sum', 'difference']).default('number'),
  high: z.number().int().min(3).max(20),
  action: z.enum(actions).default('jump'),
  /** Only if the caller says the key word. */
  keyWord: z.boolean().default(false),
  calls: z.number().int().min(3).max(30).default(10),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  all: true,
  tasks: ({ calls }) => calls,
  open({ params, chance, player }, sink) {
    const total = chance.int(1, params.high)
    const part = params.ask === 'number' ? 0 : chance.int(0, total)
    // Two calls in three carry the key word.
    const act = params.keyWord ? (chance.int(1, 3) < 3 ? 1 : 0) : 1
    sink?.({ kind: 'called', player, words: `${params.action} ${total}` })
    return [total, part, act]
  },
  answer({ params, prompt: [total, part, act], player }, sink) {
    if (act === 0) return
    const times = params.ask === 'difference' ? total - part : total
    if (params.ask === 'sum')
      sink({
        kind: 'answered',
        player,
        item: { op: 'add', a: total - part, b: part, answer: total },
        steps: part,
      })
    else if (params.ask === 'difference')
      sink({
        kind: 'answered',
        player,
        item: { op: 'subtract', a: total, b: part, answer: times },
        steps: part,
      })
    sink({ kind: 'answered', player, item: { op: 'count', answer: times }, steps: times })
    sink({ kind: 'jumped', player, times: params.action === 'clap' ? Math.ceil(times / 2) : times })
  },
})

const level = (id: string, title: string, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, params.high, 'numerals', paramsSchema.parse(params))

/** What a card asks. */
const cardFace = ({ ask }: Params, total: number, part: number): Face =>
  ask === 'number'
    ? numeral(total)
    : ask === 'sum'
      ? { kind: 'sum', a: total - part, b: part }
      : { kind: 'difference', a: total, b: part }

const cardTable = respondTable<Params>(
  () => onTable(packSpots([70, 50])),
  ({ params, prompt }) =>
    packThings(
      params.ask === 'number' ? 'number cards' : 'question cards',
      prompt.length > 0 ? cardFace(params, prompt[0], prompt[1]) : undefined,
    ),
)

const table: typeof cardTable = {
  ...cardTable,
  calls({ params, prompt }) {
    if (prompt.length === 0) return null
    const [total, part, act] = prompt
    return {
      action: params.action,
      times: act === 0 ? 0 : params.ask === 'difference' ? total - part : total,
    }
  },
}

export const deckDrill = defineGame({
  ...engine,
  id: 'deck-drill',
  title: 'Deck Drill',
  summary: 'A card tells how many; all do it that many times.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-5', 'numbers to 5', { high: 5, action: 'clap' }),
    level('to-10', 'numbers to 10', { high: 10 }),
    level('key-word', 'numbers to 10, with a key word', { high: 10, keyWord: true }),
    level('sums', 'sums to 10', { high: 10, ask: 'sum', action: 'hop' }),
    level('differences', 'differences to 12', { high: 12, ask: 'difference', action: 'stretch' }),
  ],
  players: { min: 2, max: 34, typical: 8 },
  goes: 'call',
  interaction: 'shared',
  focus: ({ ask }) => (ask === 'number' ? ['count'] : ask === 'sum' ? ['add'] : ['subtract']),
  variants: (params) => [
    ...fewer(params, 'calls', 'fewer-rounds', 4),
    ...(params.action !== 'clap'
      ? [{ change: 'another-device' as const, params: { ...params, action: 'clap' as const } }]
      : []),
  ],
  table,
  materials: ({ ask, high }) => [
    ask === 'number'
      ? perSet({ kind: 'number cards', from: 1, to: high })
      : perSet({ kind: 'question cards', about: `${ask}s to ${high}` }),
  ],
  room: {
    noise: 3,
    floor: 3,
    where: 'floor',
    adult: true,
    alone: false,
    together: true,
    win: false,
    whole: true,
  },
})
