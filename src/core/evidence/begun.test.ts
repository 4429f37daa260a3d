import { strandIds, strandOf } from '../skills'
import { isToCome, mayOffer, mayOfferToMost, usualYearOf } from './begun'
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
