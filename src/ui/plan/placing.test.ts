import type { Cell, PlacedPlan } from '@/core/planning/session/plan'
import {
  cellsAt,
  changeSlots,
  changeStation,
  chooseLevel,
  pin,
  placeByHand,
  removeStation,
  takeOver,
} from './placing'

const cell = (slot: number, groupId: string, stationId: string, change: Partial<Cell> = {}): Cell => ({
  slot,
  groupId,
  stationId,
  pinned: false,
  levelId: null,
  ...change,
})
const at = (slot: number, groupId: string) => ({ slot, groupId })

const plan = (): PlacedPlan => ({
  day: '2026-11-25',
  startsAt: '10:15',
  slots: 2,
  slotMinutes: 12,
  around: { warmUp: 0, show: 0, move: 2, tidy: 0, talk: 0, lesson: null },
  adults: 1,
  stations: [
    { id: 'track', gameId: 'landfall', mode: 'own', places: null },
    { id: 'towers', gameId: 'tower-bay', mode: 'own', places: null },
    { id: 'gaps', gameId: 'the-gap', mode: 'own', places: null },
  ],
  cells: [
    cell(0, 'kelp', 'track', { levelId: 'to-20-die' }),
    cell(0, 'thrift', 'towers'),
    cell(1, 'kelp', 'towers'),
    cell(1, 'thrift', 'gaps', { pinned: true, levelId: 'to-20' }),
  ],
})
const others = (slot: number, groupId: string) =>
  plan().cells.filter((one) => one.slot !== slot || one.groupId !== groupId)

test('put somewhere by hand a group stays there, at the level that fits; taken away it leaves a gap', () => {
  expect(placeByHand(plan(), at(0, 'kelp'), 'gaps').cells).toEqual([
    ...others(0, 'kelp'),
    cell(0, 'kelp', 'gaps', { pinned: true }),
  ])
  expect(placeByHand(plan(), at(1, 'thrift'), null).cells).toEqual(others(1, 'thrift'))
  expect(pin(plan(), at(1, 'thrift'), false).cells).toContainEqual(
    cell(1, 'thrift', 'gaps', { levelId: 'to-20' }),
  )
  expect(chooseLevel(plan(), at(0, 'thrift'), 'spinner').cells).toContainEqual(
    cell(0, 'thrift', 'towers', { levelId: 'spinner' }),
  )
})

test('a station less: its visits are gaps, all others stay where they are', () => {
  const { stations, cells } = removeStation(plan(), 'towers')
  expect(stations!.map(({ id }) => id)).toEqual(['track', 'gaps'])
  expect(cells).toEqual(plan().cells.filter(({ stationId }) => stationId !== 'towers'))
})

test('another game at a station forgets the levels chosen there; another adult does not', () => {
  const levels = (change: Partial<PlacedPlan>) => change.cells!.map(({ levelId }) => levelId)
  expect(levels(changeStation(plan(), 'track', { gameId: 'perch' }))).toEqual([null, null, null, 'to-20'])
  const led = changeStation(plan(), 'track', { mode: 'adult-led' })
  expect(led.stations![0]).toMatchObject({ gameId: 'landfall', mode: 'adult-led' })
  expect(levels(led)).toEqual(['to-20-die', null, null, 'to-20'])
})

test('slots that are no more take their visits with them', () => {
  expect(changeSlots(plan(), 1).cells).toEqual(plan().cells.filter(({ slot }) => slot === 0))
  expect(changeSlots(plan(), 3)).toEqual({ slots: 3, cells: plan().cells })
})

test('what the planner found takes over; a level stays chosen where the station stays', () => {
  const cells = [
    { ...at(0, 'kelp'), stationId: 'track' },
    { ...at(1, 'thrift'), stationId: 'track' },
  ]
  const found = { cells, cost: 1, done: 1 }
  expect(takeOver(plan(), found, []).cells).toEqual([
    cell(0, 'kelp', 'track', { levelId: 'to-20-die' }),
    cell(1, 'thrift', 'track', { pinned: true }),
  ])
  // What was to be kept and found no place, because it breaks a rule, is not lost.
  expect(takeOver(plan(), found, [at(0, 'thrift')]).cells).toContainEqual(cell(0, 'thrift', 'towers'))
  expect(cellsAt(plan(), [at(1, 'thrift'), at(7, 'kelp')])).toEqual([plan().cells[3]])
})
