import { z } from 'zod'
import { numbersIn, workedOut, sumOfMask, waysToMake } from '../../families/cover-ways'
import { bestOf, defineGame, leaders, levelOf, nextTurn, quietTable, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { dice, sum, totalsOf, turnUp, range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z
  .object({
    /** The strip runs from 1 to this number. */
    numbers: z.number().int().min(3).max(12),
    dice: z.number().int().min(1).max(3),
    /** How many numbers may be covered for one throw. */
    parts: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal('any')]),
    /** Any operations from left to right may make the total, whole at each step. */
    operations: z.boolean().default(false),
    /** No way to cover costs a go and does not end the round: play until all is covered. */
    untilFull: z.boolean().default(false),
  })
  .refine(({ operations, numbers }) => !operations || numbers <= 9, {
    path: ['operations'],
    error: 'With any operations the strip has at most nine numbers.',
  })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** What each player has still uncovered, as a bit mask. */
  open: readonly number[]
  thrown: readonly number[]
}

interface View {
  params: Params
  open: number
  total: number
}

const full = ({ numbers }: Params) => (1 << numbers) - 1

/** Sets of open numbers that may be covered for this total, as masks. */
function waysFrom({ numbers, parts, operations }: Params, open: number, total: number): number[] {
  const most = parts === 'any' ? numbers : parts
  return waysToMake(numbers, total, most, operations).filter((way) => (way & open) === way)
}

interface Play {
  /** Expected sum left uncovered, by what is open. */
  left: Float64Array
  /** Chance of covering all, by what is open. */
  cleared: Float64Array
}

const plays = new WeakMap<Params, Play>()

/**
 * Best play by dynamic programming over what is open: every way leads to fewer open numbers, so that
 * sets are worked out from the empty one upwards.
 */
function bestPlay(params: Params): Play {
  const known = plays.get(params)
  if (known) return known
  const totals = [...totalsOf(dice(params.dice))]
  const left = new Float64Array(full(params) + 1)
  const cleared = new Float64Array(full(params) + 1)
  cleared[0] = 1
  for (let open = 1; open <= full(params); open++) {
    let stuck = 0
    for (const [total, share] of totals) {
      const ways = waysFrom(params, open, total)
      if (ways.length === 0) {
        stuck += share
        continue
      }
      let least = Infinity
      let most = 0
      for (const way of ways) {
        least = Math.min(least, left[open & ~way])
        most = Math.max(most, cleared[open & ~way])
      }
      left[open] += share * least
      cleared[open] += share * most
    }
    if (params.untilFull && stuck < 1) {
      left[open] /= 1 - stuck
      cleared[open] /= 1 - stuck
    } else left[open] += stuck * sumOfMask(open)
  }
  const play = { left, cleared }
  plays.set(params, play)
  return play
}

function tell(params: Params, thrown: readonly number[], way: number, player: number, sink: Sink) {
  const total = sum(thrown)
  let soFar = thrown[0]
  for (const face of thrown.slice(1)) {
    const item = { op: 'add' as const, a: soFar, b: face, answer: soFar + face }
    sink({ kind: 'answered', player, item, steps: face })
    soFar += face
  }
  const [first, ...rest] = numbersIn(way)
  if (rest.length === 0) sink({ kind: 'answered', player, item: { op: 'numeral', answer: first }, steps: 0 })
  else if (!params.operations) {
    let covered = first
    for (const number of rest) {
      const item = { op: 'add' as const, a: covered, b: number, answer: covered + number }
      sink({ kind: 'answered', player, item, steps: number })
      covered += number
    }
  }
  if (params.operations) {
    const { text, items } = workedOut(way, total)
    for (const item of items) sink({ kind: 'answered', player, item, steps: 'b' in item ? item.b : 0 })
    sink({ kind: 'explained', player })
    sink({ kind: 'wrote', player, what: 'sentence', text: `${text} = ${total}` })
  }
  for (const number of numbersIn(way)) sink({ kind: 'placed', player, space: number })
}

function play(state: State, way: number | null, sink?: Sink): State {
  const { params, open, thrown, turn: player, players } = state
  const now = way === null ? open[player] : open[player] & ~way
  if (way !== null && sink) tell(params, thrown, way, player, sink)
  // The round is over: the next child plays an own one.
  const over = now === 0 || (way === null && !params.untilFull)
  const ended = over && player === players - 1
  const after = replaced(open, player, now)
  const winner = ended ? lowest(after) : null
  const turn = over ? nextTurn(state) : player
  return { params, players, turn, ended, winner, open: after, thrown }
}

/** Who has least uncovered; null if several have. */
function lowest(open: readonly number[]): number | null {
  const first = leaders(open.map((mask) => -sumOfMask(mask)))
  return first.length === 1 ? first[0] : null
}

const level = (id: string, title: string, to: number, params: z.input<typeof paramsSchema>) =>
  levelOf<Params>(id, title, to, 'numerals', paramsSchema.parse(params))

const numberId = (player: number, n: number) => `number-${player}-${n}`

const table: Table<Params, State, number> = {
  layout: ({ numbers, dice: count }, players) =>
    onTable(
      stacked(
        12,
        ...range(0, players - 1).map((player) =>
          grid(
            range(1, numbers).map((n) => ({
              id: numberId(player, n),
              shape: 'square',
              face: numeral(n),
              owner: player,
            })),
            numbers,
            [16, 22],
            1,
          ),
        ),
        deviceSpots(dice(count)),
      ),
    ),
  things: ({ params, open, thrown }) => [
    ...open.flatMap((mask, player) =>
      numbersIn(full(params) & ~mask).map((n) =>
        lie(`cover-${player}-${n}`, 'counter', numberId(player, n), null, { owner: player }),
      ),
    ),
    ...deviceThings(dice(params.dice), thrown),
  ],
  say: ({ turn }, way) => ({
    verb: 'cover',
    numbers: numbersIn(way),
    spots: numbersIn(way).map((n) => numberId(turn, n)),
  }),
}

export const lowTide = defineGame<Params, State, number, View>({
  id: 'low-tide',
  title: 'Low Tide',
  summary: 'Cover the total, or numbers that make it, until nothing fits; the least uncovered wins.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('match-6', '1 to 6, one die, until full', 6, { numbers: 6, dice: 1, parts: 1, untilFull: true }),
    level('two-parts', '1 to 9, the total or two parts', 12, { numbers: 9, dice: 2, parts: 2 }),
    level('three-parts', '1 to 9, up to three parts', 12, { numbers: 9, dice: 2, parts: 3 }),
    level('any-parts', '1 to 9, any parts', 12, { numbers: 9, dice: 2, parts: 'any' }),
    level('operations', '1 to 9, any operations', 20, {
      numbers: 9,
      dice: 2,
      parts: 'any',
      operations: true,
    }),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'rounds',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    open: Array<number>(players).fill(full(params)),
    thrown: [],
  }),
  roll({ params, players, turn, ended, winner, open }, chance, sink) {
    const thrown = turnUp(dice(params.dice), chance, turn, sink)
    return { params, players, turn, ended, winner, open, thrown }
  },
  moves: ({ params, open, thrown, turn }) => waysFrom(params, open[turn], sum(thrown)),
  play,
  view: ({ params, open, thrown }, player) => ({ params, open: open[player], total: sum(thrown) }),
  planner: ({ params, open }, ways) => {
    const { left } = bestPlay(params)
    return bestOf(ways, (way) => -left[open & ~way])
  },
  lumpKey: ({ open, turn }) => `${turn} ${open.join()}`,
  figures: (params) => {
    const { left, cleared } = bestPlay(params)
    return {
      score: { mean: left[full(params)] },
      // Sums of shares may miss one by a rounding.
      cleared: Math.min(1, cleared[full(params)]),
    }
  },
  variants(params): Variant<Params>[] {
    const found: Variant<Params>[] = []
    if (params.numbers > 6)
      found.push({ change: 'fewer-spaces', amount: 6, params: { ...params, numbers: 6, dice: 1 } })
    if (!params.operations && params.parts !== 'any')
      found.push({ change: 'another-device', params: { ...params, parts: 'any' } })
    return found
  },
  table,
  thinksLong: ({ operations }) => operations,
  scores: ({ params, open }) => (params.untilFull ? null : open.map((mask) => -sumOfMask(mask))),
  materials: ({ numbers, dice: count, operations }) => [
    perPlayer({ kind: 'strip', to: numbers }),
    perPlayer({ kind: 'counter' }, numbers),
    perSet({ kind: 'die', sides: 6 }, count),
    ...(operations ? [perPlayer({ kind: 'sheet', columns: 'number sentences' })] : []),
  ],
  room: { ...quietTable, win: true },
})
