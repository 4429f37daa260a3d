import { strandIds, strandOf, strands } from '../skills'
import { curriculumYearOf, isToCome, mayOffer, mayOfferToMost, usualYearOf } from './begun'
import { yearGroups } from './prior'

const all = (strand: 'facts' | 'add', step: string) => {
  const steps = [{ strand, step, share: 1 }]
  return { steps, marked: steps }
}

test('harder steps of a strand never belong to a lower year group', () => {
  for (const strand of strandIds) {
    const years = strandOf(strand).steps.map(({ id }) =>
      yearGroups.indexOf(usualYearOf({ strand, step: id })),
    )
    expect([strand, years]).toEqual([strand, [...years].sort((a, b) => a - b)])
  }
})

test('tables are begun in Year 2, counting out in Reception', () => {
  expect(usualYearOf({ strand: 'facts', step: 'x2-10-5' })).toBe('Year 2')
  expect(usualYearOf({ strand: 'how-many', step: 'count-out-5' })).toBe('Reception')
})

test('a child who was placed on a strand, or seen at it, is offered it whatever its year group', () => {
  const reception = { followed: [], yearGroup: 'Reception' as const }
  expect(mayOffer(all('facts', 'x2-10-5'), reception)).toBe(false)
  expect(mayOffer(all('facts', 'x2-10-5'), { ...reception, followed: ['facts'] })).toBe(true)
  expect(mayOffer(all('facts', 'x2-10-5'), { ...reception, yearGroup: 'Year 2' })).toBe(true)
  expect(isToCome('facts', reception)).toBe(true)
  expect(isToCome('facts', { ...reception, followed: ['facts'] })).toBe(false)
  expect(isToCome('count', reception)).toBe(false)
})

test('what is met now and then stands in nobody’s way; a group is offered what most of it may be', () => {
  const now = { followed: ['add' as const], yearGroup: 'Reception' as const }
  const steps = [
    { strand: 'add' as const, step: 'take-away-5', share: 0.9 },
    { strand: 'facts' as const, step: 'x2-10-5', share: 0.1 },
  ]
  expect(mayOffer({ steps, marked: steps }, now)).toBe(true)
  // Unless it is what the game is for.
  expect(mayOffer({ steps, marked: steps.slice(1) }, now)).toBe(false)
  const begun = { followed: ['facts' as const], yearGroup: 'Reception' as const }
  expect(mayOfferToMost(all('facts', 'x2-10-5'), [begun, now])).toBe(true)
  expect(mayOfferToMost(all('facts', 'x2-10-5'), [begun, now, now])).toBe(false)
})

test('no step is offered later than the year whose curriculum asks for it, by the project’s own map', () => {
  let asked = 0
  for (const { id: strand, steps } of strands)
    for (const { id: step } of steps) {
      const year = curriculumYearOf({ strand, step })
      if (year === null) continue
      asked++
      const offered = yearGroups.indexOf(usualYearOf({ strand, step }))
      expect([step, offered <= yearGroups.indexOf(year)]).toEqual([step, true])
    }
  expect(asked).toBeGreaterThan(60)
  // Doubles and bonds belong to Reception by the early learning goals, a quarter of a set to Year 1.
  expect(usualYearOf({ strand: 'add', step: 'complements-10' })).toBe('Reception')
  expect(usualYearOf({ strand: 'add', step: 'doubles-20' })).toBe('Year 1')
  expect(usualYearOf({ strand: 'groups', step: 'quarter-20' })).toBe('Year 1')
})
