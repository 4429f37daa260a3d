import { z } from 'zod'
import { seededChance, shuffled, type Chance } from '../../../chance/chance'
import { anyMove, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { range, shorterBy } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { grid, onTable, stacked, type Table, type Face } from '../../../table'

const paramsSchema = z.object({
  /** The largest total. */
  to: z.number().int().min(4).max(20),
  pairs: z.number().int().min(3).max(12),
  /** Who finds a pair goes again. */
  again: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

/** A card with a sum. */
interface Card {
  a: number
  b: number
}

const totalOf = ({ a, b }: Card) => a + b

interface State extends GameState {
  params: Params
  /** Which card lies where: known to nobody. Empty until they are laid out. */
  layout: readonly number[]
  taken: readonly boolean[]
  /** Places turned so far: what an attentive child remembers. */
  seen: readonly boolean[]
  /** The place turned first in this go; −1: none. */
  first: number
  won: readonly number[]
  /** Places turned in this go: they lie open until the next one begins. */
  turned: readonly number[]
}

interface View {
  /** Places that can be turned. */
  open: readonly number[]
  /** Totals remembered, by place; null: not seen yet. */
  remembered: readonly (number | null)[]
  first: number
}

const decks = new WeakMap<Params, readonly Card[]>()

/** Pairs of cards with one total each and different sums; the totals spread up to the largest. */
function deckOf(params: Params): readonly Card[] {
  const known = decks.get(params)
  if (known) return known
  const { to, pairs } = params
  const chance = seededChance(to * 100 + pairs)
  const totals = shuffled(range(2, to), chance)
  const deck = range(0, pairs - 1).flatMap((pair) => {
    const total = totals[pair % totals.length]
    const parts = range(0, Math.floor(total / 2))
    const first = parts[pair % parts.length]
    const second = parts[(pair + 1 + Math.floor(pair / totals.length)) % parts.length]
    return [
      { a: total - first, b: first },
      { a: second, b: total - second },
    ]
  })
  decks.set(params, deck)
  return deck
}

const cardAt = (state: State, place: number) => deckOf(state.params)[state.layout[place]]

function play(state: State, place: number | null, sink?: Sink): State {
  if (place === null) return { ...state, turn: nextTurn(state) }
  const { params, taken, first, turn: player, won } = state
  const card = cardAt(state, place)
  const total = totalOf(card)
  const [larger, smaller] = [Math.max(card.a, card.b), Math.min(card.a, card.b)]
  sink?.({
    kind: 'answered',
    player,
    item: { op: 'add', a: larger, b: smaller, answer: total },
    steps: smaller,
  })
  sink?.({ kind: 'placed', player, space: place })
  const seen = replaced(state.seen, place, true)
  const { players, ended: over, layout } = state
  if (first < 0)
    return {
      params,
      players,
      turn: player,
      ended: over,
      winner: null,
      more: true,
      layout,
      taken,
      seen,
      first: place,
      won,
      turned: [place],
    }
  const pair = totalOf(cardAt(state, first)) === total
  const now = pair ? replaced(replaced(taken, first, true), place, true) : taken
  if (pair) sink?.({ kind: 'took', player, cards: [total, total] })
  const count = pair ? replaced(won, player, won[player] + 1) : won
  const ended = !now.includes(false)
  const most = Math.max(...count)
  const winner = ended && count.indexOf(most) === count.lastIndexOf(most) ? count.indexOf(most) : null
  const turn = pair && params.again ? player : nextTurn(state)
  return {
    params,
    players,
    turn,
    ended,
    winner,
    more: false,
    layout,
    taken: now,
    seen,
    first: -1,
    won: count,
    turned: [first, place],
  }
}

/** Turns what is known to be a pair, else something not seen yet. */
function remember({ open, remembered, first }: View, options: readonly number[], chance: Chance): number {
  if (first >= 0) {
    const mate = options.find(
      (place) => remembered[place] === remembered[first] && remembered[place] !== null,
    )
    if (mate !== undefined) return mate
  } else {
    const known = open.filter((place) => remembered[place] !== null)
    const pair = known.find((place) =>
      known.some((other) => other !== place && remembered[other] === remembered[place]),
    )
    if (pair !== undefined) return pair
  }
  const fresh = options.filter((place) => remembered[place] === null)
  return anyMove(fresh.length > 0 ? fresh : options, chance)
}

function openPlaces({ taken, first }: State): number[] {
  const places: number[] = []
  for (let place = 0; place < taken.length; place++) if (!taken[place] && place !== first) places.push(place)
  return places
}

const level = (id: string, title: string, to: number, pairs: number) =>
  levelOf<Params>(id, title, to, 'numerals', { to, pairs, again: true })

const placeId = (place: number) => `place-${place}`

const table: Table<Params, State, number> = {
  layout: ({ pairs }, players) =>
    onTable(
      stacked(
        12,
        grid(
          range(0, 2 * pairs - 1).map((place) => ({ id: placeId(place), shape: 'area' })),
          Math.ceil(Math.sqrt(2 * pairs * 1.5)),
          [26, 34],
          4,
        ),
        grid(
          range(0, players - 1).map((player) => ({
            id: `won-${player}`,
            shape: 'area',
            owner: player,
            label: 'pairs',
          })),
          players,
          [30, 36],
          8,
        ),
      ),
    ),
  things: (state, viewer) => {
    const { params, layout, taken, turned, won } = state
    const shown = (place: number): Face | null => {
      if (layout.length === 0 || (viewer !== 'all' && !turned.includes(place))) return null
      const { a, b } = cardAt(state, place)
      return { kind: 'sum', a, b }
    }
    return [
      ...range(0, 2 * params.pairs - 1).flatMap((place) =>
        taken[place] && !turned.includes(place)
          ? []
          : [lie(`card-at-${place}`, 'sum cards', placeId(place), shown(place))],
      ),
      ...won.flatMap((pairs, player) =>
        heap(`won-${player}`, 'sum cards', `won-${player}`, 2 * pairs, player),
      ),
    ]
  },
  turnsFirst: true,
  say: (_state, place) => ({ verb: 'turn', numbers: [], spots: [placeId(place)] }),
}

export const twinTotals = defineGame<Params, State, number, View>({
  id: 'twin-totals',
  title: 'Twin Totals',
  summary: 'Turn two cards; the same total, and you keep them.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-6', 'totals to 6, five pairs', 6, 5),
    level('to-8', 'totals to 8, six pairs', 8, 6),
    level('to-10', 'totals to 10, six pairs', 10, 6),
    level('to-12', 'totals to 12, six pairs', 12, 6),
    level('to-20', 'totals to 20, eight pairs', 20, 8),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'contest',
  marked: ({ to }) => (to === 6 ? { strand: 'add', step: 'count-all-5' } : null),
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    more: false,
    layout: [],
    taken: Array<boolean>(2 * params.pairs).fill(false),
    seen: Array<boolean>(2 * params.pairs).fill(false),
    first: -1,
    won: Array<number>(players).fill(0),
    turned: [],
  }),
  roll: (state, chance) =>
    state.layout.length > 0
      ? { ...state, turned: [] }
      : { ...state, layout: shuffled(range(0, 2 * state.params.pairs - 1), chance) },
  moves: openPlaces,
  play,
  view: (state) => ({
    open: openPlaces(state),
    remembered: state.seen.map((seen, place) => (seen ? totalOf(cardAt(state, place)) : null)),
    first: state.first,
  }),
  planner: remember,
  variants: (params): Variant<Params>[] => [
    ...shorterBy(params.pairs, 3).map((pairs) => ({
      change: 'fewer-cards' as const,
      amount: 2 * pairs,
      params: { ...params, pairs },
    })),
  ],
  table,
  scores: ({ won }) => won,
  materials: ({ to, pairs }) => [perSet({ kind: 'sum cards', to, pairs })],
  room: { ...quietTable, win: true },
})
