import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie, heap } from '../../families/on-table'
import { beside, onTable, place, stacked, words } from '../../../table'

const paramsSchema = z.object({
  pins: z.number().int().min(3).max(10),
  /** The standing pins are hidden: their number is worked out from those that fell. */
  hidden: z.boolean().default(false),
  record: z.boolean().default(true),
  /** Throws of a whole game. */
  throws: z.number().int().min(2).max(60).default(12),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ throws }) => throws,
  // How many fall is anybody's guess: every number is as likely.
  open({ params, chance, player }, sink) {
    const down = chance.int(0, params.pins)
    sink?.({ kind: 'rolled', player, faces: [down] })
    return [down]
  },
  answer({ params, prompt: [down], player }, sink) {
    const { pins, hidden, record } = params
    const standing = pins - down
    sink({ kind: 'answered', player, item: { op: 'count', answer: down, set: true }, steps: down })
    sink({ kind: 'built', player, cubes: down, space: 0 })
    if (hidden) {
      const item = { op: 'missing' as const, part: down, whole: pins, answer: standing }
      sink({ kind: 'answered', player, item, steps: standing })
    } else {
      sink({ kind: 'answered', player, item: { op: 'count', answer: standing, set: true }, steps: standing })
      sink({ kind: 'built', player, cubes: standing, space: 1 })
    }
    if (record) sink({ kind: 'wrote', player, what: 'sentence', text: `${down} + ${standing} = ${pins}` })
    // Walks to the pins and sets them up again.
    sink({ kind: 'moved', player, from: 0, to: 1, squares: 8 + down })
  },
})

const level = (id: string, title: string, pins: number, hidden: boolean) =>
  levelOf<Params>(id, title, pins, hidden ? 'hidden' : 'objects', {
    pins,
    hidden,
    record: pins > 5,
    throws: 12,
  })

const table = respondTable<Params>(
  () =>
    onTable(
      stacked(
        10,
        beside(
          12,
          place('standing', [60, 40], { label: 'standing' }),
          place('down', [60, 40], { label: 'down' }),
        ),
        beside(12, place('ball', [20, 16]), place('sheet', [60, 16])),
      ),
    ),
  ({ params, prompt, open }) => {
    const [down = 0] = prompt
    const standing = params.pins - down
    const screened = params.hidden && open
    return [
      ...(screened ? [lie('screen', 'screen', 'standing')] : heap('standing', 'pin', 'standing', standing)),
      ...heap('down', 'pin', 'down', down),
      lie('ball', 'ball', 'ball'),
      ...(params.record && prompt.length > 0 && !open
        ? [lie('sentence', 'sheet', 'sheet', words(`${down} + ${standing} = ${params.pins}`))]
        : []),
    ]
  },
)

export const buoyBowl = defineGame({
  ...engine,
  id: 'buoy-bowl',
  title: 'Buoy Bowl',
  summary: 'Roll a soft ball at light pins; count those down and those standing.',
  section: 'collect',
  params: paramsSchema,
  levels: [
    level('five', '5 pins', 5, false),
    level('ten', '10 pins', 10, false),
    level('five-hidden', '5 pins, the rest hidden', 5, true),
    level('seven-hidden', '7 pins, the rest hidden', 7, true),
    level('ten-hidden', '10 pins, the rest hidden', 10, true),
  ],
  players: { min: 1, max: 6, typical: 3 },
  goes: 'alternate',
  interaction: 'shared',
  focus: ({ hidden }) => (hidden ? ['missing'] : ['count']),
  variants: (params) => fewer(params, 'throws', 'fewer-rounds', 4),
  table,
  materials: ({ pins, hidden, record }) => [
    perSet({ kind: 'pin' }, pins),
    perSet({ kind: 'ball' }),
    ...(hidden ? [perSet({ kind: 'screen' })] : []),
    ...(record ? [perSet({ kind: 'sheet', columns: 'down and standing' })] : []),
  ],
  room: { ...quietTable, noise: 3, floor: 3, where: 'floor' },
})
