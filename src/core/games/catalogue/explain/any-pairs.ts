import { z } from 'zod'
import { shuffled, type Chance } from '../../../chance/chance'
import { anyMove, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { range, without } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { beside, onTable, place, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z
  .object({
    low: z.number().int().min(0).max(100),
    high: z.number().int().min(3).max(100),
    by: z.number().int().min(1).max(50).default(1),
    /** Of each number. */
    copies: z.union([z.literal(2), z.literal(4)]).default(4),
    /** A pair is two of the same number, or two that make ten. */
    pair: z.enum(['same', 'make-ten']).default('same'),
    hand: z.number().int().min(3).max(7).default(5),
  })
  .refine(({ low, high, by }) => (high - low) / by >= 3 && (high - low) / by <= 15, {
    path: ['by'],
    error: 'The pack needs between 4 and 16 different numbers.',
  })
  .refine(({ pair, low, high, by }) => pair === 'same' || (low + high === 10 && by === 1), {
    path: ['pair'],
    error: 'Pairs that make ten need cards whose lowest and highest make ten.',
  })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  hands: readonly (readonly number[])[]
  /** Cards face down, in their order. */
  stock: readonly number[]
  dealt: boolean
  pairs: readonly number[]
  /** The last number each player is known to hold, by asking; −1: none. */
  known: readonly number[]
  /** A lucky draw gave this player another go: the next one gives none. */
  lucky: boolean
  /** Goes in a row that brought no pair and no card. */
  idle: number
}

interface Move {
  from: number
  number: number
}

interface View {
  params: Params
  own: readonly number[]
  /** How many cards the others hold. */
  sizes: readonly number[]
  known: readonly number[]
}

const mateOf = ({ pair }: Params, number: number) => (pair === 'same' ? number : 10 - number)

/** The hand without pairs, and how many were laid down. */
function layDown(params: Params, hand: readonly number[]): { hand: readonly number[]; pairs: number } {
  let left = hand
  let pairs = 0
  for (let i = 0; i < left.length;) {
    const mate = left.indexOf(mateOf(params, left[i]), i + 1)
    if (mate < 0) {
      i++
      continue
    }
    left = without(without(left, mate), i)
    pairs++
  }
  return { hand: left, pairs }
}

const packs = new WeakMap<Params, readonly number[]>()

/** All cards of the game in order. */
function packOf(params: Params): readonly number[] {
  const known = packs.get(params)
  if (known) return known
  const pack = range(params.low, params.high, params.by).flatMap((number) =>
    Array<number>(params.copies).fill(number),
  )
  packs.set(params, pack)
  return pack
}

function deal(state: State, chance: Chance): State {
  const { params, players } = state
  const stock = shuffled(packOf(params), chance)
  const laid = range(0, players - 1).map((player) =>
    layDown(params, stock.slice(player * params.hand, (player + 1) * params.hand)),
  )
  return {
    ...state,
    dealt: true,
    stock: stock.slice(players * params.hand),
    hands: laid.map(({ hand }) => hand),
    pairs: laid.map(({ pairs }) => pairs),
  }
}

/** Every question there is, by whom it is put to and the number: handed out from here, not made anew. */
const questions: readonly (readonly Move[])[] = range(0, 7).map((from) =>
  range(0, 100).map((number) => ({ from, number })),
)

function moves({ hands, turn, players }: State): readonly Move[] {
  const found: Move[] = []
  const own = hands[turn]
  for (let from = 0; from < players; from++)
    if (from !== turn && hands[from].length > 0)
      for (let i = 0; i < own.length; i++) if (own.indexOf(own[i]) === i) found.push(questions[from][own[i]])
  return found
}

/** The state after a go: what the go changed, and the next player's turn unless it says otherwise. */
function after(state: State, part: Partial<State>): State {
  const { params, players, hands, stock, pairs, known, lucky, idle } = state
  return {
    params,
    players,
    turn: part.turn ?? nextTurn(state),
    ended: false,
    winner: null,
    hands: part.hands ?? hands,
    stock: part.stock ?? stock,
    dealt: true,
    pairs: part.pairs ?? pairs,
    known: part.known ?? known,
    lucky: part.lucky ?? lucky,
    idle: part.idle ?? idle,
  }
}

/** Takes the top card of the stock into the hand; a pair it makes is laid down. */
function drawTop(state: State, known: readonly number[], lucky: boolean, turn: number): State {
  const { params, players, hands, stock, pairs, turn: player } = state
  const hand = hands[player]
  const mate = hand.indexOf(mateOf(params, stock[0]))
  return {
    params,
    players,
    turn,
    ended: false,
    winner: null,
    hands: replaced(hands, player, mate < 0 ? [...hand, stock[0]] : without(hand, mate)),
    stock: stock.slice(1),
    dealt: true,
    pairs: mate < 0 ? pairs : replaced(pairs, player, pairs[player] + 1),
    known,
    lucky,
    idle: 0,
  }
}

/** Nothing to ask with, or nobody to ask: a card is drawn. */
const draw = (state: State): State =>
  state.stock.length > 0
    ? drawTop(state, state.known, state.lucky, nextTurn(state))
    : after(state, { idle: state.idle + 1 })

function ask(state: State, { from, number }: Move, sink?: Sink): State {
  const { params, hands, stock, pairs, turn: player } = state
  const wanted = mateOf(params, number)
  if (sink) {
    const item =
      params.pair === 'same'
        ? ({ op: 'numeral', answer: number } as const)
        : ({ op: 'missing', part: number, whole: 10, answer: wanted } as const)
    sink({ kind: 'answered', player, item, steps: params.pair === 'same' ? 0 : wanted })
    sink({ kind: 'explained', player })
  }
  const there = hands[from].indexOf(wanted)
  if (there >= 0) {
    sink?.({ kind: 'took', player, cards: [number, wanted] })
    const own = without(hands[player], hands[player].indexOf(number))
    return after(state, {
      hands: replaced(replaced(hands, from, without(hands[from], there)), player, own),
      pairs: replaced(pairs, player, pairs[player] + 1),
      known: replaced(state.known, player, -1),
      lucky: false,
      idle: 0,
    })
  }
  const known = replaced(state.known, player, number)
  if (stock.length === 0) return after(state, { known, lucky: false, idle: state.idle + 1 })
  sink?.({ kind: 'drew', player, card: stock[0] })
  const lucky = stock[0] === wanted && !state.lucky
  const turn = lucky ? player : nextTurn(state)
  return drawTop(state, known, lucky, turn)
}

function play(state: State, move: Move | null, sink?: Sink): State {
  const next = move ? ask(state, move, sink) : draw(state)
  let held = next.stock.length
  for (const hand of next.hands) held += hand.length
  // Nothing is held any more, or everybody has asked in vain and nothing is left to draw.
  if (held > 0 && next.idle < 6 * next.players) return next
  const most = Math.max(...next.pairs)
  const first = next.pairs.indexOf(most)
  return { ...next, ended: true, winner: next.pairs.lastIndexOf(most) === first ? first : null }
}

const level = (id: string, title: string, to: number, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, to, 'numerals', paramsSchema.parse(params))

const table: Table<Params, State, Move> = {
  layout: (_params, players) =>
    onTable(
      stacked(
        10,
        ...range(0, players - 1).map((player) =>
          beside(
            8,
            place(`hand-${player}`, [150, 36], { owner: player, label: 'hand' }),
            place(`pairs-${player}`, [30, 36], { owner: player, label: 'pairs' }),
          ),
        ),
        place('stock', [30, 36], { label: 'draw from here' }),
      ),
    ),
  things: ({ hands, stock, pairs, dealt, params }, viewer) => [
    ...hands.flatMap((hand, player) =>
      [...hand]
        .sort((a, b) => a - b)
        .map((card, i) =>
          lie(
            `hand-${player}-${i}`,
            'number cards',
            `hand-${player}`,
            viewer === 'all' || viewer === player ? numeral(card) : null,
            { owner: player },
          ),
        ),
    ),
    ...heap('stock', 'number cards', 'stock', dealt ? stock.length : packOf(params).length),
    ...pairs.flatMap((count, player) =>
      heap(`pairs-${player}`, 'number cards', `pairs-${player}`, 2 * count, player),
    ),
  ],
  say: (_state, { from, number }) => ({
    verb: 'ask',
    numbers: [number],
    spots: [`hand-${from}`],
    player: from,
  }),
}

export const anyPairs = defineGame<Params, State, Move, View>({
  id: 'any-pairs',
  title: 'Any Pairs?',
  summary: 'Ask for a number you hold; pairs are laid down.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-5', 'numbers 0 to 5', 5, { low: 0, high: 5 }),
    level('to-10', 'numbers 1 to 10', 10, { low: 1, high: 10 }),
    level('make-ten', 'pairs that make ten', 10, { low: 0, high: 10, pair: 'make-ten' }),
    level('to-20', 'numbers 11 to 20', 20, { low: 11, high: 20 }),
    level('tens', 'tens to 100', 100, { low: 10, high: 100, by: 10 }),
  ],
  players: { min: 2, max: 4, typical: 3 },
  goes: 'alternate',
  interaction: 'contest',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    hands: Array<readonly number[]>(players).fill([]),
    stock: [],
    dealt: false,
    pairs: Array<number>(players).fill(0),
    known: Array<number>(players).fill(-1),
    lucky: false,
    idle: 0,
  }),
  roll: (state, chance) => (state.dealt ? state : deal(state, chance)),
  moves,
  play,
  view: ({ params, hands, known }, player) => ({
    params,
    own: hands[player],
    sizes: hands.map((hand) => hand.length),
    known,
  }),
  // Asks who is known to hold what goes with an own card, else who holds most.
  planner: ({ params, known, sizes }, options, chance) => {
    const sure = options.find(({ from, number }) => known[from] === mateOf(params, number))
    if (sure) return sure
    const most = Math.max(...options.map(({ from }) => sizes[from]))
    return anyMove(
      options.filter(({ from }) => sizes[from] === most),
      chance,
    )
  },
  variants: (params): Variant<Params>[] =>
    params.copies > 2 ? [{ change: 'fewer-cards', amount: 2, params: { ...params, copies: 2 } }] : [],
  table,
  scores: ({ pairs }) => pairs,
  materials: ({ low, high, by, copies }) => [
    perSet({ kind: 'number cards', from: low, to: high, by, copies }),
  ],
  room: { ...quietTable, alone: false, together: false, win: true },
})
