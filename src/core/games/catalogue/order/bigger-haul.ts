import { z } from 'zod'
import { inAnyOrder, type Chance } from '../../../chance/chance'
import { comparing, compareSpots, pilesOf, type CompareState } from '../../families/compare'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { onTable, numeral, type Table, type Face } from '../../../table'

const paramsSchema = z.object({
  high: z.number().int().min(3).max(20),
  /** What is compared: totals, differences (the smaller wins), or the neighbours of one card. */
  rule: z.enum(['total', 'difference', 'before-and-after']).default('total'),
  show: z.enum(['numerals', 'ten-frames', 'dominoes']).default('numerals'),
  rounds: z.number().int().min(2).max(60).default(10),
})

export type Params = z.infer<typeof paramsSchema>

/** What the cards of a child come to. */
const worthOf = (rule: Params['rule'], [a, b = 0]: readonly number[]) =>
  rule === 'difference' ? Math.abs(a - b) : a + b

const sets = new Map<number, readonly (readonly number[])[]>()

/** A set of dominoes to a double: every pair of numbers once, blanks too. */
function dominoes(high: number): readonly (readonly number[])[] {
  const known = sets.get(high)
  if (known) return known
  const made = range(0, high).flatMap((a) => range(a, high).map((b) => [b, a]))
  sets.set(high, made)
  return made
}

/** One domino of those that nobody has turned in this round. */
function dominoFrom(high: number, chance: Chance, turned: readonly (readonly number[])[]): readonly number[] {
  const left = dominoes(high).filter((tile) => !turned.includes(tile))
  return left[chance.int(0, left.length - 1)]
}

const engine = comparing<Params>({
  rounds: ({ rounds }) => rounds,
  cards({ high, rule, show }, chance, player, sink, turned) {
    const cards =
      show === 'dominoes'
        ? dominoFrom(high, chance, turned)
        : inAnyOrder(chance, rule === 'before-and-after' ? 1 : 2, 1, high)
    if (player === 0) sink?.({ kind: 'drew', player, card: cards[0] })
    return cards
  },
  sign: ({ rule }) => (rule === 'difference' ? 0 : 1),
  worth: ({ rule }, cards) => worthOf(rule, cards),
  answer({ rule, show }, { turned }, player, sink) {
    const [a, b = 0] = turned[player]
    const [high, low] = [Math.max(a, b), Math.min(a, b)]
    if (show === 'ten-frames')
      sink({
        kind: 'answered',
        player,
        item: { op: 'see', pattern: 'frame', answer: Math.min(10, high) },
        steps: 0,
      })
    else if (show === 'dominoes' && high <= 6)
      sink({ kind: 'answered', player, item: { op: 'see', pattern: 'dice', answer: high }, steps: 0 })
    if (rule === 'total')
      sink({ kind: 'answered', player, item: { op: 'add', a: high, b: low, answer: a + b }, steps: low })
    else if (rule === 'difference')
      sink({
        kind: 'answered',
        player,
        item: { op: 'subtract', a: high, b: low, answer: high - low, compared: true },
        steps: low,
      })
    else
      for (const by of [-1, 1])
        sink({ kind: 'answered', player, item: { op: 'neighbour', of: a, by, answer: a + by }, steps: 1 })
    if (turned.length < 2 || rule === 'before-and-after') return
    const own = worthOf(rule, turned[player])
    const other = worthOf(rule, turned[(player + 1) % turned.length])
    sink({
      kind: 'answered',
      player,
      item: { op: 'compare', a: own, b: other, ask: 'more', answer: Math.max(own, other) },
      steps: 0,
    })
  },
})

const level = (
  id: string,
  title: string,
  to: number,
  shown: 'pictures' | 'numerals',
  params: z.input<typeof paramsSchema>,
) => levelOf<Params>(id, title, to, shown, paramsSchema.parse(params))

const kindOf = { numerals: 'number cards', 'ten-frames': 'picture cards', dominoes: 'dominoes' } as const

/** The cards of a child as they lie: a domino shows both numbers. */
function facesOf(show: Params['show'], cards: readonly number[]): Face[] {
  if (show === 'dominoes' && cards.length === 2 && Math.max(...cards) <= 9)
    return [{ kind: 'domino', a: cards[0], b: cards[1] }]
  if (show === 'ten-frames') return cards.map((n) => ({ kind: 'frame', n, cells: n > 10 ? 20 : 10 }))
  return cards.map(numeral)
}

const table: Table<Params, CompareState<Params>, 'answer'> = {
  layout: (_params, players) => onTable(compareSpots(players, [80, 34])),
  things: ({ params, players, turned, waiting, won }) => [
    ...turned.flatMap((cards, player) =>
      facesOf(params.show, cards).map((face, i) =>
        lie(`card-${player}-${i}`, kindOf[params.show], `open-${player}`, face, { owner: player }),
      ),
    ),
    ...pilesOf(kindOf[params.show], players, waiting, won),
  ],
  say: ({ turn }) => ({ verb: 'answer', numbers: [], spots: [`open-${turn}`] }),
}

export const biggerHaul = defineGame({
  ...engine,
  id: 'bigger-haul',
  title: 'Bigger Haul',
  summary: 'Each turns two cards; the larger total takes them all.',
  section: 'order',
  params: paramsSchema,
  levels: [
    level('small-dominoes', 'dominoes to 3 and 3', 6, 'pictures', { high: 3, show: 'dominoes' }),
    level('dominoes', 'dominoes to 6 and 6', 12, 'pictures', { high: 6, show: 'dominoes' }),
    level('before-and-after', 'before and after to 10', 11, 'numerals', {
      high: 10,
      rule: 'before-and-after',
    }),
    level('frames', 'ten frames to 10 and 10', 20, 'pictures', { high: 10, show: 'ten-frames' }),
    level('numerals', 'numbers to 10 and 10', 20, 'numerals', { high: 10 }),
    level('difference', 'smallest difference to 10', 10, 'numerals', { high: 10, rule: 'difference' }),
  ],
  usual: 'dominoes',
  players: { min: 2, max: 4, typical: 2 },
  goes: 'call',
  interaction: 'contest',
  focus: ({ rule }) => (rule === 'total' ? ['add'] : rule === 'difference' ? ['subtract'] : ['neighbour']),
  variants: (params) => fewer(params, 'rounds', 'fewer-rounds', 4),
  table,
  scores: ({ won }) => won,
  materials: ({ high, show }) => [
    show === 'dominoes'
      ? perSet({ kind: 'dominoes', to: high })
      : show === 'ten-frames'
        ? perSet({ kind: 'picture cards', shows: 'ten frames', from: 1, to: high, copies: 4 })
        : perSet({ kind: 'number cards', from: 1, to: high, copies: 4 }),
  ],
  room: { ...quietTable, noise: 2, alone: false, together: false, win: true },
})
