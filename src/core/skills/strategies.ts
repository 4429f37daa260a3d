import type { StepPlace } from './index'
import type { StrandId } from './ladders/strand'

interface Strategy {
  id: string
  title: string
  heard: string
}

/** How a child finds an answer, from counting everything to knowing it; a way of its own for taking away. */
const ways = {
  adding: [
    { id: 'count-all', title: 'counts all', heard: 'One, two, three … from the first object.' },
    { id: 'count-on-first', title: 'counts on from the first', heard: 'Starts from the number said first.' },
    { id: 'count-on-larger', title: 'counts on from the larger', heard: 'Turns 2 + 7 into 7, eight, nine.' },
    { id: 'derived', title: 'uses a fact it knows', heard: '6 + 7 is double six and one; or over the ten.' },
    { id: 'known', title: 'knows it', heard: 'Says it at once and is sure.' },
  ],
  'taking-away': [
    {
      id: 'count-what-is-left',
      title: 'takes away and counts what is left',
      heard: 'Counts out, removes, counts again.',
    },
    { id: 'count-back', title: 'counts back', heard: '9 take away 3: “eight, seven, six”.' },
    {
      id: 'count-up',
      title: 'counts up from the smaller',
      heard: '12 take away 9: “ten, eleven, twelve: three”.',
    },
    { id: 'bridge', title: 'goes through the ten', heard: '15 take away 6: “five to ten, one more: nine”.' },
    { id: 'known', title: 'knows it', heard: 'Says it at once, from the adding fact.' },
  ],
  missing: [
    {
      id: 'try-and-check',
      title: 'tries and checks',
      heard: 'Tries a number, counts the whole, tries another.',
    },
    {
      id: 'count-up',
      title: 'counts up to the whole',
      heard: '3 to 8: “four, five, six, seven, eight: five”.',
    },
    { id: 'bridge', title: 'goes through the next ten', heard: '27 to 46: “three, ten, six”.' },
    { id: 'known', title: 'knows it', heard: 'Says what goes with it at once.' },
  ],
  times: [
    { id: 'count-groups', title: 'counts in steps', heard: 'Four, eight, twelve … on the fingers.' },
    { id: 'derived', title: 'uses a fact it knows', heard: '6 × 7 is 5 × 7 and 7 more; or a double.' },
    { id: 'known', title: 'knows it', heard: 'Says it at once and is sure.' },
  ],
} as const satisfies Record<string, readonly Strategy[]>

type Way = keyof typeof ways

/** The first strategy that is enough for a step, and the one that makes it easy. Common practice, no source. */
const usual: Partial<Record<StrandId, Record<string, readonly [Way, string, string]>>> = {
  add: {
    'count-all-5': ['adding', 'count-all', 'known'],
    'take-away-5': ['taking-away', 'count-what-is-left', 'known'],
    'count-all-10': ['adding', 'count-all', 'count-on-first'],
    'parts-of-5': ['missing', 'try-and-check', 'known'],
    'take-away-10': ['taking-away', 'count-what-is-left', 'count-up'],
    'count-on-10': ['adding', 'count-on-first', 'count-on-larger'],
    'doubles-10': ['adding', 'count-all', 'known'],
    'missing-part-10': ['missing', 'try-and-check', 'known'],
    'complements-10': ['missing', 'count-up', 'known'],
    'difference-10': ['taking-away', 'count-up', 'known'],
    'count-on-20': ['adding', 'count-on-first', 'count-on-larger'],
    'doubles-20': ['adding', 'count-on-larger', 'known'],
    'make-ten-20': ['adding', 'count-on-larger', 'derived'],
    'subtract-teens': ['taking-away', 'count-back', 'known'],
    'subtract-20': ['taking-away', 'count-back', 'bridge'],
    'whole-tens-100': ['adding', 'count-on-larger', 'known'],
    'tens-ones-100': ['adding', 'count-on-larger', 'derived'],
    'crossing-100': ['adding', 'count-on-larger', 'derived'],
    'complement-100': ['missing', 'count-up', 'bridge'],
    'beyond-100': ['adding', 'count-on-larger', 'known'],
  },
  groups: {
    'equal-groups-20': ['times', 'count-groups', 'known'],
    'rows-25': ['times', 'count-groups', 'known'],
  },
  facts: {
    'x2-10-5': ['times', 'count-groups', 'known'],
    'x3-4': ['times', 'count-groups', 'derived'],
    'x6-9': ['times', 'count-groups', 'derived'],
    'missing-factor': ['times', 'count-groups', 'known'],
  },
}

/** The strategies to listen for at a step, in their order; empty where the step is not about working out. */
export function strategiesFor({ strand, step }: StepPlace): readonly Strategy[] {
  const found = usual[strand]?.[step]
  if (!found) return []
  const [way, first, last] = found
  const all: readonly Strategy[] = ways[way]
  const at = (id: string) => all.findIndex((strategy) => strategy.id === id)
  return all.slice(at(first), at(last) + 1)
}
