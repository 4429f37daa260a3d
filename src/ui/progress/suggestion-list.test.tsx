import type { ChildSuggestion } from '@/server/suggestions'
import { doable, readIn } from '../testing/markup'
import { SuggestionList } from './suggestion-list'

const named = (count: number): ChildSuggestion[] =>
  Array.from({ length: count }, (_, i) => ({
    id: `child-${i}`,
    name: `Child-${i}`,
    pennant: i % 2 === 0 ? null : 1,
    strand: 'add',
    step: 'count-on-10',
    suggestion: { kind: 'hard', own: 1, of: 4 + i, days: 2 },
    fits: null,
  }))

const list = (suggestions: ChildSuggestion[]) => <SuggestionList classId="class" suggestions={suggestions} />

test('five names at most, each with its reason; the others behind a button that says how many', () => {
  const said = readIn(list(named(9)))
  for (let i = 0; i < 5; i++)
    expect(said).toContain(`Child-${i} finds “count on to 10” hard: 1 of ${4 + i} alone`)
  expect(said).not.toContain('Child-5')
  expect(doable(list(named(9)))).toEqual(['Why', 'Why', 'Why', 'Why', 'Why', 'All 9'])
  expect(doable(list(named(5)))).toEqual(['Why', 'Why', 'Why', 'Why', 'Why'])
  expect(readIn(list([]))).toBe('')
})

test('with what would fit, as it was worked out', () => {
  const [child] = named(1)
  const fits = {
    kind: 'other-game',
    gameId: 'tower-bay',
    levelId: 'to-5',
    success: 0.8,
    game: 'Tower Bay',
    level: '1 to 5, spinner',
    playsNow: 'Landfall',
  } as Extract<ChildSuggestion['fits'], { kind: 'other-game' }>
  expect(readIn(list([{ ...child, fits }]))).toContain(
    'No level of Landfall fits now. Tower Bay, 1 to 5, spinner, would: 8 in 10 right alone.',
  )
  expect(readIn(list([{ ...child, fits: { ...fits, kind: 'as-now' } }]))).toContain('still fits: 8 in 10')
})
