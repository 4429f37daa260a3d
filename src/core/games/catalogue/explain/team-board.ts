import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import type { PracticeItem } from '../../../skills'
import {
  countsFor,
  questionKindIds,
  questionKinds,
  questionsInOrder,
  type QuestionKindId,
} from '../../families/questions'
import { bestOf, defineGame, levelOf, nextTurn, replaced } from '../../engine/game'
import type { GameState, Sink, Variant } from '../../engine/game'
import { fewer, range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { grid, onTable, stacked, numeral, words, type Table } from '../../../table'

const paramsSchema = z.object({
  /** A column for each, easy to hard within it: made from the class's own levels. */
  columns: z.array(z.enum(questionKindIds)).min(2).max(5),
  /** Questions in a column, worth 1, 2, 3 … */
  rows: z.number().int().min(2).max(5).default(3),
  /** Answers in ten that are right in the first row; one fewer in each row on: a guess for planning. */
  rightInTen: z.number().int().min(3).max(10).default(9),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  open: readonly boolean[]
  scores: readonly number[]
  /** For each column a question for each row, easy to hard, and the luck of the answer in tenths. */
  questions: readonly (readonly PracticeItem[])[]
  luck: number
}

interface View {
  params: Params
}

const places = ({ columns, rows }: Params) => columns.length * rows
const rowOf = ({ columns }: Params, place: number) => Math.floor(place / columns.length)

function roll({ params, players, turn, ended, winner, open, scores }: State, chance: Chance): State {
  const questions = params.columns.map((kind) => questionsInOrder(kind, params.rows, chance))
  return { params, players, turn, ended, winner, open, scores, questions, luck: chance.int(1, 10) }
}

function play(state: State, place: number | null, sink?: Sink): State {
  if (place === null) return { ...state, turn: nextTurn(state) }
  const { params, players, open, scores, questions, luck, turn: player } = state
  const inColumn = questions[place % params.columns.length]
  const item = inColumn[Math.min(rowOf(params, place), inColumn.length - 1)]
  sink?.({ kind: 'called', player, words: 'question' })
  sink?.({ kind: 'answered', player, item, steps: countsFor(item) })
  sink?.({ kind: 'explained', player })
  const right = luck <= params.rightInTen - rowOf(params, place)
  const points = right ? rowOf(params, place) + 1 : 0
  const now = replaced(open, place, false)
  const after = replaced(scores, player, scores[player] + points)
  const ended = !now.includes(true)
  const most = Math.max(...after)
  const winner = ended && after.indexOf(most) === after.lastIndexOf(most) ? after.indexOf(most) : null
  const turn = nextTurn(state)
  return { params, players, turn, ended, winner, open: now, scores: after, questions: [], luck }
}

const level = (id: string, title: string, columns: QuestionKindId[], rows = 3) =>
  levelOf<Params>(id, title, Math.max(...columns.map((kind) => questionKinds[kind].to)), 'numerals', {
    columns,
    rows,
    rightInTen: 9,
  })

const cellId = (place: number) => `cell-${place}`

const table: Table<Params, State, number> = {
  layout: (params) =>
    onTable(
      stacked(
        2,
        grid(
          params.columns.map((column, i) => ({
            id: `column-${i}`,
            shape: 'area',
            face: words(questionKinds[column].title),
          })),
          params.columns.length,
          [44, 14],
        ),
        grid(
          range(0, places(params) - 1).map((place) => ({
            id: cellId(place),
            shape: 'square',
            tone: 'quiet',
          })),
          params.columns.length,
          [44, 22],
        ),
      ),
    ),
  // What can still be chosen shows its points; a question is read out when it is chosen.
  things: ({ params, open }) =>
    open.flatMap((is, place) =>
      is
        ? [lie(`question-${place}`, 'question cards', cellId(place), numeral(rowOf(params, place) + 1))]
        : [],
    ),
  say: (_state, place) => ({ verb: 'choose', numbers: [], spots: [cellId(place)] }),
}

export const teamBoard = defineGame<Params, State, number, View>({
  id: 'team-board',
  title: 'Team Board',
  summary: 'Teams choose a question from a wall: which column, and how hard?',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('to-10', 'to 10', ['parts-of-5', 'count-on-10', 'take-away-10', 'bonds-10']),
    level('to-20', 'to 20', ['doubles', 'make-ten', 'subtract-20']),
    level('sharing', 'sharing and halves', ['sharing', 'equal-groups', 'halves', 'quarters']),
    level('to-100', 'to 100', ['tens-and-ones', 'gap-100', 'more-or-less-100']),
    level('facts', 'times tables', ['times-2-5-10', 'times-3-4', 'times-6-9', 'factors']),
  ],
  players: { min: 2, max: 6, typical: 3 },
  goes: 'alternate',
  interaction: 'contest',
  marked: ({ columns }) => (columns.includes('make-ten') ? { strand: 'add', step: 'make-ten-20' } : null),
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    open: Array<boolean>(places(params)).fill(true),
    scores: Array<number>(players).fill(0),
    questions: [],
    luck: 0,
  }),
  roll,
  moves: ({ params, open }) => range(0, places(params) - 1).filter((place) => open[place]),
  play,
  view: ({ params }) => ({ params }),
  // Points times the chance of getting them.
  planner: ({ params }, options) =>
    bestOf(options, (place) => (rowOf(params, place) + 1) * (params.rightInTen - rowOf(params, place))),
  variants: (params): Variant<Params>[] => fewer(params, 'rows', 'fewer-rounds', 2),
  table,
  scores: ({ scores }) => scores,
  materials: (params) => [
    perSet(
      {
        kind: 'question cards',
        about: params.columns.map((column) => questionKinds[column].title).join(', '),
      },
      places(params),
    ),
    perPlayer({ kind: 'whiteboard' }),
  ],
  room: {
    noise: 2,
    floor: 0,
    where: 'carpet',
    adult: true,
    alone: false,
    together: true,
    win: true,
    whole: true,
  },
})
