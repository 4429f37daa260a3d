import { z } from 'zod'
import { covering, type CoverState } from '../../families/cover'
import { defineGame, levelOf, ownedBy, quietTable } from '../../engine/game'
import { range, shorterBy, spinner, turnUp } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie, deviceSpots, deviceThings } from '../../families/on-table'
import { beside, grid, onTable, type Table } from '../../../table'

const paramsSchema = z
  .object({
    sectors: z.number().int().min(3).max(15),
    /** Picture boxes; each number has about as many. */
    boxes: z.number().int().min(6).max(40),
    /** Boxes that end the game; null: all of them. */
    enough: z.number().int().min(2).max(40).nullable().default(null),
    /** Fill the grid together, or each shades in an own colour and most boxes win. */
    score: z.enum(['together', 'own-colours']).default('together'),
  })
  .refine(({ boxes, sectors }) => boxes >= sectors, {
    path: ['boxes'],
    error: 'Every number of the spinner needs a box.',
  })

export type Params = z.infer<typeof paramsSchema>

const numberOf = ({ sectors }: Params, box: number) => (box % sectors) + 1
const enough = ({ boxes, enough: some }: Params) => Math.min(boxes, some ?? boxes)

const most = 5_000

const engine = covering<Params>({
  own: false,
  colours: ({ score }) => score === 'own-colours',
  firstOpen: true,
  spaces: ({ boxes }) => boxes,
  enough,
  throw: ({ sectors }, chance, player, sink) => turnUp(spinner(sectors), chance, player, sink),
  matching: (params, [number]) => range(number - 1, params.boxes - 1, params.sectors),
  cover(params, space, _thrown, player, sink) {
    const number = numberOf(params, space)
    sink({ kind: 'answered', player, item: { op: 'numeral', answer: number }, steps: 0 })
    // Up to five are seen at a glance; more are counted along.
    if (number <= 5)
      sink({ kind: 'answered', player, item: { op: 'see', pattern: 'groups', answer: number }, steps: 0 })
    else {
      sink({ kind: 'answered', player, item: { op: 'count', answer: number, set: true }, steps: number })
      sink({ kind: 'built', player, cubes: number, space })
    }
    sink({ kind: 'placed', player, space })
  },
})

const level = (id: string, title: string, sectors: number, boxes: number, some: number | null) =>
  levelOf<Params>(id, title, sectors, 'pictures', paramsSchema.parse({ sectors, boxes, enough: some }))

const boxId = (box: number) => `box-${box}`

const table: Table<Params, CoverState<Params>, number> = {
  layout: (params) =>
    onTable(
      beside(
        14,
        grid(
          range(0, params.boxes - 1).map((box) => ({
            id: boxId(box),
            shape: 'square',
            face: { kind: 'objects', n: numberOf(params, box) },
          })),
          Math.ceil(Math.sqrt(params.boxes * 1.2)),
          [22, 18],
        ),
        deviceSpots(spinner(params.sectors)),
      ),
    ),
  things: ({ params, boards, owners, thrown }) => [
    ...boards[0].flatMap((shaded, box) =>
      shaded
        ? [lie(`shade-${box}`, 'pen', boxId(box), { kind: 'shade' }, { owner: owners?.[box] ?? null })]
        : [],
    ),
    ...deviceThings(spinner(params.sectors), thrown),
  ],
  say: ({ params }, box) => ({ verb: 'mark', numbers: [numberOf(params, box)], spots: [boxId(box)] }),
}

export const lanternGrid = defineGame({
  ...engine,
  // A state for every number of boxes lit of each number.
  tooMany: ({ boxes, sectors }) => (boxes / sectors + 1) ** sectors > most,
  id: 'lantern-grid',
  title: 'Lantern Grid',
  summary: 'Spin a number and light a box that shows as many lanterns.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('to-5', '1 to 5', 5, 15, null),
    level('to-10', '1 to 10', 10, 20, 14),
    level('to-15', '1 to 15', 15, 30, 18),
  ],
  players: { min: 1, max: 4, typical: 2 },
  marked: ({ sectors }) => (sectors > 5 ? { strand: 'how-many', step: 'count-set-10' } : null),
  goes: 'alternate',
  interaction: 'shared',
  contested: ({ score }) => score === 'own-colours',
  variants: (params) =>
    shorterBy(enough(params), 2).map((some) => ({
      change: 'fewer-spaces',
      amount: some,
      params: { ...params, enough: some },
    })),
  table,
  scores: ({ owners, players }) => (owners ? ownedBy(owners, players) : null),
  materials: ({ sectors, boxes }) => [
    perSet({ kind: 'board', name: 'lantern grid', shows: `${boxes} boxes with 1 to ${sectors}` }),
    perSet({ kind: 'spinner', sectors }),
    perPlayer({ kind: 'pen' }),
  ],
  room: { ...quietTable, win: true },
})
