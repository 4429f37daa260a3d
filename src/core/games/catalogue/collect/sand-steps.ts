import { z } from 'zod'
import { covering, coversOn, type CoverState } from '../../families/cover'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { dice, range, spinner, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { deviceSpots, deviceThings } from '../../families/on-table'
import { grid, onTable, stacked, numeral, type Table } from '../../../table'

const paramsSchema = z.object({
  /** Steps of the path, from 1. Up to 6 a die serves: a number too large is rolled again. */
  to: z.number().int().min(3).max(12),
  /** Write the number beside the step. */
  write: z.boolean().default(true),
})

export type Params = z.infer<typeof paramsSchema>

const die = dice(1)
const deviceFor = ({ to }: Params) => (to <= 6 ? die : spinner(to))

const engine = covering<Params>({
  own: true,
  spaces: ({ to }) => to,
  throw: (params, chance, player, sink) => turnUp(deviceFor(params), chance, player, sink),
  again: ({ to }, [number]) => number > to,
  matching: ({ to }, [number]) => (number <= to ? [number - 1] : []),
  cover({ write }, space, _thrown, player, sink) {
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: space + 1 }, steps: 0 })
    sink({ kind: 'placed', player, space: space + 1 })
    if (write) sink({ kind: 'wrote', player, what: 'numeral', text: String(space + 1) })
  },
})

const level = (id: string, title: string, to: number) =>
  levelOf<Params>(id, title, to, 'pictures', { to, write: true })

const stepId = (player: number, space: number) => `step-${player}-${space + 1}`

const table: Table<Params, CoverState<Params>, number> = {
  layout: (params, players) =>
    onTable(
      stacked(
        10,
        ...range(0, players - 1).map((player) =>
          grid(
            range(0, params.to - 1).map((space) => ({
              id: stepId(player, space),
              shape: 'circle',
              face: numeral(space + 1),
              owner: player,
            })),
            params.to,
            [16, 16],
            4,
          ),
        ),
        deviceSpots(deviceFor(params)),
      ),
      12,
    ),
  things: ({ params, boards, thrown }) => [
    ...coversOn(boards, 'counter', stepId),
    ...deviceThings(deviceFor(params), thrown),
  ],
  say: ({ turn }, space) => ({ verb: 'cover', numbers: [space + 1], spots: [stepId(turn, space)] }),
}

export const sandSteps = defineGame({
  ...engine,
  id: 'sand-steps',
  title: 'Sand Steps',
  summary: 'Cover every step of your own path, in whatever order the numbers come.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('to-5', '1 to 5, a six is rolled again', 5),
    level('to-6', '1 to 6', 6),
    level('to-10', '1 to 10, spinner', 10),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'race',
  variants: (params) =>
    range(3, params.to - 1)
      .slice(-2)
      .reverse()
      .map((to) => ({ change: 'fewer-spaces', amount: to, params: { ...params, to } })),
  table,
  throwsAgain: ({ to }) => to < 6,
  materials: (params) => [
    perPlayer({ kind: 'board', name: 'path', shows: `steps 1 to ${params.to}` }),
    perPlayer({ kind: 'counter' }, params.to),
    params.to <= 6 ? perSet({ kind: 'die', sides: 6 }) : perSet({ kind: 'spinner', sectors: params.to }),
  ],
  room: { ...quietTable, together: false, win: true },
})
