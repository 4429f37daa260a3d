import { seededChance } from '../../chance/chance'
import { itemKey, placeOf, strands } from '../../skills'
import { questionRound } from './class-questions'

const at = (step: string, children: number) => ({ strand: 'add' as const, step, children })

test('each step is asked as often as children work at it, to the nearest question', () => {
  const steps = [at('count-on-20', 13), at('make-ten-20', 9), at('tens-ones-100', 4), at('complement-100', 0)]
  for (let seed = 1; seed <= 20; seed++) {
    const round = questionRound(steps, 10, seededChance(seed))
    const count = (step: string) => round.filter(({ place }) => place.step === step).length
    expect([count('count-on-20'), count('make-ten-20'), count('tens-ones-100')]).toEqual([5, 3, 2])
    expect(count('complement-100')).toBe(0)
    expect(new Set(round.map(({ item }) => itemKey(item))).size).toBe(10)
  }
})

test('a question is at its step; what needs things in the hand is left out', () => {
  const round = questionRound([at('tens-ones-100', 3)], 10, seededChance(5))
  for (const { item, place } of round) expect(placeOf(item)).toEqual(place)
  const counting = { strand: 'how-many' as const, step: 'count-out-10', children: 5 }
  expect(questionRound([counting], 10, seededChance(1))).toEqual([])
  const seen = questionRound([{ ...counting, step: 'see-6' }], 6, seededChance(1))
  expect(seen).toHaveLength(6)
  for (const { shows } of seen) expect(shows).not.toBeNull()
})

test('at every step of every strand a round is whole or there is none, whatever is drawn', () => {
  for (const { id: strand, steps } of strands)
    for (const { id: step } of steps) {
      const found = new Set<number>()
      for (let seed = 0; seed < 60; seed++)
        found.add(questionRound([{ strand, step, children: 3 }], 10, seededChance(seed)).length)
      expect([step, [...found]]).toEqual([step, [found.has(10) ? 10 : 0]])
    }
})
