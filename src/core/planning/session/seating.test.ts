import type { PlannedGroup } from './context'
import { keptSeater, lastSetsOf, partnersPast, seaterFrom, togetherIn } from './seating'

const group = (names: string, pairs: (number | null)[] = []) =>
  ({ id: 'g', pennant: 0, pupils: [...names].map((id) => ({ id })), pairs }) as unknown as PlannedGroup
const visits = (sessionId: string, slots: string[]) =>
  slots.map((sets, slot) => ({ sessionId, slot, sets: sets.split(' ').map((set) => [...set]) }))

test('who met whom: in sets that were chosen', () => {
  const past = partnersPast([...visits('x', ['ab cd', 'abcd', 'ac bd']), ...visits('y', ['ab c'])])
  expect(past.met.of('a', 'b')).toBe(2)
  expect(past.met.of('b', 'd')).toBe(1)
  expect(past.met.of('c', 'd')).toBe(1)
  expect(past.met.of('a', 'd')).toBe(0)
  // Last for a, b and c was the second session; d was last seen in the first, with b.
  expect(lastSetsOf([...'abcd'], past)).toEqual([['a', 'b'], ['c'], ['d']])
})

test('children of different groups of before were not partners, though they played at the same time', () => {
  const past = partnersPast([...visits('x', ['ab c']), ...visits('x', ['ef gh'])])
  expect(lastSetsOf(['a', 'e', 'f', 'g'], past)).toEqual([['a'], ['e', 'f'], ['g']])
})

test('a group is seated anew: equal plans equally, and told which pairs are together again', () => {
  const past = partnersPast(visits('x', ['ab cde']))
  const seat = () =>
    seaterFrom(past, 'similar')(group('abcde'), [
      { slot: 0, sets: [2, 3] },
      { slot: 1, sets: [5] },
      { slot: 2, sets: [2, 3] },
    ])
  expect(seat()).toEqual(seat())
  expect(seat().map(({ again }) => again.length)).toEqual([1, 0, 1])
})

test('pairs within reach stay pairs, and are no breach', () => {
  const pairs = group('abcd', [7, 8, 7, 8])
  expect(togetherIn(pairs, 'pairs')).toEqual([
    ['a', 'c'],
    ['b', 'd'],
  ])
  expect(togetherIn(pairs, 'similar')).toEqual([])
  const seated = seaterFrom(partnersPast(visits('x', ['ac bd'])), 'pairs')(pairs, [
    { slot: 0, sets: [2, 2] },
    { slot: 1, sets: [2, 2] },
  ])
  for (const { seats, again } of seated) {
    expect(seats.map((set) => set.join('')).sort()).toEqual(['ac', 'bd'])
    expect(again).toEqual([])
  }
})

test('a kept session has the seats it was kept with; one of before there were any is seated anew', () => {
  const kept = (seats: string[][]) => keptSeater([{ slot: 1, groupId: 'g', seats, ownLevels: {} }], 'similar')
  const there = [{ slot: 1, sets: [2, 2] }]
  const stored = kept([
    ['a', 'd'],
    ['c', 'b', 'gone'],
  ])
  expect(stored(group('abcd'), there)[0].seats).toEqual([
    ['a', 'd'],
    ['c', 'b'],
  ])
  const anew = kept([])(group('abcd'), there)[0].seats
  expect(anew.map(({ length }) => length)).toEqual([2, 2])
  expect(anew.flat().sort()).toEqual([...'abcd'])
})
