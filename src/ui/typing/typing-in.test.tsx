import type { RunPage } from '@/server/session-board'
import { doable, readIn } from '../testing/markup'
import { TypingIn } from './typing-in'

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }))

const times = ['10:20', '10:34', '10:48'].map((from) => ({ from, to: from }))
const visits = times.map((_, slot) => ({
  id: `visit-${slot}`,
  slot,
  stationId: 'a',
  pennant: slot,
  level: '0 to 10, one die',
  seats: [],
  children: [{ id: `child-${slot}`, name: ['Gus', 'Pim', 'Ella'][slot] }],
}))

const sheets = (state: 'running' | 'done', slot: number, marks: { visitId: string }[] = []) => (
  <TypingIn
    classId="class"
    board={
      {
        session: { id: 'session', state, slot, slots: 3 },
        day: '2026-11-24',
        stations: [
          { id: 'a', title: 'Landfall' },
          { id: 'b', title: 'Tower Bay' },
        ],
        times,
        visits,
        marks,
        absent: [],
      } as unknown as RunPage
    }
    from="seen"
    tapClock={() => Promise.reject(new Error('Nothing is pressed here.'))}
  />
)

/** Whose sheets are there. */
const there = (page: React.ReactElement) => readIn(page).match(/Gus|Pim|Ella/g)

test('of a session ended early there are sheets of what was played, and the way to say that all was', () => {
  const early = sheets('done', 0)
  expect(there(early)).toEqual(['Gus'])
  expect(readIn(early)).toContain('It was ended in slot 1 of 3')
  expect(readIn(early)).toContain('1 · Landfall')
  expect(readIn(early)).not.toContain('Tower Bay')
  expect(doable(early)).toContain('All three slots were played')
})

test('a mark that stands keeps its sheet, whenever the session was ended', () => {
  expect(there(sheets('done', 0, [{ visitId: 'visit-2' }]))).toEqual(['Gus', 'Ella'])
})

test('of one that was played to its last slot, or is not ended, all sheets are there', () => {
  for (const page of [sheets('done', 2), sheets('running', 0)]) {
    expect(there(page)).toEqual(['Gus', 'Pim', 'Ella'])
    expect(doable(page).join()).not.toContain('were played')
  }
})
