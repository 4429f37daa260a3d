import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import type { PracticeItem } from '../../../skills'
import {
  countsFor,
  question,
  questionKindIds,
  questionKinds,
  type QuestionKindId,
} from '../../families/questions'
import { defineGame, levelOf, nextTurn } from '../../engine/game'
import type { GameState, Sink } from '../../engine/game'
import { perSet } from '../../engine/material'
import { packSpots, packThings, asking } from '../../families/on-table'
import { onTable, type Table } from '../../../table'

const paramsSchema = z.object({
  kind: z.enum(questionKindIds),
  /** Answers in ten that are missed at first: a guess for planning. */
  missedInTen: z.number().int().min(0).max(9).default(2),
  /** Missed: to the back of the line and once more, or said together at once. */
  missed: z.enum(['back-of-line', 'together']).default('back-of-line'),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** Children who have not been asked yet. */
  waiting: number
  /** Children at the back of the line, who say theirs together and go on. */
  back: number
  question: PracticeItem | null
  miss: boolean
}

function roll(state: State, chance: Chance, sink?: Sink): State {
  const { kind, missedInTen } = state.params
  const asked = question(kind, chance)
  sink?.({ kind: 'called', player: state.turn, words: 'card' })
  return { ...state, question: asked, miss: state.waiting > 0 && chance.int(1, 10) <= missedInTen }
}

function play(state: State, _move: unknown, sink?: Sink): State {
  const { params, question: open, miss, turn: player } = state
  if (open) sink?.({ kind: 'answered', player, item: open, steps: countsFor(open) })
  if (miss && params.missed === 'together' && open) sink?.({ kind: 'answered', player, item: open, steps: 0 })
  const first = state.waiting > 0
  const waiting = first ? state.waiting - 1 : 0
  const back = state.back + (miss && params.missed === 'back-of-line' ? 1 : 0) - (first ? 0 : 1)
  return { ...state, question: null, waiting, back, ended: waiting + back === 0, turn: nextTurn(state) }
}

const level = (kind: QuestionKindId) =>
  levelOf<Params>(
    kind,
    questionKinds[kind].title,
    questionKinds[kind].to,
    'numerals',
    paramsSchema.parse({ kind }),
  )

const table: Table<Params, State, 'answer'> = {
  layout: () => onTable(packSpots([80, 44])),
  things: ({ question: open }) => packThings('question cards', open ? asking(open) : undefined),
  say: () => ({ verb: 'answer', numbers: [], spots: [] }),
}

export const doorCards = defineGame<Params, State, 'answer', null>({
  id: 'door-cards',
  title: 'Door Cards',
  summary: 'One fact for each child on the way out of the door.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('facts-5'),
    level('parts-of-5'),
    level('bonds-10'),
    level('facts-10'),
    level('doubles'),
    level('halves'),
    level('tens-and-ones'),
    level('times-2-5-10'),
  ],
  players: { min: 1, max: 34, typical: 24 },
  goes: 'alternate',
  interaction: 'contest',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    waiting: players,
    back: 0,
    question: null,
    miss: false,
  }),
  roll,
  moves: () => ['answer'],
  play,
  view: () => null,
  lumpKey: ({ waiting, back }) => `${waiting} ${back}`,
  variants: (params) =>
    params.missed === 'back-of-line'
      ? [{ change: 'fewer-rounds', params: { ...params, missed: 'together' } }]
      : [],
  table,
  materials: ({ kind }) => [perSet({ kind: 'question cards', about: questionKinds[kind].title })],
  room: {
    noise: 0,
    floor: 0,
    where: 'floor',
    adult: true,
    alone: false,
    together: true,
    win: false,
    whole: true,
  },
})
