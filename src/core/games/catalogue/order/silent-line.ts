import { z } from 'zod'
import { dayFrom, dayTo, lineUpKinds, lineUpSet, type LineUpCard } from '../../families/line-up'
import { defineGame, levelOf, nextTurn, quietTable, type GameState } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie } from '../../families/on-table'
import { grid, onTable, stacked, numeral, type Table, type Face } from '../../../table'

const paramsSchema = z
  .object({
    cards: z.enum(lineUpKinds),
    low: z.number().int().min(0).max(1000),
    high: z.number().int().min(1).max(1000),
    rounds: z.number().int().min(1).max(6).default(2),
    /** Line up from the largest. */
    falling: z.boolean().default(false),
  })
  .refine(({ low, high }) => high - low >= 4, { path: ['high'], error: 'Too few cards to line up.' })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  cards: readonly LineUpCard[]
  done: number
}

const level = (id: string, title: string, to: number, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(
    id,
    title,
    to,
    params.cards === 'tens-pictures' ? 'pictures' : 'numerals',
    paramsSchema.parse(params),
  )

/** What a card of the line shows. */
function faceOf({ item, value }: LineUpCard): Face {
  switch (item.op) {
    case 'add':
      return { kind: 'sum', a: item.a, b: item.b }
    case 'tens':
      return { kind: 'tens', tens: item.tens, ones: item.ones }
    case 'clock':
      return { kind: 'clock', minutes: value % 720 }
    default:
      return numeral(value)
  }
}

const table: Table<Params, State, 'find'> = {
  layout: (_params, players) => {
    const places = (id: string, label: string) =>
      grid(
        range(0, players - 1).map((i) => ({
          id: `${id}-${i}`,
          shape: 'square',
          tone: 'quiet',
          ...(i === 0 ? { label } : {}),
        })),
        Math.min(9, players),
        [26, 32],
        5,
      )
    return onTable(stacked(14, places('child', 'in the room'), places('line', 'the line starts here')))
  },
  things({ params, cards, turn, done, players }) {
    // Who has had a go stands in the line; when all have, the whole line stands until new cards are dealt.
    const standing = turn === 0 && done > 0 && cards.length > 0 ? players : turn
    const sorted = cards
      .slice(0, standing)
      .sort((a, b) => (params.falling ? b.value - a.value : a.value - b.value))
    return cards.map((card, child) =>
      lie(
        `card-${child}`,
        'line-up cards',
        child < standing ? `line-${sorted.indexOf(card)}` : `child-${child}`,
        faceOf(card),
        { owner: child },
      ),
    )
  },
  say: ({ cards, turn }) => ({
    verb: 'find',
    numbers: cards[turn] ? [cards[turn].value] : [],
    spots: [`child-${turn}`],
  }),
}

export const silentLine = defineGame<Params, State, 'find', LineUpCard | undefined>({
  id: 'silent-line',
  title: 'Silent Line',
  summary: 'One card each; line up in order without a word.',
  section: 'order',
  params: paramsSchema,
  levels: [
    level('to-10', 'numbers to 10', 10, { cards: 'numerals', low: 0, high: 10 }),
    level('to-20', 'numbers to 20', 20, { cards: 'numerals', low: 0, high: 20 }),
    level('sums', 'sums to 20', 20, { cards: 'sums', low: 0, high: 20 }),
    level('tens', 'tens and ones to 100', 100, { cards: 'tens-pictures', low: 10, high: 99 }),
    level('to-120', 'numbers to 120', 120, { cards: 'numerals', low: 0, high: 120 }),
    level('mixed', 'mixed cards to 100', 100, { cards: 'mixed', low: 0, high: 99 }),
    level('clocks', 'clocks, morning to night', 12, { cards: 'clocks', low: 0, high: 100 }),
  ],
  usual: 'to-20',
  players: { min: 3, max: 34, typical: 8 },
  goes: 'call',
  interaction: 'shared',
  focus: ({ cards }) =>
    cards === 'sums'
      ? ['add']
      : cards === 'tens-pictures'
        ? ['tens']
        : cards === 'clocks'
          ? ['clock']
          : ['order'],
  setup: (params, players) => ({ params, players, turn: 0, ended: false, winner: null, cards: [], done: 0 }),
  roll({ params, players, turn, ended, winner, done }, chance, sink) {
    sink?.({ kind: 'called', player: 0, words: 'Line up without a word.' })
    const cards = lineUpSet(params.cards, params.low, params.high, players, chance)
    return { params, players, turn, ended, winner, cards, done }
  },
  moves: ({ cards, turn }) => (turn < cards.length ? ['find'] : []),
  play(state, _move, sink) {
    const { params, cards, turn: player, players, winner } = state
    const card = cards[player]
    if (sink && card) {
      sink({ kind: 'answered', player, item: card.item, steps: 'b' in card.item ? card.item.b : 0 })
      sink({
        kind: 'answered',
        player,
        item: { op: 'order', among: players, answer: placeNumber(params, card) },
        steps: 0,
      })
      // Walks to the place: a step or two for each neighbour passed.
      const place = cards.filter(({ value }) =>
        params.falling ? value > card.value : value < card.value,
      ).length
      sink({ kind: 'moved', player, from: 0, to: place, squares: 5 + 2 * place })
    }
    const last = player === players - 1
    const done = last ? state.done + 1 : state.done
    return { params, players, turn: nextTurn(state), ended: done >= params.rounds, winner, cards, done }
  },
  view: ({ cards }, player) => cards[player],
  tooMany: () => true,
  sameLawEachGo: ({ rounds }) => ({ goes: rounds, pack: null }),
  variants: (params) => fewer(params, 'rounds', 'fewer-rounds', 1),
  table,
  materials: ({ cards, low, high }) => [
    // One card a child: the pack is made for those who are there.
    perPlayer({
      kind: 'line-up cards',
      shows: cards.replace('-', ' '),
      from: cards === 'clocks' ? dayFrom / 60 : low,
      to: cards === 'clocks' ? Math.floor(dayTo / 60) : high,
    }),
  ],
  room: { ...quietTable, noise: 0, floor: 2, where: 'floor', alone: false, adult: true, whole: true },
})

/** Clock cards are ordered by hours on the day; other cards by their number. */
const placeNumber = ({ cards }: Params, { value }: LineUpCard) =>
  cards === 'clocks' ? Math.ceil(value / 120) : value
