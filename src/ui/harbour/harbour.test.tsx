import type { HarbourPage } from '@/server/harbour'
import { doable, readIn } from '../testing/markup'
import { Harbour } from './harbour'

jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined }) }))

type Session = NonNullable<HarbourPage['session']>

const nothing = () => Promise.reject(new Error('Nothing is pressed here.'))

const station = (id: string, title: string): Session['stations'][number] => ({
  id,
  title,
  gameId: 'landfall',
  levelId: 'to-10-die',
  level: '0 to 10, one die',
  mode: 'own',
  pennants: [0],
})

const session: Session = {
  id: 'session',
  state: 'planned',
  day: '2026-11-24',
  today: true,
  notHeld: false,
  leftOpen: false,
  over: false,
  startsAt: '10:15',
  slots: 3,
  slot: 0,
  from: '10:20',
  to: '10:32',
  stations: [station('a', 'Landfall'), station('b', 'Tower Bay')],
  unlikely: [],
  needs: [],
  pages: 0,
}

const page: HarbourPage = {
  children: 26,
  hasGroups: true,
  session,
  toLookAt: [],
  held: [],
  today: '2026-11-24',
}

const harbour = (change: Partial<HarbourPage>) => (
  <Harbour
    classId="class"
    page={{ ...page, ...change }}
    tapClock={nothing}
    moveToToday={nothing}
    letGo={nothing}
    heldOnPaper={nothing}
  />
)

/** What the page is headed by, and the first thing it offers. */
const first = (change: Partial<HarbourPage>) => {
  const said = readIn(harbour(change))
  return { said, offered: doable(harbour(change)) }
}

test.each<[string, Partial<HarbourPage>, RegExp, string]>([
  ['no children', { children: 0, hasGroups: false, session: null }, /^No children yet/, 'Add children'],
  ['one child', { children: 1, hasGroups: false, session: null }, /^1 child, no groups yet/, 'Make groups'],
  ['no groups', { hasGroups: false, session: null }, /^26 children, no groups yet/, 'Make groups'],
  ['no plan', { session: null }, /^Nothing planned/, 'Plan a session'],
  ['a plan for today', {}, /^10:15 today, 2 stations, 1 thing to prepare/, 'Open the session'],
  [
    'a plan for Thursday',
    { session: { ...session, today: false, day: '2026-11-26' } },
    /^Thursday 26 November, 10:15, 2 stations/,
    'Open the session',
  ],
  [
    'a session that was left open in its first slot',
    { session: { ...session, state: 'running', today: false, leftOpen: true } },
    /^The session of Tuesday 24 November was left open It stands in slot 1 of 3/,
    'It ended in slot 1',
  ],
  [
    'a session that was left open in its last slot',
    { session: { ...session, state: 'running', today: false, leftOpen: true, slot: 2 } },
    /^The session of Tuesday 24 November was left open It stands in its last slot/,
    'End it',
  ],
  [
    'a session under way',
    { session: { ...session, state: 'running', slot: 1 } },
    /^Slot 2 of 3 is under way/,
    'Back to the session',
  ],
])('the one thing to do next with %s', (_, change, heading, action) => {
  const { said, offered } = first(change)
  expect(said).toMatch(heading)
  expect(offered[0]).toBe(action)
})

test('who stands out is told where nothing is planned too; of a session left open nothing is to be prepared', () => {
  const toLookAt: HarbourPage['toLookAt'] = [
    {
      id: 'vik',
      name: 'Vik',
      pennant: 0,
      strand: 'add',
      step: 'subtract-20',
      suggestion: { kind: 'another-look', why: 'not-seen', days: 12 },
      fits: null,
    },
  ]
  for (const change of [{ session: null }, { session: { ...session, leftOpen: true } }, {}]) {
    const { said, offered } = first({ ...change, toLookAt })
    expect(said).toContain('Children to look at Vik')
    expect(offered).toContain('Look')
    expect(said.includes('to lay out')).toBe(Object.keys(change).length === 0)
  }
  expect(first({ session: null }).said).not.toContain('Children to look at')
})

test('a session that was planned and never begun: today, let go, or held on paper', () => {
  const { said, offered } = first({ session: { ...session, notHeld: true, today: false, day: '2026-11-19' } })
  expect(said).toMatch(/^The session of Thursday 19 November was not held/)
  expect(offered.slice(0, 3).join(' · ')).toMatch(/today/i)
  expect(offered.join(' · ')).toMatch(/let it go/i)
  expect(offered.join(' · ')).toMatch(/paper/i)
  expect(offered).not.toContain('Open the session')
})

test('as many things to prepare as are listed', () => {
  const needs = ['cube', 'die', 'marker', 'pen', 'spinner', 'timer'].map((item) => ({ item, count: 2 }))
  const { said } = first({
    session: {
      ...session,
      pages: 14,
      needs: needs as Session['needs'],
      unlikely: [
        { station: 'Landfall', finishInSlot: 0.61 },
        { station: 'Landfall', finishInSlot: 0.48 },
      ],
    },
  })
  expect(said).toMatch(/^10:15 today, 2 stations, 3 things to prepare/)
  expect(said).toContain('Landfall may not end in its slot It ends 48 times in 100; 2 visits in all')
  expect(said).toContain('14 pages to print')
  expect(said).toContain('2 × cube, 2 × die, 2 × marker, 2 × pen and two more kinds')
})

test('one of a kind is said as one', () => {
  const needs = ['cube', 'die', 'marker', 'pen', 'spinner'].map((item) => ({ item, count: 1 }))
  const { said } = first({
    session: { ...session, stations: [station('a', 'Landfall')], pages: 1, needs: needs as Session['needs'] },
  })
  expect(said).toContain('1 station,')
  expect(said).toContain('One station to lay out')
  expect(said).toContain('1 page to print')
  expect(said).toContain('1 × pen, 1 × spinner')
  expect(said).not.toMatch(/\b(one|1) (stations|pages|more kinds|things|visits)\b/i)
})

test('pages that were not counted in time are not called none', () => {
  expect(first({ session: { ...session, pages: null } }).said).toContain('Boards and cards to print')
  expect(first({ session: { ...session, pages: 0 } }).said).not.toContain('to print')
})
