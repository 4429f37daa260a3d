import { z } from 'zod'
import { sentenceOf } from '../skills'
import {
  countsFor,
  question,
  questionKindIds,
  questionKinds,
  type QuestionKindId,
} from './families/questions'
import { defineGame, levelOf, nextTurn, quietTable } from './game'
import type { GameState, Variant } from './game'
import type { PracticeItem } from '../skills'
import { fewer } from './source'

const paramsSchema = z.object({
  kind: z.enum(questionKindIds),
  /** Statements beside each other, one of them untrue. */
  statements: z.number().int().min(2).max(4).default(3),
  rounds: z.number().int().min(2).max(20).default(6),
})

type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** The true facts behind the statements. */
  facts: readonly PracticeItem[]
  /** Which of them is stated wrongly. */
  leaky: number
  done: number
}

const level = (kind: QuestionKindId) =>
  levelOf<Params>(kind, questionKinds[kind].title, questionKinds[kind].to, 'numerals', {
    kind,
    statements: 3,
    rounds: 6,
  })

export const leakyClaim = defineGame<Params, State, 'mend', null>({
  id: 'leaky-claim',
  title: 'Leaky Claim',
  summary: 'Three statements, one of them untrue: find it and mend it.',
  section: 'explain',
  params: paramsSchema,
  levels: [
    level('count-on-10'),
    level('bonds-10'),
    level('subtract-20'),
    level('more-or-less-100'),
    level('times-3-4'),
  ],
  players: { min: 1, max: 6, typical: 3 },
  goes: 'alternate',
  interaction: 'shared',
  setup: (params, players) => ({
    params,
    players,
    turn: 0,
    ended: false,
    winner: null,
    facts: [],
    leaky: 0,
    done: 0,
  }),
  roll({ params, players, turn, ended, winner, done }, chance, sink) {
    const { kind, statements } = params
    const facts: PracticeItem[] = []
    for (let i = 0; i < statements; i++) facts.push(question(kind, chance))
    const leaky = chance.int(0, statements - 1)
    sink?.({ kind: 'called', player: turn, words: facts.map(sentenceOf).join('; ') })
    return { params, players, turn, ended, winner, facts, leaky, done }
  },
  moves: () => ['mend'],
  play(state, _move, sink) {
    const { params, players, winner, facts, leaky, turn: player } = state
    if (sink) {
      for (const item of facts) sink({ kind: 'answered', player, item, steps: countsFor(item) })
      sink({ kind: 'explained', player })
      sink({ kind: 'wrote', player, what: 'sentence', text: sentenceOf(facts[leaky]) })
    }
    const done = state.done + 1
    const ended = done >= params.rounds
    return { params, players, turn: nextTurn(state), ended, winner, facts, leaky, done }
  },
  view: () => null,
  tooMany: ({ statements }) => statements > 2,
  sameLawEachGo: ({ rounds }) => ({ goes: rounds, pack: null }),
  variants: (params): Variant<Params>[] => fewer(params, 'rounds', 'fewer-rounds', 3),
  materials: ({ kind, rounds }) => [
    { item: `claim strips, ${questionKinds[kind].title}`, perSet: rounds },
    { item: 'mini whiteboard with pen', perPlayer: 1 },
  ],
  texts: {
    rules: [
      'Read the statements.',
      'Which one leaks? Talk about it.',
      'Say how you know it cannot be true.',
      'Mend it and write it down.',
      'Take the next strip.',
    ],
    lookFors: [
      'Checks each statement, or goes by feeling?',
      'Gives a reason, not only the answer?',
      'Mends it in more than one way?',
    ],
    misconceptions: [
      {
        seen: 'Says it is wrong because it looks odd.',
        ask: 'How could you show somebody that it is not true?',
      },
      { seen: 'Changes a true one to fit.', ask: 'Let us check this one with counters.' },
    ],
    talk: 'How do you know it cannot be true?',
    cautions: [],
    homeVersion: 'Say three sums at supper, one of them wrong.',
    finishEarly: 'Write three statements with one leak for another group.',
  },
  room: { ...quietTable, where: 'carpet', whole: true },
})
