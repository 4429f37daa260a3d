import { seededChance } from '../../chance/chance'
import { itemKey, slips, type PracticeItem, type SlipReason } from '../../skills'
import { worthAsking } from './trying'
import { asks, auto, movesOf, newRound } from '../engine/round'

/** What an adult marks of a go. */
type SeenAs = 'own' | 'help' | 'notYet'

/** A child's go as an adult sees it: the question, what was said, what should be marked, and why. */
export interface Seen {
  item: PracticeItem
  /** What the child said, one after another. */
  said: readonly number[]
  judged: SeenAs
  /** Why the first answer was wrong; null: it wasn't. */
  reason: SlipReason | null
  /** Reasons to choose from, the true one among them; empty where nothing was wrong. */
  reasons: readonly SlipReason[]
}

/** Reasons that stand beside the true one. */
const others: readonly SlipReason[] = [
  'counted-own',
  'one-missed',
  'added',
  'took-away',
  'digits-turned',
  'other-way',
]

/** Questions whose words say all that is needed to judge an answer: nothing on the table has to be looked at. */
const toldInWords: ReadonlySet<PracticeItem['op']> = new Set([
  'add',
  'subtract',
  'missing',
  'multiply',
  'factor',
  'compare',
  'neighbour',
  'tens',
  'say',
  'skip',
])

/**
 * Goes to practise marking on: right at once, right after a look again, or not yet; as many of each as can be,
 * in an order of chance. From the questions of a round, each once.
 * @returns fewer than `count` where the level asks fewer different questions
 */
export function lesson(game: string, params: unknown, players: number, seed: number, count = 10): Seen[] {
  const items: PracticeItem[] = []
  const known = new Set<string>()
  for (
    let round = newRound(game, params, players, seed), step = 0;
    items.length < count && step < 400;
    step++
  ) {
    if (round.phase === 'over') round = newRound(game, params, players, seed + step)
    if (round.phase === 'choose') {
      const { round: next } = auto(round, 'novice')
      for (const item of worthAsking(asks(round, movesOf(round)[0] ?? null)))
        if (
          items.length < count &&
          toldInWords.has(item.op) &&
          slips(item).length > 0 &&
          !known.has(itemKey(item))
        ) {
          known.add(itemKey(item))
          items.push(item)
        }
      round = next
    } else round = auto(round, 'novice').round
  }
  const chance = seededChance(seed)
  const kinds: SeenAs[] = ['own', 'help', 'notYet']
  return items.map((item, i) => {
    const judged = kinds[(i + chance.int(0, 1)) % 3]
    const wrong = slips(item)
    const { answer, reason } = wrong[chance.int(0, Math.min(2, wrong.length - 1))]
    if (judged === 'own') return { item, said: [item.answer], judged, reason: null, reasons: [] }
    const told = [reason, ...[...wrong.map((slip) => slip.reason), ...others].filter((one) => one !== reason)]
    const reasons = [...new Set(told)].slice(0, 3)
    // The true one does not always stand first.
    const turn = chance.int(0, reasons.length - 1)
    return {
      item,
      said: judged === 'help' ? [answer, item.answer] : [answer, answer],
      judged,
      reason,
      reasons: [...reasons.slice(turn), ...reasons.slice(0, turn)],
    }
  })
}
