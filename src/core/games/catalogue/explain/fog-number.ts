import { z } from 'zod'
import { bestOf, defineGame, levelOf, nextTurn, quietTable } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, place, stacked, trackRows, numeral, type Table } from '../../../table'

const paramsSchema = z
  .object({
    low: z.number().int().min(0).max(100),
    high: z.number().int().min(3).max(1000),
    /** What a question must name: a number, a double, or tens and ones. */
    fact: z.enum(['number', 'double', 'tens-and-ones']).default('number'),
    record: z.boolean().default(false),
  })
  .refine(({ low, high }) => low < high, {
    path: ['high'],
    error: 'The highest number must be the larger one.',
  })

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** What the number can still be. */
  from: number
  to: number
  /** The hidden number, known to its holder only; null until it is chosen. */
  hidden: number | null
}

interface View {
  from: number
  to: number
  fact: Params['fact']
}

/** “Is it more than x?”: every x that tells something, even ones only where a double must be named. */
function questions({ fact }: Params, from: number, to: number): readonly number[] {
  const all = range(from, to - 1)
  const doubles = all.filter((x) => x % 2 === 0)
  return fact === 'double' && doubles.length > 0 ? doubles : all
}

const moves = ({ params, from, to }: State) => questions(params, from, to)

function tell({ fact, record }: Params, x: number, number: number, player: number, sink: Sink) {
  if (fact === 'double' && x % 2 === 0)
    sink({ kind: 'answered', player, item: { op: 'add', a: x / 2, b: x / 2, answer: x }, steps: x / 2 })
  if (fact === 'tens-and-ones')
    sink({
      kind: 'answered',
      player,
      item: { op: 'tens', tens: Math.floor(x / 10), ones: x % 10, answer: x },
      steps: 0,
    })
  const answer = Math.max(x, number)
  const item = { op: 'compare' as const, a: number, b: x, ask: 'more' as const, answer }
  // Who holds the number compares; the others hear yes or no.
  sink({ kind: 'answered', player, item, steps: 0, secret: true })
  sink({ kind: 'explained', player })
  if (record) sink({ kind: 'wrote', player, what: 'numeral', text: `${number > x ? '>' : '≤'} ${x}` })
}

function play(state: State, x: number | null, sink?: Sink): State {
  if (x === null) return { ...state, turn: nextTurn(state) }
  const number = state.hidden!
  if (sink) tell(state.params, x, number, state.turn, sink)
  const from = number > x ? x + 1 : state.from
  const to = number > x ? state.to : x
  return { ...state, from, to, ended: from === to, turn: nextTurn(state) }
}

/** The question that leaves as few numbers as it can, whatever the answer. */
function halve({ from, to }: View, options: readonly number[]): number {
  return bestOf(options, (x) => -Math.max(x - from + 1, to - x))
}

/** How many numbers can be left after each question, at the worst, asking the question nearest the middle. */
function leaves(params: Params): number[] {
  const left: number[] = []
  let [from, to] = [params.low, params.high]
  while (from < to) {
    const x = halve({ from, to, fact: params.fact }, questions(params, from, to))
    // The answer that leaves more; of equal ones the one that leaves the harder half for doubles.
    const [below, above] = [x - from + 1, to - x]
    if (
      below > above ||
      (below === above && questionsFor(params, from, x) >= questionsFor(params, x + 1, to))
    )
      to = x
    else from = x + 1
    left.push(to - from + 1)
  }
  return left
}

const most = new WeakMap<Params, Map<string, number>>()

/** Questions needed at the worst, asking as well as can be. */
function questionsFor(params: Params, from: number, to: number): number {
  if (from >= to) return 0
  let known = most.get(params)
  if (!known) most.set(params, (known = new Map<string, number>()))
  // Where doubles must be named it matters on which side of an even number one stands; else only how many are left.
  const key = `${params.fact === 'double' ? from % 2 : 0} ${to - from}`
  const found = known.get(key)
  if (found !== undefined) return found
  const x = halve({ from, to, fact: params.fact }, questions(params, from, to))
  const needed = 1 + Math.max(questionsFor(params, from, x), questionsFor(params, x + 1, to))
  known.set(key, needed)
  return needed
}

const level = (id: string, title: string, low: number, high: number, fact: Params['fact']) =>
  levelOf<Params>(id, title, high, 'numerals', { low, high, fact, record: false })

const numberId = (n: number) => `number-${n}`

const table: Table<Params, State, number> = {
  layout: ({ low, high }) =>
    onTable(
      stacked(
        10,
        trackRows(low, high, (n) => ({ id: numberId(n), shape: 'square', face: numeral(n) }), 13, 1),
        place('secret', [30, 14], { label: 'the number' }),
      ),
    ),
  things: ({ params, from, to, hidden, ended }, viewer) => [
    lie(
      'secret',
      'cover strip',
      'secret',
      hidden !== null && (viewer === 'all' || ended) ? numeral(hidden) : null,
    ),
    ...range(params.low, params.high)
      .filter((n) => n < from || n > to)
      .map((n) => lie(`cover-${n}`, 'cover strip', numberId(n))),
  ],
  left: ({ from, to }) => to - from + 1,
  say: (_state, x) => ({ verb: 'ask', numbers: [x], spots: [numberId(x)] }),
}

export const fogNumber = defineGame<Params, State, number, View>({
  id: 'fog-number',
  title: 'Number in the Fog',
  summary: 'One child holds a number; the others find it with yes-or-no questions.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-5', '0 to 5', 0, 5, 'number'),
    level('to-10', '0 to 10', 0, 10, 'number'),
    level('to-12', '0 to 12', 0, 12, 'number'),
    level('to-20', '0 to 20', 0, 20, 'number'),
    level('doubles', '0 to 20, naming doubles', 0, 20, 'double'),
    level('to-30', '0 to 30', 0, 30, 'number'),
    level('to-100', '1 to 100, naming tens and ones', 1, 100, 'tens-and-ones'),
  ],
  usual: 'to-10',
  players: { min: 2, max: 6, typical: 4 },
  goes: 'alternate',
  interaction: 'shared',
  focus: ({ fact }) => (fact === 'double' ? ['add'] : fact === 'tens-and-ones' ? ['tens'] : ['compare']),
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    from: params.low,
    to: params.high,
    hidden: null,
  }),
  roll: (state, chance) =>
    state.hidden === null ? { ...state, hidden: chance.int(state.from, state.to) } : state,
  // Given the answers so far every number left is as likely: an analysis need not carry the hidden one along.
  forget: (state) => ({ ...state, hidden: null }),
  moves,
  play,
  view: ({ params, from, to }) => ({ from, to, fact: params.fact }),
  planner: halve,
  lumpKey: ({ from, to }) => `${from} ${to}`,
  figures: (params) => ({
    questionsAtMost: questionsFor(params, params.low, params.high),
    leaves: leaves(params),
  }),
  variants: (params): Variant<Params>[] =>
    params.high > 20 ? [{ change: 'shorter-track', amount: 20, params: { ...params, high: 20 } }] : [],
  table,
  materials: ({ high, record }) => [
    perSet(high > 30 ? { kind: 'hundred grid', to: 100 } : { kind: 'number line', to: high }),
    perSet({ kind: 'cover strip' }, 2),
    perSet({ kind: 'whiteboard' }),
    ...(record ? [perPlayer({ kind: 'sheet', columns: 'questions' })] : []),
  ],
  room: { ...quietTable, where: 'carpet', alone: false },
})
