import type { PlayedRow } from '@/data/queries/sessions'
import { pastOf } from './past'

const played = (
  pupilId: string,
  gameId: string,
  day: string,
  mode: PlayedRow['mode'] = 'own',
): PlayedRow => ({
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

test('not yet: the share among the latest ten marks of each child', () => {
  const mark = (pupilId: string, judged: 'own' | 'notYet') => ({
    pupilId,
    strand: 'add' as const,
    step: 1,
    judged,
    schoolDay: day,
  })
  const older = Array.from({ length: 5 }, () => mark('a', 'notYet'))
  const latest = Array.from({ length: 10 }, (_, i) => mark('a', i < 2 ? 'notYet' : 'own'))
  expect(pastOf(['a', 'b'], [], [...older, ...latest], day).notYet).toBeCloseTo(0.2, 12)
  expect(pastOf(['a', 'b'], [], [], day).notYet).toBe(0)
})
