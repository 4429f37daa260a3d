import { z } from 'zod'
import { fiveInLineCards } from '../../families/board-maker'
import { bestOf, defineGame, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { range, cards, deviceOf, dice, numbersSchema, type Numbers } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, grid, onTable, stacked, numeral, type Table } from '../../../table'
import { called, callNumbers, callRules, callWeights, worked } from './called-number'
import { lineScore, makesLine, spacesOf } from './line-card'

const mostOf = (source: Numbers) =>
  source.kind === 'dice' ? 6 * source.count : source.kind === 'spinner' ? source.sectors : source.high
const leastOf = (source: Numbers) =>
  source.kind === 'dice' ? source.count : source.kind === 'spinner' ? 1 : source.low

const paramsSchema = z
  .object({
    source: numbersSchema,
    rule: z.enum(callRules).default('total'),
    /** The card of every player, row by row; null: fair cards are made. A free centre holds any number. */
    card: z
      .array(z.array(z.number().int().min(0).max(1000)))
      .nullable()
      .default(null),
    size: z.number().int().min(3).max(6).default(5),
    free: z.boolean().default(true),
    /** One call serves all, or who throws marks. */
    caller: z.enum(['all', 'each']).default('all'),
    /** Own cards, or one card in two colours. */
    board: z.enum(['own', 'shared']).default('own'),
    /** No space with the number: throw again, do the movement and throw again, or pass. */
    none: z.enum(['again', 'act-again', 'pass']).default('pass'),
    /** Before marking, that many of these. */
    movement: z.enum(['none', 'jumps', 'hops', 'over-the-rope']).default('none'),
    /** Makes the cards. */
    seed: z.number().int().min(1).max(1_000_000).default(1),
  })
  .refine(({ card, size }) => !card || (card.length === size && card.every((row) => row.length === size)), {
    path: ['card'],
    error: 'The card must have as many rows and columns as its size.',
  })
  .refine(({ rule, source }) => rule !== 'ten-minus' || mostOf(source) <= 10, {
    path: ['source'],
    error: 'Ten minus a number needs numbers to ten.',
  })
  .refine(({ rule, source }) => rule !== 'minus-two' || leastOf(source) >= 2, {
    path: ['source'],
    error: 'A total minus two needs totals of two and more.',
  })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Numbers of each player's card, row by row. */
  cards: readonly (readonly number[])[]
  /** The colour that marked each space of each card, see {@link colourOf}; −1: none. */
  marks: readonly (readonly number[])[]
  caller: number
  /** The caller has marked: the next one throws. */
  passOn: boolean
  /** Players who made a line in this call: with more than one nobody wins alone. */
  lined: readonly number[]
  thrown: readonly number[]
}

interface View {
  card: readonly number[]
  marks: readonly number[]
  colour: number
  /** What a free space is marked with. */
  free: number
  size: number
}

function setup(params: Params, players: number): State {
  const boards = params.board === 'own' ? players : 1
  const cardsOf = params.card
    ? Array<readonly number[]>(boards).fill(params.card.flat())
    : fiveInLineCards(callWeights(params), { ...params, cards: boards })
  // So few numbers that there are no more different cards: then some children share one.
  const held = Array.from({ length: boards }, (_, i) => cardsOf[i % cardsOf.length])
  const centre = params.free && params.size % 2 === 1 ? (params.size ** 2 - 1) / 2 : -1
  const nobody = Array.from({ length: params.size ** 2 }, (_, space) => (space === centre ? players : -1))
  return {
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    cards: held,
    marks: held.map(() => nobody),
    caller: 0,
    passOn: false,
    lined: [],
    thrown: [],
  }
}

/** Own cards are marked in own colours; on a shared one there are two, whose players take turns. */
const colourOf = ({ board }: Params, player: number) => (board === 'shared' ? player % 2 : player)

const cardOf = (state: State, player: number) => (state.params.board === 'own' ? player : 0)

function moves(state: State): readonly number[] {
  const { params, cards: all, marks, turn, caller, thrown } = state
  if (params.caller === 'each' && turn !== caller) return []
  const at = cardOf(state, turn)
  const open: number[] = []
  for (const space of spacesOf(all[at], called(params, thrown))) if (marks[at][space] < 0) open.push(space)
  return open
}

function play(state: State, space: number | null, sink?: Sink): State {
  const { params, marks, turn: player, players, thrown } = state
  const acts = params.caller === 'all' || player === state.caller
  if (sink && acts) {
    const number = called(params, thrown)
    for (const item of worked(params, thrown))
      sink({ kind: 'answered', player, item, steps: 'b' in item ? item.b : number })
    const moving = params.movement !== 'none' && (space !== null || params.none === 'act-again')
    if (moving) sink({ kind: 'jumped', player, times: Math.max(0, number), away: true })
  }
  let now = marks
  let lined = state.lined
  if (space !== null) {
    sink?.({ kind: 'placed', player, space })
    const at = cardOf(state, player)
    const colour = colourOf(params, player)
    now = replaced(marks, at, replaced(marks[at], space, colour))
    if (makesLine(now[at], space, params.size, colour, players)) lined = [...lined, player]
  }
  const last = player === players - 1
  const full = last && now.every((board) => !board.includes(-1))
  // Who found no space throws again where the rule says so.
  const stays = params.none !== 'pass' && player === state.caller && space === null
  return {
    params,
    players,
    turn: nextTurn(state),
    ended: last && (lined.length > 0 || full),
    winner: lined.length === 1 ? lined[0] : null,
    cards: state.cards,
    marks: now,
    caller: state.caller,
    passOn: player === state.caller ? !stays : state.passOn,
    lined,
    thrown,
  }
}

/** What the numbers of a line card are, in a few words: no two cards of different numbers have the same. */
function boardShows({ source, rule, card, free }: Params): string {
  if (card) return `own numbers ${card.flat().join(' ')}`
  const device =
    source.kind === 'dice'
      ? `${source.count} ${source.count === 1 ? 'die' : 'dice'}`
      : source.kind === 'spinner'
        ? `a spinner to ${source.sectors}`
        : `cards ${source.low} to ${source.high}`
  const rules = {
    total: 'totals of',
    'minus-two': 'two less than',
    'ten-minus': 'ten minus',
    product: 'products of',
    difference: 'differences of',
  }
  return `${rules[rule]} ${device}${free ? '' : ', no free space'}`
}

const level = (id: string, title: string, to: number, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, to, 'numerals', paramsSchema.parse(params))

const die: Numbers = dice(1)

const flagId = (card: number, space: number) => `card-${card}-${space}`

const table: Table<Params, State, number> = {
  layout(params, players) {
    const { cards: held, marks } = setup(params, players)
    return onTable(
      stacked(
        12,
        beside(
          14,
          ...held.map((card, at) =>
            grid(
              card.map((number, space) => {
                const free = marks[at][space] === players
                return {
                  id: flagId(at, space),
                  shape: 'square',
                  ...(params.board === 'own' ? { owner: at } : {}),
                  ...(free ? { tone: 'wild' as const } : { face: numeral(number) }),
                }
              }),
              params.size,
              [14, 14],
              0,
            ),
          ),
        ),
        deviceSpots(params.source),
      ),
    )
  },
  things: ({ params, players, marks, thrown }) => [
    ...marks.flatMap((card, at) =>
      card.flatMap((owner, space) =>
        owner >= 0 && owner < players
          ? [lie(`counter-${at}-${space}`, 'counter', flagId(at, space), null, { owner })]
          : [],
      ),
    ),
    ...deviceThings(params.source, thrown),
    // Two cards where the rule needs two numbers: the second lies beside the first.
    ...(params.source.kind === 'cards' && thrown.length > 1
      ? [lie('second-card', 'number cards', 'open', numeral(thrown[1]))]
      : []),
  ],
  say: (state, space) => ({
    verb: 'mark',
    numbers: [called(state.params, state.thrown)],
    spots: [flagId(cardOf(state, state.turn), space)],
  }),
}

export const fiveFlags = defineGame<Params, State, number, View>({
  id: 'five-flags',
  title: 'Five Flags',
  summary: 'A number is called; mark one space with it on your card. Five in a line wins.',
  section: 'lines',
  params: paramsSchema,
  levels: [
    level('two-dice', 'totals 2 to 12', 12, { source: dice(2) }),
    level('jumps', 'totals with jumps', 12, { source: dice(2), movement: 'jumps' }),
    level('take-two', 'total minus two', 12, { source: dice(2), rule: 'minus-two' }),
    level('ten-minus', 'ten minus a card, four in line', 10, {
      source: cards(0, 10),
      rule: 'ten-minus',
      size: 4,
      free: false,
    }),
    level('difference', 'difference of two cards', 10, { source: cards(1, 10), rule: 'difference' }),
    level('shared', 'totals, one card in two colours', 12, {
      source: dice(2),
      board: 'shared',
      caller: 'each',
      none: 'again',
    }),
    level('product', 'products of two dice', 36, { source: dice(2), rule: 'product' }),
  ],
  players: { min: 1, max: 6, typical: 4 },
  goes: 'call',
  interaction: 'contest',
  marked: ({ rule }) => (rule === 'product' ? { strand: 'facts', step: 'x3-4' } : null),
  setup,
  roll(state, chance, sink) {
    const caller = state.passOn ? (state.caller + 1) % state.players : state.caller
    const { params, players, turn, ended, winner, cards: held, marks, lined } = state
    const thrown = callNumbers(params, chance, caller, sink)
    return { params, players, turn, ended, winner, cards: held, marks, caller, passOn: false, lined, thrown }
  },
  moves,
  play,
  view: (state, player) => ({
    card: state.cards[cardOf(state, player)],
    marks: state.marks[cardOf(state, player)],
    colour: colourOf(state.params, player),
    free: state.players,
    size: state.params.size,
  }),
  planner: (view, options) => bestOf(options, (space) => lineScore(view, space)),
  variants(params): Variant<Params>[] {
    const found: Variant<Params>[] = []
    if (params.size > 4 && !params.card)
      found.push({ change: 'fewer-spaces', amount: 16, params: { ...params, size: 4, free: false } })
    if (params.source.kind === 'dice' && params.source.count === 2 && params.rule === 'total')
      found.push({ change: 'another-device', params: { ...params, source: die } })
    return found
  },
  table,
  scores({ params, players, lined, marks }) {
    const colour = (player: number) => colourOf(params, player)
    const won = lined.map(colour)
    return range(0, players - 1).map((player) =>
      lined.length > 0
        ? Number(won.includes(colour(player)))
        : marks.flat().filter((mark) => mark === colour(player)).length,
    )
  },
  materials: (params) => [
    (params.board === 'own' ? perPlayer : perSet)({
      kind: 'line card',
      size: params.size,
      shows: boardShows(params),
    }),
    perPlayer({ kind: 'counter', own: params.board === 'shared' }, 12),
    deviceOf(params.source),
    ...(params.movement === 'over-the-rope' ? [perSet({ kind: 'rope' })] : []),
  ],
  room: { ...quietTable, noise: 2, floor: 1, together: false, win: true },
})
