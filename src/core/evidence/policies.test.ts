import { normalAbility } from './ability'
import { observe, summarise, type Belief } from './estimate'
import { usualCount } from './moving-up'
import { weigh } from './policies'
import type { Seen } from './seen'

const difficulties = [0, 1.5, 3]
const belief: Belief = { ability: normalAbility(difficulties, { mean: 3.2, sd: 0.8 }), day: 4 }
const own = (days: readonly number[]): Seen[] => days.map((day) => ({ day, step: 1, judged: 'own' }))

test('the model: probability of the step, and what one more answer would make of it', () => {
  const { estimate: model } = weigh(belief, difficulties, { step: 1, seen: own([1, 3]) })
  const secureAfter = (judged: 'own' | 'notYet') =>
    summarise(observe(belief, { day: 4, step: 1, judged, weight: 1 }, difficulties), difficulties).secure[1]
  expect(model.probability).toBeCloseTo(summarise(belief, difficulties).secure[1], 12)
  expect(model.afterOwn).toBeCloseTo(secureAfter('own'), 12)
  expect(model.afterNotYet).toBeCloseTo(secureAfter('notYet'), 12)
  expect(model.afterNotYet).toBeLessThan(model.probability)
  expect(model.ready).toBe(model.probability >= 0.8)
})

test('evidence of one day is not enough for the model', () => {
  const sure: Belief = { ability: normalAbility(difficulties, { mean: 6, sd: 0.5 }), day: 4 }
  expect(weigh(sure, difficulties, { step: 1, seen: own([3, 3]) }).estimate).toMatchObject({
    ready: false,
    days: 1,
  })
  expect(weigh(sure, difficulties, { step: 1, seen: own([1, 3]) }).estimate).toMatchObject({
    ready: true,
    days: 2,
  })
})

test('counting: eight of the last ten alone, over two days; older ones and easier steps do not count', () => {
  const ten = own([1, 1, 1, 1, 2, 2, 2, 2])
  const missed = [0, 0].map((day) => ({ day, step: 1, judged: 'notYet' as const }))
  expect(weigh(belief, difficulties, { step: 1, seen: [...missed, ...ten] }).count).toEqual({
    ready: true,
    own: 8,
    of: 10,
    days: 2,
    wanted: usualCount,
  })
  // The latest ten hold three that were missed.
  const later = [3, 3, 3].map((day) => ({ day, step: 1, judged: 'help' as const }))
  expect(weigh(belief, difficulties, { step: 1, seen: [...ten, ...later] }).count).toMatchObject({
    ready: false,
    own: 7,
  })
  expect(weigh(belief, difficulties, { step: 1, seen: own([2, 2, 2, 2, 2, 2, 2, 2]) }).count).toMatchObject({
    ready: false,
    days: 1,
  })
  const easier = ten.map((one) => ({ ...one, step: 0 }))
  expect(weigh(belief, difficulties, { step: 1, seen: easier }).count).toMatchObject({
    ready: false,
    own: 0,
    of: 0,
  })
  expect(usualCount).toEqual({ own: 8, of: 10, days: 2 })
})
