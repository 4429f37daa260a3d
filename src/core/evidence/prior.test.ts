import { strands } from '../skills'
import { placedBelief, summaryOf } from './history'
import { surenesses } from './prior'

const places = strands.flatMap(({ id, steps }) =>
  steps.map(({ id: step }, index) => ({ strand: id, step, index })),
)

test.each(surenesses)(
  'placed %s on a step, a child is working on that step: rungs put in since included',
  (sureness) => {
    const day = '2026-11-02'
    for (const { strand, step, index } of places) {
      const placed = placedBelief({ strand, step, sureness, day })
      expect([step, summaryOf(placed, strand).workingStep]).toEqual([step, index])
    }
  },
)
