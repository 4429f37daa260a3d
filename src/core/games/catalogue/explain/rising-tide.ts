import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import type { PracticeItem } from '../../../skills'
import { question, questionKindIds, questionKinds, type QuestionKindId } from '../../families/questions'
import { defineGame, levelOf, nextTurn, quietTable } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { fewer } from '../../engine/source'
import { perPlayer } from '../../engine/material'
import { lie, packSpots, packThings, asking } from '../../families/on-table'
import { beside, onTable, place, type Table } from '../../../table'

const paramsSchema = z.object({
  kind: z.enum(questionKindIds),
  rounds: z.number().int().min(1).max(8).default(5),
  questions: z.number().int().min(4).max(20).default(10),
  /** Misses in a round that still let you go on. */
  misses: z.number().int().min(0).max(5).default(2),
  /** Answers in ten that are missed: a guess for planning. */
  missedInTen: z.number().int().min(0).max(9).default(1),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  round: number
  asked: number
  missed: number
  question: PracticeItem | null
  miss: boolean
}

/** Against the clock there is no time to work a fact out: it is known or missed. */
const byHeart = (item: PracticeItem): PracticeItem =>
  item.op === 'add' || item.op === 'subtract' || item.op === 'missing' ? { ...item, known: true } : item

function roll(state: State, chance: Chance, sink?: Sink): State {
  const { params, players, turn, ended, round, asked, missed } = state
  const next = byHeart(question(params.kind, chance))
  sink?.({ kind: 'called', player: turn, words: `round ${round + 1}` })
  const miss = chance.int(1, 10) <= params.missedInTen
  return { params, players, turn, ended, round, asked, missed, question: next, miss }
}

function play(state: State, _move: unknown, sink?: Sink): State {
  const { params, players, round, question: open, miss, turn: player } = state
  if (open) sink?.({ kind: 'answered', player, item: open, steps: 0 })
  const missed = state.missed + (miss ? 1 : 0)
  const asked = state.asked + 1
  const over = missed > params.misses
  const up = asked === params.questions
  return {
    params,
    players,
    turn: nextTurn(state),
    ended: over || (up && round + 1 === params.rounds),
    round: up ? round + 1 : round,
    asked: up ? 0 : asked,
    missed: up ? 0 : missed,
    question: null,
    miss,
  }
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
  layout: () => onTable(beside(12, packSpots([80, 40]), place('timer', [30, 30], { label: 'timer' }))),
  things: ({ question: open }) => [
    ...packThings('question cards', open ? asking(open) : undefined),
    lie('timer', 'timer', 'timer'),
  ],
  say: () => ({ verb: 'answer', numbers: [], spots: [] }),
}

export const risingTide = defineGame<Params, State, 'answer', null>({
  id: 'rising-tide',
  title: 'Rising Tide',
  summary: 'Ten questions a round, each round faster; two misses are allowed. Alone, against your own best.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('bonds-10'),
    level('doubles'),
    level('make-ten'),
    level('facts-20'),
    level('times-2-5-10'),
    level('times-6-9'),
  ],
  players: { min: 1, max: 1, typical: 1 },
  goes: 'parallel',
  interaction: 'shared',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    round: 0,
    asked: 0,
    missed: 0,
    question: null,
    miss: false,
  }),
  roll,
  moves: () => ['answer'],
  play,
  view: () => null,
  lumpKey: ({ round, asked, missed }) => `${round} ${asked} ${missed}`,
  variants: (params): Variant<Params>[] => fewer(params, 'rounds', 'fewer-rounds', 1),
  table,
  materials: ({ kind, rounds, questions }) => [
    perPlayer({ kind: 'question cards', about: questionKinds[kind].title }, rounds * questions),
    perPlayer({ kind: 'timer' }),
  ],
  room: { ...quietTable, noise: 0, together: false, timed: true },
})
