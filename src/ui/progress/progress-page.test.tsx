import type { ProgressPage as Page } from '@/server/progress'
import type { ChildSuggestion } from '@/server/suggestions'
import { doable, readIn } from '../testing/markup'
import { ProgressPage } from './progress-page'

jest.mock('next/navigation', () => ({ useRouter: () => ({ push: () => undefined }) }))

type Kind = ChildSuggestion['suggestion']['kind']

const suggested = (...kinds: Kind[]) =>
  kinds.map((kind, i): ChildSuggestion => ({
    id: `child-${i}`,
    name: `Child-${i}`,
    pennant: 0,
    strand: 'add',
    step: 'count-on-10',
    suggestion: { kind, own: 1, of: 3, days: 2 } as ChildSuggestion['suggestion'],
    fits: null,
  }))

const page: Page = {
  strand: 'add',
  suggestions: [],
  movingUp: { by: 'estimate' },
  children: [{ id: 'child-0', name: 'Child-0', workingStep: 'count-on-10', band: [] }],
  followed: ['add'],
  groups: { movable: true },
  weeks: 12,
  ended: null,
  today: '2026-11-24',
}

const shown = (change: Partial<Page>) => (
  <ProgressPage
    classId="class"
    page={{ ...page, ...change }}
    tapClock={() => Promise.reject(new Error('Nothing is pressed here.'))}
  />
)

test('the heading counts who is named below, each kind by itself', () => {
  expect(readIn(shown({}))).toContain('Nobody is ready to move yet Nothing else stands out.')
  const said = readIn(shown({ suggestions: suggested('ready', 'ready', 'hard', 'another-look') }))
  expect(said).toContain('Two may be ready to move One finds their step hard, one needs another look.')
  expect(readIn(shown({ children: [] }))).toContain('No children yet')
})

test('what the suggestions come from is the way the class moves children up', () => {
  expect(readIn(shown({}))).toContain('Suggested by the estimate. Nothing moves a child by itself.')
  const count = { by: 'count', of: 10, own: 8, days: 2 } as const
  expect(readIn(shown({ movingUp: count }))).toContain('8 of the last 10 alone, on 2 days')
  expect(readIn(shown({ movingUp: { by: 'judgement' } }))).toContain('You decide who moves up')
})

test('moves are offered where there are any: not with own ranges, nor before there are groups', () => {
  expect(doable(shown({}))).toContain('Review moves')
  const own = doable(shown({ groups: { movable: false } }))
  expect(own).toContain('To the groups')
  expect(own).not.toContain('Review moves')
  expect(doable(shown({ groups: null }))).toContain('Make groups')
})
