import { z } from 'zod'
import { tracking, type TrackState } from '../../families/track'
import { defineGame, levelOf, quietTable, type Sink, type Variant } from '../../engine/game'
import { dice, range, sum, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { heap, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, onTable, place, stacked, type Table } from '../../../table'

const paramsSchema = z.object({
  tens: z.number().int().min(2).max(12),
  dice: z.number().int().min(1).max(3).default(2),
  /** Start with the tens and pay until nothing is left. */
  backwards: z.boolean().default(false),
})

export type Params = z.infer<typeof paramsSchema>

/** Says how many tens and ones lie on the mat now, and handles the pieces. */
function tellMat(from: number, to: number, player: number, sink: Sink) {
  const tens = Math.floor(to / 10)
  const changed = Math.abs(tens - Math.floor(from / 10))
  sink({ kind: 'built', player, cubes: Math.abs(to - from), space: to % 10 })
  // Ten ones for a ten, or a ten for ten ones.
  for (let trade = 0; trade < changed; trade++) sink({ kind: 'took', player, cards: [10] })
  const item = { op: 'tens' as const, tens, ones: to % 10, answer: to }
  sink({ kind: 'answered', player, item, steps: 0 })
}

const engine = tracking<Params, number>({
  start: ({ tens, backwards }) => (backwards ? 10 * tens : 0),
  throw: (params, _at, chance, player, sink) => turnUp(dice(params.dice), chance, player, sink),
  options: (_params, _at, thrown) => [sum(thrown)],
  land({ backwards }, at, total, player, sink) {
    const to = backwards ? Math.max(0, at - total) : at + total
    if (sink) {
      const b = Math.abs(to - at)
      const op = backwards ? ('subtract' as const) : ('add' as const)
      sink({ kind: 'answered', player, item: { op, a: at, b, answer: to }, steps: b })
      tellMat(at, to, player, sink)
    }
    return { to }
  },
  finished: ({ tens, backwards }, at) => (backwards ? at === 0 : at >= 10 * tens),
})

const level = (id: string, title: string, tens: number, count: number, backwards = false) =>
  levelOf<Params>(id, title, 10 * tens + (backwards ? 0 : 6 * count), 'objects', {
    tens,
    dice: count,
    backwards,
  })

const table: Table<Params, TrackState<Params>, number> = {
  layout: ({ dice: count }, players) =>
    onTable(
      stacked(
        12,
        beside(
          14,
          ...range(0, players - 1).map((player) =>
            beside(
              2,
              place(`tens-${player}`, [66, 48], { shape: 'square', owner: player, label: 'tens' }),
              place(`ones-${player}`, [48, 48], { shape: 'square', owner: player, label: 'ones' }),
            ),
          ),
        ),
        deviceSpots(dice(count)),
      ),
      12,
    ),
  things: ({ params, positions, thrown }) => [
    ...positions.flatMap((value, player) => [
      ...heap(`tens-${player}`, 'base-ten ten', `tens-${player}`, Math.floor(value / 10), player),
      ...heap(`ones-${player}`, 'base-ten one', `ones-${player}`, value % 10, player),
    ]),
    ...deviceThings(dice(params.dice), thrown),
  ],
  say: ({ params, positions, turn }, total) => {
    const from = positions[turn]
    const to = params.backwards ? Math.max(0, from - total) : from + total
    return {
      verb: params.backwards ? 'take' : 'build',
      numbers: [from, total, to],
      spots: [`ones-${turn}`, `tens-${turn}`],
    }
  },
}

export const tradeUp = defineGame({
  ...engine,
  id: 'trade-up',
  title: 'Trade Up',
  summary: 'Take as many ones as you roll and trade ten ones for a ten as soon as you can.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('three-tens', 'to 3 tens, one die', 3, 1),
    level('five-tens', 'to 5 tens, two dice', 5, 2),
    level('six-tens', 'to 6 tens, two dice', 6, 2),
    level('pay-five', 'pay back 5 tens', 5, 2, true),
  ],
  players: { min: 1, max: 4, typical: 3 },
  goes: 'alternate',
  interaction: 'race',
  marked: () => ({ strand: 'place', step: 'trade-ten' }),
  variants(params): Variant<Params>[] {
    const shorter = range(2, params.tens - 1)
      .slice(-2)
      .reverse()
    return [
      ...shorter.map((tens) => ({
        change: 'shorter-track' as const,
        amount: 10 * tens,
        params: { ...params, tens },
      })),
      ...(params.dice < 3
        ? [{ change: 'another-device' as const, params: { ...params, dice: params.dice + 1 } }]
        : []),
    ]
  },
  table,
  materials: ({ tens, dice: count }) => [
    perPlayer({ kind: 'base-ten one' }, 20),
    perPlayer({ kind: 'base-ten ten' }, tens + 2),
    perPlayer({ kind: 'mat' }),
    perSet({ kind: 'die', sides: 6 }, count),
  ],
  room: { ...quietTable, noise: 2, together: false, win: true },
})
