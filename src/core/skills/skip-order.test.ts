import { strandIds, strands } from './index'
import { inSkipOrder, skipOrderSchema } from './skip-order'
import { strategiesFor } from './strategies'

test('the class’s order moves only the strands of counting in steps', () => {
  expect(inSkipOrder(['place', 'skip-tens', 'add', 'skip-twos'], 'twos-fives-tens')).toEqual([
    'place',
    'skip-twos',
    'add',
    'skip-tens',
  ])
  for (const order of skipOrderSchema.options) {
    const all = inSkipOrder(strandIds, order)
    expect([...all].sort()).toEqual([...strandIds].sort())
    strandIds.forEach((id, at) => expect(all[at].startsWith('skip-')).toBe(id.startsWith('skip-')))
    // Threes, fours and sevens come last in every order (common practice, no source).
    expect(all.filter((id) => id.startsWith('skip-')).at(-1)).toBe('skip-more')
  }
})

test('strategies to listen for stand in their order, and only where something is worked out', () => {
  for (const { id: strand, steps } of strands)
    steps.forEach(({ id: step }) => {
      const found = strategiesFor({ strand, step })
      const inSteps = step === 'equal-groups-20' || step === 'rows-25'
      expect(found.length > 1).toBe(strand === 'add' || strand === 'facts' || inSteps)
      expect(new Set(found.map(({ id }) => id)).size).toBe(found.length)
    })
  // Counting on is what the step is about: a child who counts all is not there yet.
  expect(strategiesFor({ strand: 'add', step: 'count-on-10' }).map(({ id }) => id)).toEqual([
    'count-on-first',
    'count-on-larger',
  ])
  // What is heard of taking away is not counting all, nor on from the first.
  expect(strategiesFor({ strand: 'add', step: 'take-away-10' }).map(({ id }) => id)).toEqual([
    'count-what-is-left',
    'count-back',
    'count-up',
  ])
})
