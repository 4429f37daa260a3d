import type { Plan } from '@/server/plan/plan'
import { changeSlots, changeStation, pin, pinsOf, placeByHand, removeStation, takeOver } from './placing'

const plan = (change: Partial<Plan> = {}): Plan => ({
  day: '2026-11-25',
  startsAt: '10:15',
  slots: 2,
  slotMinutes: 12,
  around: { warmUp: 0, show: 0, move: 2, tidy: 0, talk: 0, lesson: null },
  adults: 1,
  stations: ['landfall', 'tower-bay', 'the-gap'].map((gameId) => ({
    gameId: gameId as Plan['stations'][number]['gameId'],
    mode: 'own' as const,
    places: null,
  })),
  placed: { '0:0': 0, '0:1': 1, '1:0': 1, '1:1': 2 },
  pinned: ['1:1'],
  chosen: { '0:0': 'to-20-die', '1:1': 'to-20' },
  ...change,
})

test('put somewhere by hand a group stays there, at the level that fits; taken away it leaves a gap', () => {
  expect(placeByHand(plan(), '0:0', 2)).toEqual({
    placed: { '0:0': 2, '0:1': 1, '1:0': 1, '1:1': 2 },
    pinned: ['1:1', '0:0'],
    chosen: { '1:1': 'to-20' },
  })
  expect(placeByHand(plan(), '1:1', null)).toMatchObject({ pinned: [], placed: { '0:0': 0 } })
  expect(placeByHand(plan(), '1:1', null).placed).not.toHaveProperty('1:1')
  expect(pin(plan(), '1:1', false)).toEqual({ pinned: [] })
  expect(pin(plan(), '0:1', true)).toEqual({ pinned: ['1:1', '0:1'] })
})

test('a station less: its visits are gaps, the stations behind it move up', () => {
  expect(removeStation(plan(), 1)).toMatchObject({
    placed: { '0:0': 0, '1:1': 1 },
    pinned: ['1:1'],
    chosen: { '0:0': 'to-20-die', '1:1': 'to-20' },
  })
  expect(removeStation(plan(), 2)).toMatchObject({ pinned: [], chosen: { '0:0': 'to-20-die' } })
})

test('another game at a station forgets the levels chosen there; another adult does not', () => {
  expect(changeStation(plan(), 0, { gameId: 'perch' }).chosen).toEqual({ '1:1': 'to-20' })
  expect(changeStation(plan(), 0, { mode: 'adult-led' })).toMatchObject({
    chosen: plan().chosen,
    stations: [{ gameId: 'landfall', mode: 'adult-led' }, {}, {}],
  })
})

test('slots that are no more take their visits with them', () => {
  expect(changeSlots(plan(), 1)).toEqual({
    slots: 1,
    placed: { '0:0': 0, '0:1': 1 },
    pinned: [],
    chosen: { '0:0': 'to-20-die' },
  })
  expect(changeSlots(plan(), 3)).toMatchObject({ slots: 3, placed: plan().placed })
})

test('what the planner found takes over; a level stays chosen where the station stays', () => {
  const cells = [
    { slot: 0, group: 0, station: 0 },
    { slot: 1, group: 1, station: 0 },
  ]
  expect(takeOver(plan(), { cells, cost: 1, done: 1 }, [])).toEqual({
    placed: { '0:0': 0, '1:1': 0 },
    chosen: { '0:0': 'to-20-die' },
  })
  // What was to be kept and found no place, because it breaks a rule, is not lost.
  expect(takeOver(plan(), { cells, cost: 1, done: 1 }, ['0:1']).placed).toEqual({
    '0:0': 0,
    '0:1': 1,
    '1:1': 0,
  })
  expect(pinsOf(plan(), ['1:1', '7:7'])).toEqual([{ session: 0, slot: 1, group: '1', station: '2' }])
})
