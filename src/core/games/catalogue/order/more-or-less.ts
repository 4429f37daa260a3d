import { z } from 'zod'
import { comparing, compareSpots, pilesOf, type CompareState } from '../../families/compare'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, place, stacked, groups, type Table } from '../../../table'

const paramsSchema = z.object({
  /** Picture cards from 1 to this number. */
  high: z.number().int().min(3).max(20),
  rounds: z.number().int().min(2).max(60).default(10),
  /** A spinner decides whether more or less wins; off: more wins. */
  spin: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

const engine = comparing<Params>({
  rounds: ({ rounds }) => rounds,
  cards({ high }, chance, player, sink) {
    const card = chance.int(1, high)
    if (player === 0) sink?.({ kind: 'drew', player, card })
    return [card]
  },
  sign({ spin }, chance, sink) {
    if (!spin) return 1
    const sector = chance.int(0, 1)
    sink?.({ kind: 'spun', player: 0, sector })
    return sector
  },
  worth: (_params, [card]) => card,
  answer({ high }, { turned }, player, sink) {
    const [own] = turned[player]
    if (own <= 5) {
      sink({ kind: 'answered', player, item: { op: 'see', pattern: 'groups', answer: own }, steps: 0 })
    } else {
      sink({ kind: 'answered', player, item: { op: 'count', answer: own, set: true }, steps: own })
      sink({ kind: 'built', player, cubes: own, space: 0 })
    }
    if (turned.length < 2) return
    const [other] = turned[(player + 1) % turned.length]
    const item = {
      op: 'compare' as const,
      a: own,
      b: other,
      ask: 'more' as const,
      answer: Math.max(own, other),
    }
    sink({ kind: 'answered', player, item, steps: high > 10 ? 1 : 0 })
  },
})

const level = (high: number) =>
  levelOf<Params>(`to-${high}`, `pictures to ${high}`, high, 'pictures', { high, rounds: 10, spin: true })

const table: Table<Params, CompareState<Params>, 'answer'> = {
  layout: ({ spin }, players) =>
    onTable(stacked(10, compareSpots(players, [40, 32]), ...(spin ? [place('device', [48, 48])] : []))),
  things: ({ params, players, turned, waiting, won, done, turn, sign }) => [
    ...turned.flatMap(([card], player) => [
      lie(`card-${player}`, 'picture cards', `open-${player}`, groups(card), { owner: player }),
    ]),
    ...pilesOf('picture cards', players, waiting, won),
    ...(params.spin
      ? [
          lie('spinner', 'spinner', 'device', {
            kind: 'wheel',
            sectors: ['less', 'more'],
            at: turned.length > 0 || done > 0 || turn > 0 ? sign : null,
          }),
        ]
      : []),
  ],
  say: ({ turn }) => ({ verb: 'answer', numbers: [], spots: [`open-${turn}`] }),
}

export const moreOrLess = defineGame({
  ...engine,
  id: 'more-or-less',
  title: 'More or Less',
  summary: 'Each turns a picture card and says which is more; a spinner says whether more or less wins.',
  section: 'order',
  params: paramsSchema,
  levels: [level(5), level(10), level(12), level(20)],
  players: { min: 2, max: 4, typical: 2 },
  goes: 'call',
  interaction: 'contest',
  focus: () => ['compare'],
  variants: (params) => fewer(params, 'rounds', 'fewer-rounds', 4),
  table,
  scores: ({ won }) => won,
  materials: ({ high, spin, rounds }) => [
    // Every child turns a card a round.
    perPlayer({
      kind: 'picture cards',
      shows: 'dots in two groups',
      from: 1,
      to: high,
      copies: Math.ceil(rounds / high),
    }),
    ...(spin ? [perSet({ kind: 'spinner', sectors: 'more and less' })] : []),
  ],
  room: { ...quietTable, alone: false, together: false, win: true },
})
