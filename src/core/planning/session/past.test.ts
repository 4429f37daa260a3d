import { pastOf, type Played } from './past'

const played = (pupilId: string, gameId: string, day: string, mode: Played['mode'] = 'own'): Played => ({
  pupilId,
  gameId,
  day,
  mode,
})
const day = '2026-11-25'

test('a game was played on the day from which on half of the group had played it, in school days', () => {
  const rows = [
    played('a', 'landfall', '2026-11-24'),
    played('b', 'landfall', '2026-11-20'),
    played('c', 'landfall', '2026-11-10'),
    played('a', 'perch', '2026-11-24'),
    // Another child's games are not the group's.
    played('z', 'perch', '2026-11-24'),
  ]
  const { lastPlayed, met } = pastOf(['a', 'b', 'c', 'd'], rows, [], day)
  // The Friday before: three school days ago. One of four has played Perch.
  expect(lastPlayed).toEqual({ landfall: 3 })
  expect(met).toEqual(['landfall'])
})

test('with the teacher: only where an adult leads; never: nothing', () => {
  const rows = ['a', 'b'].map((id) => played(id, 'landfall', '2026-11-23', 'adult-led'))
  expect(pastOf(['a', 'b'], rows, [], day).sinceTeacher).toBe(2)
  const near = ['a', 'b'].map((id) => played(id, 'landfall', '2026-11-23', 'adult-near'))
  expect(pastOf(['a', 'b'], near, [], day).sinceTeacher).toBeNull()
})

test('not yet: the share among all marks of the group’s children', () => {
  const marks = [
    { pupilId: 'a', marks: 8, notYet: 1 },
    { pupilId: 'b', marks: 2, notYet: 1 },
    { pupilId: 'z', marks: 9, notYet: 9 },
  ]
  expect(pastOf(['a', 'b', 'c'], [], marks, day).notYet).toBeCloseTo(0.2, 12)
  expect(pastOf(['c'], [], marks, day).notYet).toBe(0)
})
