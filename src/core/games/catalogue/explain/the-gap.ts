import { z } from 'zod'
import { defineGame, levelOf, quietTable, type Variant } from '../../engine/game'
import { responding, respondTable } from '../../families/respond'
import { pack, shorterBy } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, packSpots, packThings } from '../../families/on-table'
import { beside, onTable, place, stacked, numeral, words } from '../../../table'

const paramsSchema = z
  .object({
    target: z.number().int().min(1).max(1000),
    /** Cards `low, low + by, … high`, each once. */
    cards: z.object({
      low: z.number().int().min(0).max(1000),
      high: z.number().int().min(0).max(1000),
      by: z.number().int().min(1).max(100).default(1),
    }),
    /** Cards turned in a game; null: the whole pack. */
    turn: z.number().int().min(1).max(200).nullable().default(null),
    record: z.boolean().default(false),
  })
  .refine(({ cards }) => cards.low <= cards.high, {
    path: ['cards', 'high'],
    error: 'The highest card is below the lowest.',
  })
  .refine(({ cards, target }) => cards.high <= target, {
    path: ['cards', 'high'],
    error: 'A card above the target has no gap.',
  })

export type Params = z.infer<typeof paramsSchema>

const goesOf = ({ cards, turn }: Params) => Math.min(turn ?? Infinity, pack(cards).length)

const engine = responding<Params>({
  tasks: goesOf,
  cards: ({ cards }) => pack(cards).length,
  open({ params, card: index, player }, sink) {
    const card = params.cards.low + index * params.cards.by
    sink?.({ kind: 'drew', player, card })
    return [card]
  },
  answer({ params, prompt: [card], player }, sink) {
    const { target, record } = params
    const answer = target - card
    sink({
      kind: 'answered',
      player,
      item: { op: 'missing', part: card, whole: target, answer },
      steps: countUp(card, target),
    })
    if (record) sink({ kind: 'wrote', player, what: 'sentence', text: `${card} + ${answer} = ${target}` })
  },
})

/**
 * Counts needed to go up from the card to the target: by ones to the next ten, by tens, by ones.
 * From 27 to 46: 3 ones, 1 ten, 6 ones.
 */
function countUp(card: number, target: number): number {
  const gap = target - card
  const toTen = (10 - (card % 10)) % 10
  if (gap <= 10 || gap <= toTen) return gap
  const rest = gap - toTen
  return toTen + Math.floor(rest / 10) + (rest % 10)
}

function variants(params: Params): Variant<Params>[] {
  return shorterBy(goesOf(params), 4).map((turn) => ({
    change: 'fewer-cards',
    amount: turn,
    params: { ...params, turn },
  }))
}

const level = (
  id: string,
  title: string,
  target: number,
  low: number,
  high: number,
  by = 1,
  turn: number | null = null,
) => levelOf(id, title, target, 'numerals', { target, cards: { low, high, by }, turn, record: false })

const table = respondTable<Params>(
  () =>
    onTable(
      stacked(
        12,
        beside(16, place('target', [28, 36], { label: 'target' }), packSpots()),
        place('sheet', [80, 18]),
      ),
    ),
  ({ params, prompt, open, packLeft }) => {
    const [card] = prompt
    const { target, record } = params
    return [
      lie('target', 'number cards', 'target', numeral(target)),
      ...packThings('number cards', card === undefined ? undefined : numeral(card), packLeft.length),
      ...(record && card !== undefined && !open
        ? [lie('sentence', 'sheet', 'sheet', words(`${card} + ${target - card} = ${target}`))]
        : []),
    ]
  },
)

export const theGap = defineGame({
  id: 'the-gap',
  title: 'The Gap',
  summary: 'Turn a card and say what is missing to the target.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-5', 'to 5', 5, 0, 5),
    level('to-10', 'to 10', 10, 0, 10),
    level('to-20', 'to 20', 20, 0, 20),
    level('to-100-tens', 'to 100, tens', 100, 0, 100, 10),
    level('to-23', 'to 23', 23, 3, 22),
    level('to-46', 'to 46', 46, 10, 45, 1, 20),
    level('to-50', 'to 50', 50, 0, 50, 1, 20),
    level('to-100', 'to 100', 100, 0, 100, 1, 20),
  ],
  players: { min: 1, max: 4, typical: 2 },
  interaction: 'shared',
  goes: 'alternate',
  ...engine,
  variants,
  table,
  materials: ({ cards, target, record }) => [
    perSet({ kind: 'number cards', from: cards.low, to: cards.high, by: cards.by }),
    perSet({ kind: 'number cards', from: target, to: target }),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'number sentences' })] : []),
  ],
  room: quietTable,
})
