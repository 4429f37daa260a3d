import { z } from 'zod'
import type { PracticeItem } from '../../../skills'
import { responding, respondTable } from '../../families/respond'
import { question, questionKinds } from '../../families/questions'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { asking, heap, packSpots, packThings } from '../../families/on-table'
import { grid, onTable, place, stacked, type Layout, type SceneThing } from '../../../table'

const crewKinds = ['sharing', 'odd-or-even', 'equal-groups', 'halves', 'rows', 'quarters'] as const
export type CrewKind = (typeof crewKinds)[number]

const paramsSchema = z.object({
  kind: z.enum(crewKinds),
  /** Cards turned in a game. */
  turn: z.number().int().min(3).max(30).default(10),
})

export type Params = z.infer<typeof paramsSchema>

/** Boats on the table: as many as a card may ask for. Pairs and rows are laid on the bare table. */
const boats: Record<CrewKind, number> = {
  sharing: 4,
  'odd-or-even': 0,
  'equal-groups': 5,
  halves: 2,
  rows: 0,
  quarters: 4,
}

/** What a card asks, as numbers: so many things, or groups of so many, and in how many shares. */
function numbersOf(item: PracticeItem): readonly [number, number] {
  switch (item.op) {
    case 'share':
      return [item.total, item.among]
    case 'groups':
      return [item.groups, item.size]
    case 'part-of':
      return [item.of, item.parts]
    case 'odd-even':
      return [item.of, 2]
    default:
      throw new Error(`Even Crews asks no ${item.op}.`)
  }
}

function itemOf(kind: CrewKind, [first, second]: readonly number[]): PracticeItem {
  switch (kind) {
    case 'sharing':
      return { op: 'share', total: first, among: second, answer: first / second }
    case 'odd-or-even':
      return { op: 'odd-even', of: first, answer: first % 2 }
    case 'equal-groups':
      return { op: 'groups', groups: first, size: second, answer: first * second }
    case 'rows':
      return { op: 'groups', groups: first, size: second, rows: true, answer: first * second }
    case 'halves':
      return { op: 'part-of', of: first, parts: 2, answer: first / 2 }
    case 'quarters':
      return { op: 'part-of', of: first, parts: 4, answer: first / 4 }
  }
}

const isGrouped = (kind: CrewKind) => kind === 'equal-groups' || kind === 'rows'

/** Crew that a card brings onto the table. */
const crewOf = (kind: CrewKind, [first, second]: readonly number[]) =>
  isGrouped(kind) ? first * second : first

const engine = responding<Params>({
  tasks: ({ turn }) => turn,
  open({ params, chance, player }, sink) {
    const numbers = numbersOf(question(params.kind, chance))
    sink?.({ kind: 'drew', player, card: numbers[0] })
    return numbers
  },
  answer({ params, prompt, player }, sink) {
    const crew = crewOf(params.kind, prompt)
    sink({ kind: 'built', player, cubes: crew, space: crew })
    sink({ kind: 'answered', player, item: itemOf(params.kind, prompt), steps: 0 })
    sink({ kind: 'explained', player })
  },
})

const seats = 10
const rowsAtMost = 5

/** Where the crew goes: boats, places two by two, or rows. */
function crewSpots(kind: CrewKind): Layout {
  if (kind === 'odd-or-even')
    return grid(
      range(0, seats - 1).map((seat) => ({ id: `seat-${seat}`, shape: 'square', tone: 'quiet' })),
      seats / 2,
      [17, 17],
    )
  if (kind === 'rows')
    return grid(
      range(0, rowsAtMost - 1).map((row) => ({ id: `row-${row}`, shape: 'area' })),
      1,
      [90, 14],
      2,
    )
  const columns = boats[kind] === 5 ? 5 : 2
  return grid(
    range(0, boats[kind] - 1).map((boat) => ({ id: `boat-${boat}`, shape: 'square', tone: 'quiet' })),
    columns,
    columns === 5 ? [28, 32] : [56, 26],
    4,
  )
}

/** The crew in its places once the card is answered. */
function placed(kind: CrewKind, [first, second]: readonly number[]): SceneThing[] {
  const each = (spot: string, groups: number, size: number) =>
    range(0, groups - 1).flatMap((i) => heap(`crew-${i}`, 'counter', `${spot}-${i}`, size))
  if (kind === 'odd-or-even')
    // Two by two: one of a pair in the upper row, the other below it.
    return range(0, first - 1).flatMap((one) =>
      heap(`crew-${one}`, 'counter', `seat-${Math.floor(one / 2) + (one % 2) * (seats / 2)}`, 1),
    )
  if (kind === 'rows') return each('row', first, second)
  return kind === 'equal-groups' ? each('boat', first, second) : each('boat', second, first / second)
}

const table = respondTable<Params>(
  ({ kind }) =>
    onTable(
      stacked(
        8,
        packSpots([68, 28]),
        crewSpots(kind),
        ...(isGrouped(kind) ? [] : [place('waiting', [64, 22])]),
      ),
    ),
  ({ params: { kind }, prompt, open }) => {
    if (prompt.length === 0) return packThings('question cards')
    const crew = open
      ? isGrouped(kind)
        ? []
        : heap('waiting-crew', 'counter', 'waiting', crewOf(kind, prompt))
      : placed(kind, prompt)
    return [...packThings('question cards', asking(itemOf(kind, prompt))), ...crew]
  },
)

const level = (kind: CrewKind, title: string) =>
  levelOf<Params>(kind, title, questionKinds[kind].to, 'objects', paramsSchema.parse({ kind }))

const focusOf = {
  sharing: 'share',
  'odd-or-even': 'odd-even',
  'equal-groups': 'groups',
  halves: 'part-of',
  rows: 'groups',
  quarters: 'part-of',
} as const

export const evenCrews = defineGame({
  ...engine,
  id: 'even-crews',
  title: 'Even Crews',
  summary: 'Put a crew into boats so that it is fair, in pairs, or in equal groups.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('sharing', 'share up to 12'),
    level('odd-or-even', 'pairs to 10: odd or even'),
    level('equal-groups', 'equal crews, to 20'),
    level('halves', 'half the crew, to 20'),
    level('rows', 'rows, to 5 by 5'),
    level('quarters', 'a quarter of the crew, to 20'),
  ],
  players: { min: 1, max: 4, typical: 2 },
  goes: 'alternate',
  interaction: 'shared',
  focus: ({ kind }) => [focusOf[kind]],
  variants: (params) => fewer(params, 'turn', 'fewer-cards', 3),
  table,
  materials: ({ kind }) => [
    perSet({ kind: 'question cards', about: questionKinds[kind].title }),
    perSet({ kind: 'counter' }, questionKinds[kind].to),
    ...(boats[kind] > 0 ? [perSet({ kind: 'tray' }, boats[kind])] : []),
  ],
  room: quietTable,
})
