import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import type { PracticeItem } from '../../../skills'
import { bestOf, defineGame, leaders, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { range, without } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { beside, grid, onTable, place, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z
  .object({
    /** What the cards of a catch make together. */
    target: z.number().int().min(2).max(40),
    high: z.number().int().min(2).max(20),
    /** Of each card. */
    copies: z.number().int().min(1).max(8).default(4),
    /** Cards that lie open. */
    turn: z.number().int().min(2).max(6).default(4),
  })
  .refine(({ high, copies, turn }) => high * copies >= turn, {
    path: ['turn'],
    error: 'The pack has fewer cards than that.',
  })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Cards face down that nobody has seen, lowest first; drawn in random order. */
  unseen: readonly number[]
  /** Cards put back under the pile, in their order. */
  under: readonly number[]
  open: readonly number[]
  /** Catches of each player. */
  piles: readonly number[]
  /** Cards put under since the last catch: once round the pile without one ends the game. */
  since: number
}

/** Cards that are taken together, ascending. */
type Catch = readonly number[]

/** Every choice of open cards that makes the target; cards of one number are alike. */
function catches(open: readonly number[], target: number): Catch[] {
  const found: Catch[] = []
  take(ascending(open), 0, target, [], found)
  return found
}

/** A sorted copy; by insertion, which is quickest for a handful of cards. */
function ascending(cards: readonly number[]): number[] {
  const sorted = cards.slice()
  for (let i = 1; i < sorted.length; i++) {
    const card = sorted[i]
    let at = i
    for (; at > 0 && sorted[at - 1] > card; at--) sorted[at] = sorted[at - 1]
    sorted[at] = card
  }
  return sorted
}

/** Adds to `found` every way to make `left` from the cards from `from` on, beside those `taken`. */
function take(sorted: readonly number[], from: number, left: number, taken: number[], found: Catch[]) {
  for (let i = from; i < sorted.length && sorted[i] <= left; i++) {
    if (i > from && sorted[i] === sorted[i - 1]) continue
    taken.push(sorted[i])
    if (sorted[i] === left) found.push(taken.slice())
    else take(sorted, i + 1, left - sorted[i], taken, found)
    taken.pop()
  }
}

/** Takes the card at `index` out of the list itself, and closes the gap. */
function takeOut(cards: number[], index: number): number {
  const card = cards[index]
  for (let i = index + 1; i < cards.length; i++) cards[i - 1] = cards[i]
  cards.pop()
  return card
}

function refill(state: State, chance: Chance, sink?: Sink): State {
  const { params, players, turn, ended, winner, piles, since } = state
  const missing = params.turn - state.open.length
  const open = state.open.slice()
  const unseen = missing > 0 ? state.unseen.slice() : state.unseen
  for (let drawn = Math.min(missing, unseen.length); drawn > 0; drawn--)
    open.push(takeOut(unseen as number[], chance.int(0, unseen.length - 1)))
  const fromUnder = Math.min(params.turn - open.length, state.under.length)
  for (let i = 0; i < fromUnder; i++) open.push(state.under[i])
  const under = fromUnder > 0 ? state.under.slice(fromUnder) : state.under
  if (sink && open.length > state.open.length)
    sink({ kind: 'drew', player: turn, card: open[open.length - 1] })
  return { params, players, turn, ended, winner, unseen, under, open, piles, since }
}

/** To five and to ten the question is what goes with a card; beyond, what some cards come to. */
const asksForPart = ({ target }: Params) => target === 5 || target === 10

function play(state: State, caught: Catch | null, sink?: Sink): State {
  const { params, unseen, under, open, piles, since, turn: player } = state
  if (caught === null) {
    const nowUnder = [...under, ...open]
    const all = unseen.length + nowUnder.length
    const { players } = state
    const round = since + open.length
    const ended = round >= all + params.turn || all <= params.turn
    const turn = nextTurn(state)
    const winner = ended ? most(piles) : null
    return { params, players, turn, ended, winner, unseen, under: nowUnder, open: [], piles, since: round }
  }
  if (sink) {
    const [first, ...rest] = caught
    if (rest.length === 0)
      sink({ kind: 'answered', player, item: { op: 'numeral', answer: first }, steps: 0 })
    let soFar = first
    for (const [i, card] of rest.entries()) {
      const isLast = i === rest.length - 1
      const item: PracticeItem =
        isLast && asksForPart(params)
          ? { op: 'missing', part: soFar, whole: params.target, answer: card }
          : { op: 'add', a: soFar, b: card, answer: soFar + card }
      sink({ kind: 'answered', player, item, steps: card })
      soFar += card
    }
    sink({ kind: 'took', player, cards: [...caught] })
  }
  let left = open
  for (const card of caught) left = without(left, left.indexOf(card))
  const now = replaced(piles, player, piles[player] + 1)
  const ended = unseen.length + under.length === 0 && catches(left, params.target).length === 0
  const { players } = state
  const turn = nextTurn(state)
  const winner = ended ? most(now) : null
  return { params, players, turn, ended, winner, unseen, under, open: left, piles: now, since: 0 }
}

/** Who has most catches; null if several have. */
function most(piles: readonly number[]): number | null {
  const first = leaders(piles)
  return first.length === 1 ? first[0] : null
}

const choose = (n: number, k: number): number => (k === 0 ? 1 : k > n ? 0 : (choose(n - 1, k - 1) * n) / k)

/** Chance that a fresh deal holds a catch: all deals by how many of each number they hold. */
function catchShare({ target, high, copies, turn }: Params): number {
  let holding = 0
  const deal = (number: number, left: number, ways: number, open: number[]) => {
    if (left === 0) {
      if (catches(open, target).length > 0) holding += ways
      return
    }
    if (number > high) return
    for (let count = 0; count <= Math.min(copies, left); count++)
      deal(number + 1, left - count, ways * choose(copies, count), [
        ...open,
        ...Array<number>(count).fill(number),
      ])
  }
  deal(1, turn, 1, [])
  return holding / choose(high * copies, turn)
}

const level = (id: string, title: string, target: number, high: number, turn: number) =>
  levelOf<Params>(id, title, Math.max(target, high), 'numerals', { target, high, copies: 4, turn })

const openId = (i: number) => `open-${i}`

const table: Table<Params, State, Catch> = {
  layout: ({ turn }, players) =>
    onTable(
      stacked(
        12,
        beside(
          10,
          place('pile', [28, 36], { label: 'pile' }),
          grid(
            range(0, turn - 1).map((i) => ({ id: openId(i), shape: 'area' })),
            turn,
            [26, 34],
            4,
          ),
        ),
        grid(
          range(0, players - 1).map((player) => ({
            id: `caught-${player}`,
            shape: 'area',
            owner: player,
            label: 'caught',
          })),
          players,
          [30, 36],
          8,
        ),
      ),
    ),
  things: ({ unseen, under, open, piles }) => [
    ...heap('pile', 'number cards', 'pile', unseen.length + under.length),
    ...open.map((card, i) => lie(`card-${i}`, 'number cards', openId(i), numeral(card))),
    ...piles.flatMap((catches, player) =>
      heap(`caught-${player}`, 'number cards', `caught-${player}`, catches, player),
    ),
  ],
  say({ open }, caught) {
    const left = [...open]
    const spots = caught.map((card) => {
      const i = left.indexOf(card)
      left[i] = Number.NaN
      return openId(i)
    })
    return { verb: 'take', numbers: caught, spots }
  },
}

export const tensCatch = defineGame<Params, State, Catch, readonly number[]>({
  id: 'tens-catch',
  title: 'Tens Catch',
  summary: 'Four cards lie open; catch any that make ten together.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('to-5', 'making 5', 5, 4, 4),
    level('to-10', 'making 10', 10, 9, 4),
    level('to-12', 'making 12', 12, 9, 4),
    level('to-20', 'making 20', 20, 10, 5),
  ],
  players: { min: 1, max: 4, typical: 1 },
  goes: 'parallel',
  interaction: 'shared',
  marked: ({ target }) => (target === 20 ? { strand: 'add', step: 'make-ten-20' } : null),
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    unseen: range(1, params.high).flatMap((card) => Array<number>(params.copies).fill(card)),
    under: [],
    open: [],
    piles: Array<number>(players).fill(0),
    since: 0,
  }),
  roll: refill,
  moves: ({ params, open }) => catches(open, params.target),
  play,
  view: ({ open }) => open,
  // Fewer cards in a catch leave more for the next.
  planner: (_open, options) => bestOf(options, ({ length }) => -length),
  figures: (params) => ({ catchShare: catchShare(params) }),
  variants: (params): Variant<Params>[] => [
    ...(params.turn < 6
      ? [{ change: 'another-device' as const, params: { ...params, turn: params.turn + 1 } }]
      : []),
    ...(params.copies > 2
      ? [{ change: 'fewer-cards' as const, amount: params.high * 2, params: { ...params, copies: 2 } }]
      : []),
  ],
  table,
  scores: ({ piles }) => piles,
  materials: ({ high, copies }) => [perSet({ kind: 'number cards', from: 1, to: high, copies })],
  room: { ...quietTable, win: true },
})
