import { inWords, movedTo, setsOf } from './sets'

const children = ['Ana', 'Bo', 'Cy', 'Dee', 'Eli'].map((name) => ({ id: name[0], name }))
const visit = {
  children,
  seats: [
    ['A', 'B'],
    ['C', 'D', 'E'],
  ],
}
const pairs = { min: 2, max: 4 }
const moved = (away: string, players = pairs) =>
  Object.fromEntries(children.map(({ id }) => [id, movedTo(visit, id, new Set(away), players)]))

test('rows stand by set; who is in none stands after them', () => {
  const inSets = setsOf({ ...visit, seats: [['C', 'D'], ['A']] }).map(inWords)
  expect(inSets).toEqual(['Cy and Dee', 'Ana', 'Bo and Eli'])
  expect(setsOf({ ...visit, seats: [] }).map(inWords)).toEqual(['Ana, Bo, Cy, Dee and Eli'])
})

test('everybody there: nobody is told anything', () => {
  expect(Object.values(moved(''))).toEqual([null, null, null, null, null])
})

test('who is left alone joins the others, and only that child is told', () => {
  expect(moved('A')).toEqual({ A: null, B: 'with Cy’s set', C: null, D: null, E: null })
})

test('where the others are full, one of them comes over, and both are told', () => {
  expect(moved('A', { min: 2, max: 3 })).toEqual({ A: null, B: 'with Eli', C: null, D: null, E: 'with Bo' })
})

test('a child without anybody left needs a partner', () => {
  expect(moved('ACDE')).toMatchObject({ B: 'needs a partner' })
})
