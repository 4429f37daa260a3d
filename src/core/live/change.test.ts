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
  linkId: id % 2 === 0 ? `link ${id % 3}` : null,
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
    atStations: [0, 1, 2].map((n) => ({
      stationId: `station ${n}`,
      visitIds: [`visit ${n}`],
      pupilIds: [`child ${n}`, 'child 3'],
    })),
  }))

const board = ({ clock: now, links: _links, atStations: _at, ...rest }: LiveSession): LivePart => ({
  ...rest,
  session: { id: 's', ...now },
})
const sorted = ({ marks, ...rest }: LivePart) => ({
  ...rest,
  marks: [...marks].sort((a, b) => (a.id < b.id ? -1 : 1)),
})
const adult: Sees = { stationId: null, clockOnly: false, linkId: null }

test('whoever is told what changed has what is there, through any history', () => {
  fc.assert(
    fc.property(fc.array(sessionArbitrary, { minLength: 1, maxLength: 6 }), ([first, ...later]) => {
      let told = applied(board({ ...first, marks: [], absent: [] }), seenBy(adult, everything(first), first)!)
      let before = first
      for (const now of later) {
        const change = changeBetween(before, now)
        const seen = change && seenBy(adult, change, now)
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
    atStations: [],
  }
  expect(
    changeBetween(session, { ...session, clock: { ...session.clock, leftMs: 5 }, links: ['x'] }),
  ).toBeNull()
})

test('a station’s link hears of its own visits and children only, and whose device it was of no mark but its own; a room’s of the clock alone', () => {
  fc.assert(
    fc.property(sessionArbitrary, (session) => {
      const one: Sees = { stationId: 'station 1', clockOnly: false, linkId: 'link 1' }
      const heard = seenBy(one, everything(session), session)!
      expect(heard.marks!.put.every(({ visitId }) => visitId === 'visit 1')).toBe(true)
      expect(heard.marks!.put.every(({ observer, linkId }) => linkId === 'link 1' || observer === '')).toBe(
        true,
      )
      expect(heard.finished!.every(({ visitId }) => visitId === 'visit 1')).toBe(true)
      expect(heard.absent!.every(({ pupilId }) => ['child 1', 'child 3'].includes(pupilId))).toBe(true)
      const room = seenBy({ ...one, clockOnly: true }, everything(session), session)!
      expect(Object.keys(room).sort()).toEqual(['clock', 'full', 'plan'])
    }),
  )
})

test('after another plan a station’s link hears of the visits that came to it, and no more of those that left', () => {
  fc.assert(
    fc.property(sessionArbitrary, (session) => {
      const one: Sees = { stationId: 'station 1', clockOnly: false, linkId: 'link 1' }
      const [first, second, third] = session.atStations
      const replanned = {
        ...session,
        atStations: [
          { ...first, visitIds: second.visitIds },
          { ...second, visitIds: [...first.visitIds, ...third.visitIds] },
        ],
      }
      const heard = seenBy(one, everything(replanned), replanned)!
      const here = session.marks.filter(({ visitId }) => visitId !== 'visit 1')
      expect(heard.marks!.put.map(({ id }) => id)).toEqual(here.map(({ id }) => id))
    }),
  )
})
