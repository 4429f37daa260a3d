import { z } from 'zod'
import { responding, respondTable } from '../../families/respond'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, place, stacked, type Face } from '../../../table'

const paramsSchema = z.object({
  /** The parts that repeat; each letter a colour. */
  units: z
    .array(z.string().regex(/^[ABC]{2,4}$/, 'A pattern is written like AB or AAB.'))
    .min(1)
    .max(4),
  /** Copy a chain, go on with it, or make one. */
  task: z.enum(['copy', 'go-on', 'make']).default('go-on'),
  /** Cubes of a chain. */
  length: z.number().int().min(6).max(24).default(12),
  chains: z.number().int().min(1).max(8).default(4),
})

export type Params = z.infer<typeof paramsSchema>

const engine = responding<Params>({
  tasks: ({ chains }) => chains,
  open({ params, chance, player }, sink) {
    const index = chance.int(0, params.units.length - 1)
    if (params.task !== 'make') sink?.({ kind: 'drew', player, card: index })
    return [index]
  },
  answer({ params, prompt: [index], player }, sink) {
    const unit = params.units[index]
    // A chain to go on with has its first two parts already.
    const cubes = params.task === 'go-on' ? params.length - 2 * unit.length : params.length
    sink({ kind: 'built', player, cubes, space: 0 })
    sink({ kind: 'answered', player, item: { op: 'pattern', unit, answer: unit.length }, steps: 0 })
    sink({ kind: 'explained', player })
  },
})

const level = (id: string, title: string, units: string[], task: Params['task'] = 'go-on') =>
  levelOf<Params>(id, title, Math.max(...units.map((unit) => unit.length)), 'objects', {
    units,
    task,
    length: 12,
    chains: 4,
  })

const table = respondTable<Params>(
  ({ task }) =>
    onTable(
      stacked(
        12,
        ...(task === 'make' ? [] : [place('strip', [150, 22], { label: 'strip' })]),
        place('chain', [180, 24], { label: 'chain' }),
      ),
    ),
  ({ params, prompt, open }) => {
    if (prompt.length === 0) return []
    const unit = params.units[prompt[0]]
    const chain = (cubes: number): Face => ({
      kind: 'chain',
      colours: unit.repeat(Math.ceil(cubes / unit.length)).slice(0, cubes),
    })
    const start = params.task === 'go-on' ? 2 * unit.length : 0
    const cubes = open ? start : params.length
    return [
      ...(params.task === 'make' ? [] : [lie('strip', 'pattern strip', 'strip', chain(2 * unit.length))]),
      ...range(0, cubes - 1).map((i) =>
        lie(`cube-${i}`, 'cube', 'chain', { kind: 'chain', colours: unit[i % unit.length] }),
      ),
    ]
  },
)

export const patternChain = defineGame({
  ...engine,
  id: 'pattern-chain',
  title: 'Pattern Chain',
  summary: 'Copy a chain of coloured cubes, go on with it, or make your own.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('copy-ab', 'copy red, blue', ['AB'], 'copy'),
    level('ab', 'go on with red, blue', ['AB']),
    level('aab', 'go on with two and one', ['AAB', 'ABB']),
    level('abc', 'go on with three colours', ['ABC', 'ABB']),
    level('make', 'make your own', ['AB', 'AAB', 'ABC'], 'make'),
  ],
  players: { min: 1, max: 6, typical: 3 },
  goes: 'parallel',
  interaction: 'shared',
  variants: (params) => fewer(params, 'chains', 'fewer-rounds', 1),
  table,
  materials: ({ units, length, task }) => [
    ...(['first', 'second', 'third'] as const)
      .slice(0, units.some((unit) => unit.includes('C')) ? 3 : 2)
      .map((colour) => perPlayer({ kind: 'cube', colour }, length)),
    ...(task === 'make' ? [] : units.map((pattern) => perPlayer({ kind: 'pattern strip', pattern }))),
  ],
  room: { ...quietTable, floor: 1, where: 'carpet' },
})
