import { z } from 'zod'
import type { PracticeItem } from '../../../skills'
import { tracking, type TrackState } from '../../families/track'
import { defineGame, levelOf, quietTable, type Sink, type Variant } from '../../engine/game'
import { dice, range, sum, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { heap, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, onTable, place, stacked, type Table } from '../../../table'

const paramsSchema = z
  .object({
    /** How many of what is traded for: tens, or hundreds where tens are rolled. */
    tens: z.number().int().min(2).max(12),
    dice: z.number().int().min(1).max(3).default(2),
    /** Start with the tens and pay until nothing is left. */
    backwards: z.boolean().default(false),
    /** What the dice count: ones, traded for tens; or tens, traded for hundreds. */
    rolled: z.enum(['ones', 'tens']).default('ones'),
  })
  .refine(({ tens, rolled }) => rolled === 'ones' || tens <= 9, {
    path: ['tens'],
    error: 'Ten hundreds would be traded again: nine at most.',
  })

export type Params = z.infer<typeof paramsSchema>

/** What one of the dice's pips is worth: a one, or a ten. */
const worth = ({ rolled }: Params) => (rolled === 'ones' ? 1 : 10)

/** Says what lies on the mat now, and handles the pieces. */
function tellMat(unit: number, from: number, to: number, player: number, sink: Sink) {
  const traded = 10 * unit
  const changed = Math.abs(Math.floor(to / traded) - Math.floor(from / traded))
  sink({ kind: 'built', player, cubes: Math.abs(to - from) / unit, space: (to % traded) / unit })
  // Ten small pieces for a large one, or a large one for ten small.
  for (let trade = 0; trade < changed; trade++) sink({ kind: 'took', player, cards: [traded] })
  const tens = Math.floor(to / 10)
  const item: PracticeItem = {
    op: 'tens',
    tens,
    ones: to % 10,
    answer: to,
    // Hundreds are a step of their own.
    ...(changed > 0 && unit === 1 ? { traded: true } : {}),
  }
  sink({ kind: 'answered', player, item, steps: 0 })
}

/** What lies on a full mat. */
const goalOf = (params: Params) => 10 * worth(params) * params.tens

/** What lies on the mat after a roll. */
function landed(params: Params, at: number, total: number): number {
  const amount = total * worth(params)
  return params.backwards ? Math.max(0, at - amount) : at + amount
}

const engine = tracking<Params, number>({
  start: (params) => (params.backwards ? goalOf(params) : 0),
  throw: (params, _at, chance, player, sink) => turnUp(dice(params.dice), chance, player, sink),
  options: (_params, _at, thrown) => [sum(thrown)],
  land(params, at, total, player, sink) {
    const { backwards } = params
    const to = landed(params, at, total)
    if (sink) {
      const b = Math.abs(to - at)
      const op = backwards ? ('subtract' as const) : ('add' as const)
      sink({ kind: 'answered', player, item: { op, a: at, b, answer: to }, steps: b / worth(params) })
      tellMat(worth(params), at, to, player, sink)
    }
    return { to }
  },
  finished: (params, at) => (params.backwards ? at === 0 : at >= goalOf(params)),
})

const level = (id: string, title: string, given: Pick<Params, 'tens' | 'dice'> & Partial<Params>) => {
  const params: Params = { backwards: false, rolled: 'ones', ...given }
  const most = goalOf(params) + (params.backwards ? 0 : 6 * params.dice * worth(params))
  return levelOf<Params>(id, title, most, 'objects', params)
}

/** The two kinds of pieces, the large one first, and how large their places on the mat are. */
const pieces = ({ rolled }: Params) =>
  rolled === 'ones'
    ? ([
        { kind: 'base-ten ten', label: 'tens', size: [66, 48] },
        { kind: 'base-ten one', label: 'ones', size: [48, 48] },
      ] as const)
    : ([
        { kind: 'base-ten hundred', label: 'hundreds', size: [84, 48] },
        { kind: 'base-ten ten', label: 'tens', size: [66, 48] },
      ] as const)

const table: Table<Params, TrackState<Params>, number> = {
  layout: (params, players) =>
    onTable(
      stacked(
        12,
        beside(
          14,
          ...range(0, players - 1).map((player) =>
            beside(
              2,
              ...pieces(params).map(({ label, size }) =>
                place(`${label}-${player}`, size, { shape: 'square', owner: player, label }),
              ),
            ),
          ),
        ),
        deviceSpots(dice(params.dice)),
      ),
      12,
    ),
  things: ({ params, positions, thrown }) => [
    ...positions.flatMap((value, player) => {
      const held = value / worth(params)
      const [large, small] = pieces(params)
      const heapOf = ({ kind, label }: typeof large | typeof small, count: number) =>
        heap(`${label}-${player}`, kind, `${label}-${player}`, count, player)
      return [...heapOf(large, Math.floor(held / 10)), ...heapOf(small, held % 10)]
    }),
    ...deviceThings(dice(params.dice), thrown),
  ],
  say: ({ params, positions, turn }, total) => {
    const from = positions[turn]
    const [large, small] = pieces(params)
    return {
      verb: params.backwards ? 'take' : 'build',
      numbers: [from, total * worth(params), landed(params, from, total)],
      spots: [`${small.label}-${turn}`, `${large.label}-${turn}`],
    }
  },
}

export const tradeUp = defineGame({
  ...engine,
  id: 'trade-up',
  title: 'Trade Up',
  summary:
    'Take as many ones as you roll and trade ten ones for a ten as soon as you can; or tens for hundreds.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('three-tens', 'to 3 tens, one die', { tens: 3, dice: 1 }),
    level('five-tens', 'to 5 tens, two dice', { tens: 5, dice: 2 }),
    level('six-tens', 'to 6 tens, two dice', { tens: 6, dice: 2 }),
    level('pay-five', 'pay back 5 tens', { tens: 5, dice: 2, backwards: true }),
    level('three-hundreds', 'to 3 hundreds, two dice', { tens: 3, dice: 2, rolled: 'tens' }),
  ],
  players: { min: 1, max: 4, typical: 3 },
  goes: 'alternate',
  interaction: 'race',
  marked: ({ rolled }) => ({ strand: 'place', step: rolled === 'ones' ? 'trade-ten' : 'hundreds' }),
  variants(params): Variant<Params>[] {
    const shorter = range(2, params.tens - 1)
      .slice(-2)
      .reverse()
    return [
      ...shorter.map((tens) => ({
        change: 'shorter-track' as const,
        amount: goalOf({ ...params, tens }),
        params: { ...params, tens },
      })),
      ...(params.dice < 3
        ? [{ change: 'another-device' as const, params: { ...params, dice: params.dice + 1 } }]
        : []),
    ]
  },
  table,
  materials: (params) => {
    const [large, small] = pieces(params)
    return [
      perPlayer({ kind: small.kind }, 20),
      perPlayer({ kind: large.kind }, params.tens + 2),
      perPlayer({ kind: params.rolled === 'ones' ? 'mat' : 'hundreds mat' }),
      perSet({ kind: 'die', sides: 6 }, params.dice),
    ]
  },
  room: { ...quietTable, noise: 2, together: false, win: true },
})
