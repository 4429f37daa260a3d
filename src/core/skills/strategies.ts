import type { StepPlace } from './index'
import type { StrandId } from './ladders/strand'

/** How a child finds an answer, from counting everything to knowing it. */
export const strategies = [
  { id: 'count-all', title: 'counts all', heard: 'One, two, three … from the first object.' },
  { id: 'count-on-first', title: 'counts on from the first', heard: 'Starts from the number said first.' },
  { id: 'count-on-larger', title: 'counts on from the larger', heard: 'Turns 2 + 7 into 7, eight, nine.' },
  { id: 'skip-or-double', title: 'skips or doubles', heard: 'Two, four, six; or “double four”.' },
  { id: 'derived', title: 'uses a fact it knows', heard: '6 + 7 is double six and one; or over the ten.' },
  { id: 'known', title: 'knows it', heard: 'Says it at once and is sure.' },
] as const

type StrategyId = (typeof strategies)[number]['id']

/** The first strategy that is enough for a step, and the one that makes it easy. Common practice, no source. */
const usual: Partial<Record<StrandId, Record<string, readonly [StrategyId, StrategyId]>>> = {
  add: {
    'count-all-5': ['count-all', 'known'],
    'take-away-5': ['count-all', 'known'],
    'count-all-10': ['count-all', 'count-on-first'],
    'parts-of-5': ['count-all', 'known'],
    'take-away-10': ['count-all', 'count-on-first'],
    'count-on-10': ['count-on-first', 'count-on-larger'],
    'missing-part-10': ['count-on-first', 'derived'],
    'complements-10': ['count-on-first', 'known'],
    'count-on-20': ['count-on-first', 'count-on-larger'],
    'make-ten-20': ['count-on-larger', 'derived'],
    'subtract-20': ['count-on-first', 'derived'],
    'tens-ones-100': ['count-on-larger', 'derived'],
    'crossing-100': ['count-on-larger', 'derived'],
    'complement-100': ['count-on-first', 'derived'],
  },
  facts: {
    'x2-10-5': ['skip-or-double', 'known'],
    'x3-4': ['skip-or-double', 'derived'],
    'x6-9': ['skip-or-double', 'derived'],
    'missing-factor': ['skip-or-double', 'known'],
  },
}

/** The strategies to listen for at a step, in their order; empty where the step is not about working out. */
export function strategiesFor({ strand, step }: StepPlace): (typeof strategies)[number][] {
  const range = usual[strand]?.[step]
  if (!range) return []
  const at = (id: StrategyId) => strategies.findIndex((strategy) => strategy.id === id)
  return strategies.slice(at(range[0]), at(range[1]) + 1)
}
