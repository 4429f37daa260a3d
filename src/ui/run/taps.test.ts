import fc from 'fast-check'
import { noValue, type Mark } from '@/core/evidence/mark'
import { keyOf, stillOpen, withWaiting, type Taps } from './taps'

const self = 'device'
const [visitId, pupilId] = ['visit', 'child']
const key = keyOf(visitId, pupilId)
const waits = (id: string, judged: Mark['judged'], change: Partial<Mark> = {}): Mark => ({
  ...noValue,
  id,
  judged,
  visitId,
  pupilId,
  observer: self,
  at: null,
  digital: null,
  how: null,
  sheet: false,
  corrects: null,
  madeAt: '2026-11-24T10:20:00Z',
  ...change,
})

test('of several taps that wait for one child the last is shown after a reload', () => {
  const shown = withWaiting(new Map(), [waits('1', 'own'), waits('2', 'notYet'), waits('3', 'help')], self)
  expect(shown.get(key)).toMatchObject({ id: '3', judged: 'help' })
})

test('whatever waits, in any number: each child shows its last own tap, or what was tapped on this page since', () => {
  const judged = fc.constantFrom('own', 'help', 'notYet', null)
  const entry = fc.record({
    pupilId: fc.constantFrom('a', 'b', 'c'),
    visitId: fc.constantFrom('v', 'w', null),
    observer: fc.constantFrom(self, 'other'),
    judged,
  })
  fc.assert(
    fc.property(fc.array(entry), fc.boolean(), (entries, tapsHere) => {
      const marks = entries.map(({ judged: value, ...change }, n) => waits(String(n), value, change))
      const here: Taps = tapsHere
        ? new Map([[keyOf('v', 'a'), { ...noValue, id: null, how: null }]])
        : new Map()
      const shown = withWaiting(here, marks, self)
      for (const child of ['a', 'b', 'c'])
        for (const visit of ['v', 'w']) {
          const last = marks.findLast(
            (mark) => mark.pupilId === child && mark.visitId === visit && mark.observer === self,
          )
          expect(shown.get(keyOf(visit, child))).toEqual(here.get(keyOf(visit, child)) ?? last)
        }
    }),
  )
})

test('a tap gives way once the server has it, also where another page of the device changed it since', () => {
  const taps: Taps = new Map([
    ['stands', { ...noValue, id: '1', how: null }],
    ['changed elsewhere', { ...noValue, id: '2', how: null }],
    ['on its way', { ...noValue, id: '3', how: null }],
    ['not kept yet', { ...noValue, id: null, how: null }],
  ])
  expect([...stillOpen(taps, new Set(['1']), new Set(['1', '2'])).keys()]).toEqual([
    'on its way',
    'not kept yet',
  ])
})
