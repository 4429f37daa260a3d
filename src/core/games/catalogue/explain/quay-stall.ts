import { z } from 'zod'
import { fewestCoins, type CoinValue } from '../../../skills/coins'
import type { PracticeItem } from '../../../skills'
import { responding, respondTable } from '../../families/respond'
import { question, questionKinds } from '../../families/questions'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perSet } from '../../engine/material'
import { asking, lie, packSpots, packThings } from '../../families/on-table'
import { numeral, onTable, place, stacked } from '../../../table'

const stallKinds = ['coins-alike', 'prices-10', 'purses', 'prices-50', 'change'] as const
export type StallKind = (typeof stallKinds)[number]

const paramsSchema = z.object({
  kind: z.enum(stallKinds),
  /** Cards turned in a game. */
  turn: z.number().int().min(3).max(30).default(10),
})

export type Params = z.infer<typeof paramsSchema>

/** What a card asks, as numbers: the coins on it, a price, or a price and what is paid. */
function numbersOf(item: PracticeItem): readonly number[] {
  switch (item.op) {
    case 'coins':
      return item.coins
    case 'pay':
      return [item.price]
    case 'change':
      return [item.price, item.paid]
    default:
      throw new Error(`Quay Stall asks no ${item.op}.`)
  }
}

function itemOf(kind: StallKind, numbers: readonly number[]): PracticeItem {
  switch (kind) {
    case 'coins-alike':
    case 'purses':
      return { op: 'coins', coins: [...numbers], answer: numbers.reduce((sum, coin) => sum + coin, 0) }
    case 'prices-10':
    case 'prices-50':
      return { op: 'pay', price: numbers[0], answer: fewestCoins(numbers[0]).length }
    case 'change':
      return { op: 'change', price: numbers[0], paid: numbers[1], answer: numbers[1] - numbers[0] }
  }
}

/** Coins that lie on the stall once the card is answered: those of the purse, what is paid, what comes back. */
function coinsOut(kind: StallKind, numbers: readonly number[]): readonly number[] {
  if (kind === 'coins-alike' || kind === 'purses') return [...numbers].sort((a, b) => b - a)
  return fewestCoins(kind === 'change' ? numbers[1] - numbers[0] : numbers[0])
}

const engine = responding<Params>({
  tasks: ({ turn }) => turn,
  open({ params, chance, player }, sink) {
    const numbers = numbersOf(question(params.kind, chance))
    sink?.({ kind: 'drew', player, card: numbers[0] })
    return numbers
  },
  answer({ params, prompt, player }, sink) {
    const coins = coinsOut(params.kind, prompt)
    sink({ kind: 'built', player, cubes: coins.length, space: coins.length })
    sink({ kind: 'answered', player, item: itemOf(params.kind, prompt), steps: coins.length })
    sink({ kind: 'explained', player })
  },
})

/** The largest coin that a level needs. */
export const largest: Record<StallKind, CoinValue> = {
  'coins-alike': 10,
  'prices-10': 5,
  purses: 20,
  'prices-50': 20,
  change: 5,
}
/** Of each worth: enough for the fullest purse, and for two to pay side by side. */
const ofEach = 6

const table = respondTable<Params>(
  () =>
    onTable(
      stacked(10, packSpots([72, 34]), place('stall', [124, 30], { shape: 'area', label: 'the stall' })),
    ),
  ({ params: { kind }, prompt, open }) => {
    if (prompt.length === 0) return packThings('question cards')
    return [
      ...packThings('question cards', asking(itemOf(kind, prompt))),
      ...(open
        ? []
        : coinsOut(kind, prompt).map((worth, i) => lie(`coin-${i}`, 'coins', 'stall', numeral(worth)))),
    ]
  },
)

const level = (kind: StallKind, title: string) =>
  levelOf<Params>(kind, title, questionKinds[kind].to, 'objects', paramsSchema.parse({ kind }))

const focusOf = {
  'coins-alike': 'coins',
  'prices-10': 'pay',
  purses: 'coins',
  'prices-50': 'pay',
  change: 'change',
} as const

export const quayStall = defineGame({
  ...engine,
  id: 'quay-stall',
  title: 'Quay Stall',
  summary: 'Say what coins are worth, pay with few of them, and give change.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('coins-alike', 'coins of one kind, to 20'),
    level('prices-10', 'pay to 10'),
    level('purses', 'a purse of mixed coins, to 50'),
    level('prices-50', 'pay to 50'),
    level('change', 'change from 10 and 20'),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: ({ kind }) => [focusOf[kind]],
  variants: (params) => fewer(params, 'turn', 'fewer-cards', 3),
  table,
  materials: ({ kind }) => [
    perSet({ kind: 'question cards', about: questionKinds[kind].title }),
    perSet({ kind: 'coins', to: largest[kind], copies: ofEach }),
  ],
  room: quietTable,
})
