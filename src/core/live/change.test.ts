import fc from 'fast-check'
import { applied, type LivePart } from './board'
import { changeBetween, everything, seenBy, type Sees } from './change'
import type { LiveSession, ShownMark } from './session'

const clock = (slot: number): LiveSession['clock'] => ({
  state: 'running',
  slots: 3,
  slotMinutes: 12,
  slot,
  at: 0,
  leftMs: 1000 * slot,
  fullMs: 720_000,
  paused: false,
  canGoBack: false,
  moved: String(slot),
})

const markArbitrary = fc.record({
  id: fc.integer({ min: 0, max: 9 }),
  judged: fc.constantFrom('own', 'help', 'notYet'),
  visit: fc.integer({ min: 0, max: 2 }),
})
const mark = ({ id, judged, visit }: { id: number; judged: string; visit: number }): ShownMark => ({
  id: `mark ${id}`,
  observer: `device ${id % 3}`,
  pupilId: `child ${id}`,
  visitId: `visit ${visit}`,
  judged: judged as ShownMark['judged'],
  right: null,
  of: null,
  how: null,
  digital: null,
  place: { strand: 'add', step: 'count-on-10' },
  byLink: id % 2 === 0,
})

const sessionArbitrary = fc
  .record({
    slot: fc.integer({ min: 0, max: 2 }),
    marks: fc.uniqueArray(markArbitrary, { selector: ({ id }) => id }),
    absent: fc.uniqueArray(fc.integer({ min: 0, max: 4 })),
    finished: fc.uniqueArray(fc.integer({ min: 0, max: 2 })),
    plan: fc.constantFrom('a', 'b'),
  })
  .map(({ slot, marks, absent, finished, plan }): LiveSession => ({
    clock: clock(slot),
    marks: marks.map(mark),
    absent: absent.map((child) => ({ pupilId: `child ${child}`, fromSlot: 0 })),
    finished: finished.map((visit) => ({ visitId: `visit ${visit}`, games: 1, minutes: 4, last: null })),
    liked: [],
    plan,
    links: [],
  }))

const board = ({ clock: now, links: _links, ...rest }: LiveSession): LivePart => ({
  ...rest,
  session: { id: 's', ...now },
})
const sorted = ({ marks, ...rest }: LivePart) => ({
  ...rest,
  marks: [...marks].sort((a, b) => (a.id < b.id ? -1 : 1)),
})
const adult: Sees = { visitIds: null, clockOnly: false, adult: true }

test('whoever is told what changed has what is there, through any history', () => {
  fc.assert(
    fc.property(fc.array(sessionArbitrary, { minLength: 1, maxLength: 6 }), ([first, ...later]) => {
      let told = applied(board({ ...first, marks: [], absent: [] }), seenBy(adult, everything(first))!)
      let before = first
      for (const now of later) {
        const change = changeBetween(before, now)
        const seen = change && seenBy(adult, change)
        // What was finished is never taken back: it only grows.
        const grown = {
          ...now,
          finished: [
            ...before.finished,
            ...now.finished.filter(({ visitId }) => !before.finished.some((one) => one.visitId === visitId)),
          ],
        }
        if (seen) told = applied(told, { ...seen, ...(seen.finished ? { finished: grown.finished } : {}) })
        before = now
        expect(sorted({ ...told, finished: [] })).toEqual(sorted({ ...board(now), finished: [] }))
      }
    }),
  )
})

test('nothing is told where nothing changed: time that passes is no change', () => {
  const session: LiveSession = {
    clock: clock(1),
    marks: [],
    absent: [],
    finished: [],
    liked: [],
    plan: 'a',
    links: [],
  }
  expect(
    changeBetween(session, { ...session, clock: { ...session.clock, leftMs: 5 }, links: ['x'] }),
  ).toBeNull()
})

test('a station’s link hears of its own visits only and not by whose device an adult saw it; a room’s of the clock alone', () => {
  fc.assert(
    fc.property(sessionArbitrary, (session) => {
      const one: Sees = { visitIds: new Set(['visit 1']), clockOnly: false, adult: false }
      const heard = seenBy(one, everything(session))!
      expect(heard.marks!.put.every(({ visitId }) => visitId === 'visit 1')).toBe(true)
      expect(heard.marks!.put.every(({ observer, byLink }) => byLink || observer === '')).toBe(true)
      expect(heard.finished!.every(({ visitId }) => visitId === 'visit 1')).toBe(true)
      const room = seenBy({ ...one, clockOnly: true }, everything(session))!
      expect(Object.keys(room).sort()).toEqual(['clock', 'full', 'plan'])
    }),
  )
})
