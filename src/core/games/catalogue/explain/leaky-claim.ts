import { z } from 'zod'
import type { Chance } from '../../../chance/chance'
import { itemKey, sentenceOf } from '../../../skills/item'
import { slips } from '../../../skills/slips'
import {
  countsFor,
  question,
  questionKindIds,
  questionKinds,
  type QuestionKindId,
} from '../../families/questions'
import { defineGame, levelOf, nextTurn, quietTable } from '../../engine/game'
import type { GameState, Variant } from '../../engine/game'
import type { PracticeItem } from '../../../skills'
import { fewer, range } from '../../engine/source'
import { perPlayer, perSet } from '../../engine/material'
import { lie } from '../../families/on-table'
import { grid, onTable, words, type Table } from '../../../table'

const paramsSchema = z.object({
  kind: z.enum(questionKindIds),
  /** Statements beside each other, one of them untrue. */
  statements: z.number().int().min(2).max(4).default(3),
  rounds: z.number().int().min(2).max(20).default(6),
})

export type Params = z.infer<typeof paramsSchema>

interface State extends GameState {
  params: Params
  /** The true facts behind the statements. */
  facts: readonly PracticeItem[]
  /** Which of them is stated wrongly. */
  leaky: number
  /** The untrue answer that stands on it. */
  stated: number
  /** It has been found and put right. */
  mended: boolean
  done: number
}

const level = (kind: QuestionKindId) =>
  levelOf<Params>(kind, questionKinds[kind].title, questionKinds[kind].to, 'numerals', {
    kind,
    statements: 3,
    rounds: 6,
  })

/** A fact as it stands on a strip: words where a sign would be read over. */
function claimOf(fact: PracticeItem): string {
  return fact.op === 'compare'
    ? `${fact.answer} is more than ${fact.a === fact.answer ? fact.b : fact.a}`
    : sentenceOf(fact)
}

/** No statement stands twice on a strip: two alike, one of them untrue, would give the slip away. */
function differentFacts(kind: QuestionKindId, count: number, chance: Chance): PracticeItem[] {
  const facts = new Map<string, PracticeItem>()
  while (facts.size < count) {
    const fact = question(kind, chance)
    facts.set(itemKey(fact), fact)
  }
  return [...facts.values()]
}

const table: Table<Params, State, 'mend'> = {
  layout: ({ statements }) =>
    onTable(
      grid(
        range(0, statements - 1).map((i) => ({ id: `claim-${i}`, shape: 'area' })),
        1,
        [110, 26],
        4,
      ),
    ),
  // The strip with the slip is mended when it is found: until the next strips come all are true.
  things: ({ facts, leaky, stated, mended }) =>
    facts.map((fact, i) =>
      lie(
        `claim-${i}`,
        'claim strips',
        `claim-${i}`,
        words(i === leaky && !mended ? claimOf({ ...fact, answer: stated } as PracticeItem) : claimOf(fact)),
      ),
    ),
  say: ({ leaky }) => ({ verb: 'mend', numbers: [], spots: [`claim-${leaky}`] }),
}

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
    stated: 0,
    mended: true,
    done: 0,
  }),
  roll({ params, players, turn, ended, winner, done }, chance, sink) {
    const { kind, statements } = params
    const facts = differentFacts(kind, statements, chance)
    const leaky = chance.int(0, statements - 1)
    const wrong = slips(facts[leaky])
    const stated = wrong[chance.int(0, wrong.length - 1)].answer
    sink?.({ kind: 'called', player: turn, words: facts.map(sentenceOf).join('; ') })
    return { params, players, turn, ended, winner, facts, leaky, stated, mended: false, done }
  },
  moves: () => ['mend'],
  play(state, _move, sink) {
    const { params, players, winner, facts, leaky, stated, turn: player } = state
    if (sink) {
      for (const item of facts) sink({ kind: 'answered', player, item, steps: countsFor(item) })
      sink({ kind: 'explained', player })
      sink({ kind: 'wrote', player, what: 'sentence', text: sentenceOf(facts[leaky]) })
    }
    const done = state.done + 1
    const ended = done >= params.rounds
    return { params, players, turn: nextTurn(state), ended, winner, facts, leaky, stated, mended: true, done }
  },
  view: () => null,
  tooMany: ({ statements }) => statements > 2,
  sameLawEachGo: ({ rounds }) => ({ goes: rounds, pack: null }),
  variants: (params): Variant<Params>[] => fewer(params, 'rounds', 'fewer-rounds', 3),
  table,
  materials: ({ kind, rounds }) => [
    perSet({ kind: 'claim strips', about: questionKinds[kind].title }, rounds),
    perPlayer({ kind: 'whiteboard' }),
  ],
  room: { ...quietTable, where: 'carpet', whole: true },
})
