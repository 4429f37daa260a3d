import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import type { PracticeItem } from '../../../skills'
import { perchBoard } from '../../families/board-maker'
import { defineGame, leaders, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { dice, diceSchema, fewer, range, spinner, sum, turnUp } from '../../engine/source'
import { perPlayer, perSet, type Material } from '../../engine/material'
import { lie, heap, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, grid, onTable, place, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z.object({
  source: z.discriminatedUnion('kind', [
    diceSchema.extend({ count: z.number().int().min(2).max(3) }),
    /** A spinner; the number is doubled. */
    z.object({ kind: z.literal('doubles'), sectors: z.number().int().min(3).max(12) }),
    /** Two dice; the smaller is taken from the larger. */
    z.object({ kind: z.literal('difference') }),
    /** Ten more than the total of two dice. */
    z.object({ kind: z.literal('ten-more') }),
  ]),
  tokens: z.number().int().min(3).max(10).default(10),
  /** A double gives another go, with exactly two dice that are added. */
  doubleAgain: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

/** Whose tokens stand on a space: `tokens` 0, 1, or 2 of one player (locked). */
interface Space {
  owner: number
  tokens: number
}

interface State extends GameState {
  params: Params
  board: readonly Space[]
  /** Tokens each player has still to place. */
  hand: readonly number[]
  thrown: readonly number[]
}

const boards = new WeakMap<Params, number[]>()

/** The totals that have a space. */
function totals(params: Params): number[] {
  const known = boards.get(params)
  if (known) return known
  const made = totalsFrom(params.source)
  boards.set(params, made)
  return made
}

function totalsFrom(source: Params['source']): number[] {
  switch (source.kind) {
    case 'dice':
      return perchBoard(dice(source.count))
    case 'doubles':
      return range(2, 2 * source.sectors, 2)
    case 'difference':
      return range(0, 5)
    case 'ten-more':
      return range(12, 22)
  }
}

function throwOf({ source }: Params, chance: Chance, player: number, sink?: Sink): number[] {
  if (source.kind === 'doubles') return turnUp(spinner(source.sectors), chance, player, sink)
  return turnUp(dice(source.kind === 'dice' ? source.count : 2), chance, player, sink)
}

/** The sums that lead to the total of a throw. */
function worked({ source }: Params, thrown: readonly number[]): PracticeItem[] {
  const [a, b = 0] = thrown
  switch (source.kind) {
    case 'doubles':
      return [{ op: 'add', a, b: a, answer: 2 * a }]
    case 'difference': {
      const [high, low] = [Math.max(a, b), Math.min(a, b)]
      return [{ op: 'subtract', a: high, b: low, answer: high - low, compared: true }]
    }
    case 'ten-more':
      return [
        { op: 'add', a, b, answer: a + b },
        { op: 'add', a: 10, b: a + b, answer: a + b + 10 },
      ]
    case 'dice': {
      const items: PracticeItem[] = []
      let soFar = a
      for (const face of thrown.slice(1)) {
        items.push({ op: 'add', a: soFar, b: face, answer: soFar + face })
        soFar += face
      }
      return items
    }
  }
}

/** The number a throw comes to. */
function totalOf({ source }: Params, thrown: readonly number[]): number {
  const [a, b = 0] = thrown
  switch (source.kind) {
    case 'doubles':
      return 2 * a
    case 'difference':
      return Math.abs(a - b)
    case 'ten-more':
      return a + b + 10
    case 'dice':
      return sum(thrown)
  }
}

const spaceOf = (params: Params, thrown: readonly number[]) => totals(params).indexOf(totalOf(params, thrown))

function play(state: State, space: number | null, sink?: Sink): State {
  const { params, players, board, hand, thrown, turn: player } = state
  if (sink)
    for (const item of worked(params, thrown))
      sink({ kind: 'answered', player, item, steps: 'b' in item ? item.b : 0 })
  const double = params.source.kind === 'dice' && thrown.length === 2 && thrown[0] === thrown[1]
  const next = params.doubleAgain && double ? player : nextTurn(state)
  if (space === null) return { params, players, turn: next, ended: false, winner: null, board, hand, thrown }
  const { owner, tokens } = board[space]
  let held = replaced(hand, player, hand[player] - 1)
  if (tokens === 1 && owner !== player) {
    sink?.({ kind: 'sent-back', player: owner, space })
    held = replaced(held, owner, held[owner] + 1)
  }
  sink?.({ kind: 'placed', player, space: totals(params)[space] })
  const own = { owner: player, tokens: tokens === 1 && owner === player ? 2 : 1 }
  const now = replaced(board, space, own)
  const won = held[player] === 0
  // Every space locked and tokens left over: nobody can go on.
  const stuck = now.every((one) => one.tokens === 2)
  // Then most birds on perches wins; several may have as many.
  const first = stuck ? leaders(held.map((left) => -left)) : []
  const winner = won ? player : first.length === 1 ? first[0] : null
  return { params, players, turn: next, ended: won || stuck, winner, board: now, hand: held, thrown }
}

const level = (id: string, title: string, to: number, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, to, 'numerals', paramsSchema.parse(params))

function device({ source }: Params): Material {
  if (source.kind === 'doubles') return perSet({ kind: 'spinner', sectors: source.sectors })
  return perSet({ kind: 'die', sides: 6 }, source.kind === 'dice' ? source.count : 2)
}

/** What the spaces of a board are, in a few words: no two boards have the same. */
function boardShows({ source }: Params): string {
  switch (source.kind) {
    case 'dice':
      return `totals of ${source.count === 2 ? 'two' : 'three'} dice`
    case 'doubles':
      return `doubles to ${2 * source.sectors}`
    case 'difference':
      return 'differences of two dice'
    case 'ten-more':
      return 'ten more than two dice'
  }
}

const perchId = (space: number) => `perch-${space}`
const deviceUsed = ({ source }: Params) =>
  source.kind === 'doubles' ? spinner(source.sectors) : dice(source.kind === 'dice' ? source.count : 2)

const table: Table<Params, State, number> = {
  layout(params, players) {
    const spaces = totals(params)
    return onTable(
      stacked(
        12,
        grid(
          spaces.map((total, space) => ({ id: perchId(space), shape: 'circle', face: numeral(total) })),
          spaces.length > 8 ? Math.ceil(spaces.length / 2) : spaces.length,
          [22, 22],
          6,
        ),
        beside(
          12,
          ...range(0, players - 1).map((player) =>
            place(`hand-${player}`, [44, 20], { owner: player, label: 'to place' }),
          ),
          deviceSpots(deviceUsed(params)),
        ),
      ),
    )
  },
  things: ({ params, board, hand, thrown }) => [
    ...board.flatMap(({ owner, tokens }, space) =>
      range(1, tokens).map((k) => lie(`token-${space}-${k}`, 'counter', perchId(space), null, { owner })),
    ),
    ...hand.flatMap((tokens, player) => heap(`hand-${player}`, 'counter', `hand-${player}`, tokens, player)),
    ...deviceThings(deviceUsed(params), thrown),
  ],
  say: ({ params, thrown }, space) => ({
    verb: 'place',
    numbers: [totalOf(params, thrown)],
    spots: [perchId(space)],
  }),
}

export const perch = defineGame<Params, State, number, null>({
  id: 'perch',
  title: 'Perch',
  summary: 'Place birds on totals; a single bird can be chased off, two of your own are safe.',
  section: 'lines',
  params: paramsSchema,
  levels: [
    level('difference', 'difference of two dice', 6, { source: { kind: 'difference' }, tokens: 5 }),
    level('doubles-6', 'doubles to 6', 6, { source: { kind: 'doubles', sectors: 3 }, tokens: 3 }),
    level('two-dice', 'totals 2 to 12', 12, { source: dice(2) }),
    level('doubles-12', 'doubles to 12', 12, { source: { kind: 'doubles', sectors: 6 }, tokens: 5 }),
    level('three-dice', 'totals 3 to 18', 18, { source: dice(3) }),
    level('doubles-20', 'doubles to 20', 20, { source: { kind: 'doubles', sectors: 10 } }),
    level('ten-more', 'ten more than the total', 22, { source: { kind: 'ten-more' } }),
  ],
  usual: 'difference',
  players: { min: 2, max: 3, typical: 2 },
  goes: 'alternate',
  interaction: 'contest',
  marked: ({ source }) =>
    source.kind === 'ten-more'
      ? { strand: 'place', step: 'ten-and-some' }
      : source.kind === 'doubles'
        ? { strand: 'add', step: source.sectors > 6 ? 'doubles-20' : 'doubles-10' }
        : null,
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    board: totals(params).map(() => ({ owner: 0, tokens: 0 })),
    hand: Array<number>(players).fill(params.tokens),
    thrown: [],
  }),
  roll({ params, players, turn, ended, winner, board, hand }, chance, sink) {
    const thrown = throwOf(params, chance, turn, sink)
    return { params, players, turn, ended, winner, board, hand, thrown }
  },
  moves: ({ params, board, thrown }) => {
    const space = spaceOf(params, thrown)
    return board[space].tokens === 2 ? [] : [space]
  },
  play,
  view: () => null,
  variants: (params): Variant<Params>[] => fewer(params, 'tokens', 'fewer-tokens', 3),
  table,
  scores: ({ params, hand }) => hand.map((left) => params.tokens - left),
  materials: (params) => [
    perSet({ kind: 'board', name: 'perch board', shows: boardShows(params) }),
    device(params),
    perPlayer({ kind: 'counter', own: true }, params.tokens),
  ],
  room: { ...quietTable, noise: 2, alone: false, together: false, win: true },
})
