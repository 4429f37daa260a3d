import { z } from 'zod'
import type { PracticeItem } from '../../../skills'
import { defineGame, levelOf, quietTable } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { beside, circle, hundredGrid, onTable, numeral, type Table } from '../../../table'

const paramsSchema = z.object({
  multiple: z.number().int().min(2).max(12),
  to: z.number().int().min(10).max(200),
  /** Numbers that contain the digit are called too; for multiples below ten. */
  digitRule: z.boolean().default(true),
  children: z.number().int().min(2).max(34).default(6),
  /** A slip: start again together, or carry on. */
  slip: z.enum(['again', 'carry-on']).default('carry-on'),
  /** Call numbers in a hundred at which somebody slips: a guess for planning. */
  slips: z.number().int().min(0).max(20).default(0),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** The number said last. */
  said: number
  /** 1 or −1: which way the circle goes. */
  direction: number
  slipped: boolean
}

function isCall({ multiple, digitRule }: Params, number: number): boolean {
  const digit = digitRule && multiple < 10 && String(number).includes(String(multiple))
  return number % multiple === 0 || digit
}

/** Every call number, ascending. */
const callsOf = (params: Params) => range(1, params.to).filter((number) => isCall(params, number))

function itemAt(params: Params, number: number): PracticeItem {
  if (number % params.multiple === 0) return { op: 'skip', by: params.multiple, answer: number }
  return isCall(params, number)
    ? { op: 'numeral', answer: number }
    : { op: 'say', from: number - 1, answer: number }
}

/** Who says what in a circle of this many children: the numbers of each child in turn. */
function whoSays(params: Params): number[][] {
  const said: number[][] = Array.from({ length: params.children }, () => [])
  let child = 0
  let direction = 1
  for (let number = 1; number <= params.to; number++) {
    said[child].push(number)
    if (isCall(params, number)) direction = -direction
    child = (child + direction + params.children) % params.children
  }
  return said
}

function play(state: State, _move: unknown, sink?: Sink): State {
  const { params, said, direction, turn: player, players, slipped } = state
  const number = said + 1
  const item = itemAt(params, number)
  sink?.({ kind: 'answered', player, item, steps: 1 })
  const turned = isCall(params, number) ? -direction : direction
  const now = slipped && params.slip === 'again' ? 0 : number
  return {
    ...state,
    said: now,
    direction: turned,
    slipped: false,
    ended: now >= params.to,
    turn: (player + turned + players) % players,
  }
}

const level = (multiple: number, to: number) =>
  levelOf<Params>(`call-${multiple}`, `calling ${multiple}s to ${to}`, to, 'numerals', {
    multiple,
    to,
    digitRule: multiple < 10,
    children: 6,
    slip: 'carry-on',
    slips: 0,
  })

const numberId = (n: number) => `number-${n}`

const childId = (child: number) => `child-${child}`

const table: Table<Params, State, 'say'> = {
  layout: ({ to }, players) =>
    onTable(
      beside(
        14,
        circle(
          range(0, players - 1).map((child) => ({
            id: childId(child),
            shape: 'circle',
            face: numeral(child + 1),
          })),
        ),
        hundredGrid(Math.max(100, Math.ceil(to / 10) * 10), (n) => ({
          id: numberId(n),
          shape: 'square',
          face: numeral(n),
        })),
      ),
    ),
  // What was said last; the grid is there to look at.
  things: ({ said }) => (said > 0 ? [lie('said', 'hundred grid', numberId(said), { kind: 'shade' })] : []),
  // The call word, and the turn, are told after the child has spoken.
  say: ({ params, said, turn }) => ({
    verb: isCall(params, said + 1) ? 'call' : 'answer',
    numbers: [said + 1],
    spots: [numberId(said + 1), childId(turn)],
  }),
}

export const switchback = defineGame<Params, State, 'say', null>({
  id: 'switchback',
  title: 'Switchback',
  summary: 'Count round the circle; at every multiple a word is called and the circle turns round.',
  section: 'explain',
  params: paramsSchema,
  levels: [level(10, 50), level(5, 50), level(2, 20), level(3, 40), level(4, 40), level(7, 100)],
  players: { min: 2, max: 34, typical: 6 },
  goes: 'alternate',
  interaction: 'shared',
  focus: () => ['skip'],
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    said: 0,
    direction: 1,
    slipped: false,
  }),
  roll(state, chance) {
    const { params, said } = state
    if (params.slips === 0 || !isCall(params, said + 1)) return state
    return { ...state, slipped: chance.int(1, 100) <= params.slips }
  },
  moves: () => ['say'],
  play,
  view: () => null,
  lumpKey: ({ said }) => String(said),
  figures: (params) => {
    const calls = callsOf(params)
    return {
      calls,
      /** Call numbers right after a call number: two turns follow at once. */
      turnsTogether: calls.filter((number, i) => calls[i - 1] === number - 1),
      whoSays: whoSays(params),
    }
  },
  variants: (params): Variant<Params>[] => [
    ...fewer(params, 'to', 'shorter-track', 10),
    ...(params.slip === 'again' && params.slips > 0
      ? [{ change: 'let-passing-count' as const, params: { ...params, slip: 'carry-on' as const } }]
      : []),
  ],
  table,
  materials: ({ to }) => [perSet({ kind: 'hundred grid', to: Math.max(100, to) })],
  room: { ...quietTable, noise: 2, floor: 1, where: 'floor', alone: false, whole: true },
})
