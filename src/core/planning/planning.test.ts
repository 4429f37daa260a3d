import fc from 'fast-check'
import { gameOf, usualLevel } from '../games'
import { addDays, clockAfter, schoolDaysBetween, weekday } from './calendar'
import { materialsOf } from './materials'
import { rotate, type Place } from './rotation'
import { noMinutesAround, timetable } from './timetable'

/** Places at which a group comes to a station it has been at before. */
function repeats(places: readonly Place[]): Place[] {
  const before = (place: Place) => (other: Place) =>
    other.slot < place.slot && other.group === place.group && other.station === place.station
  return places.filter((place) => places.some(before(place)))
}

test('as many groups as stations and slots: a Latin square', () => {
  for (const n of [2, 3, 4, 6]) {
    const places = rotate(n, n, n)
    for (let slot = 0; slot < n; slot++)
      expect(new Set(places.filter((place) => place.slot === slot).map(({ station }) => station)).size).toBe(
        n,
      )
    for (let group = 0; group < n; group++)
      expect(
        new Set(places.filter((place) => place.group === group).map(({ station }) => station)).size,
      ).toBe(n)
    expect(repeats(places)).toEqual([])
  }
})

test('six groups on four stations: one or two at each, nobody twice at one', () => {
  const places = rotate(6, 4, 3)
  expect(repeats(places)).toEqual([])
  for (let slot = 0; slot < 3; slot++)
    for (let station = 0; station < 4; station++) {
      const here = places.filter((place) => place.slot === slot && place.station === station).length
      expect([1, 2]).toContain(here)
    }
})

test('more slots than stations: the visits that repeat are named', () => {
  expect(repeats(rotate(1, 2, 3))).toEqual([{ slot: 2, station: 0, group: 0 }])
})

test('materials: a group of five as 2 + 3 doubles what is needed for a set, spares one in ten', () => {
  const { materials, levels } = gameOf('tower-bay')
  const [bag] = materialsOf(
    [{ slot: 0, station: 0, materials: materials(levels[1].params), sets: [2, 3] }],
    1,
  ).stations
  expect(bag).toMatchObject([
    { item: 'cube', count: 42 + 4, spare: 4 },
    { item: 'die', count: 2, spare: 0 },
    { item: 'tower board, spaces 1 to 6', count: 2, spare: 0 },
  ])
})

test('materials: what moves on with the slots is needed once, at its busiest', () => {
  const game = gameOf('landfall')
  const demand = (slot: number, station: number, sets: number[]) => ({
    slot,
    station,
    sets,
    materials: game.materials(usualLevel(game).params),
  })
  const { stations, all } = materialsOf([demand(0, 0, [2]), demand(1, 0, [2, 2]), demand(1, 1, [2])], 2)
  const dice = (needs: { item: string; count: number }[]) => needs.find(({ item }) => item === 'die')?.count
  expect(stations.map(dice)).toEqual([2, 1])
  expect(dice(all)).toBe(3)
})

test('school days are Monday to Friday', () => {
  // 2026-11-24 is a Tuesday (ISO 8601 calendar).
  expect(weekday('2026-11-24')).toBe(2)
  expect(schoolDaysBetween('2026-11-24', '2026-11-24')).toBe(0)
  expect(schoolDaysBetween('2026-11-20', '2026-11-23')).toBe(1)
  expect(schoolDaysBetween('2026-11-20', '2026-11-22')).toBe(0)
  expect(schoolDaysBetween('2026-11-17', '2026-11-24')).toBe(5)
  expect(schoolDaysBetween('2026-11-24', '2026-11-17')).toBe(-5)
  expect(addDays('2026-12-31', 1)).toBe('2027-01-01')
})

test('slots follow each other with two minutes to move', () => {
  const { slots, parts, ends, over } = timetable('10:15', {
    slots: 3,
    slotMinutes: 12,
    around: noMinutesAround,
  })
  expect(slots).toEqual([
    { from: '10:15', to: '10:27' },
    { from: '10:29', to: '10:41' },
    { from: '10:43', to: '10:55' },
  ])
  expect(parts).toEqual([{ part: 'slots', minutes: 40, from: '10:15', to: '10:55' }])
  expect([ends, over]).toEqual(['10:55', 0])
})

test('the minutes of all parts add up to the session; a lesson too short is told by how much', () => {
  fc.assert(
    fc.property(
      fc.record({
        warmUp: fc.nat(30),
        show: fc.nat(30),
        move: fc.nat(10),
        tidy: fc.nat(20),
        talk: fc.nat(30),
        lesson: fc.option(fc.nat(180)),
      }),
      fc.integer({ min: 1, max: 6 }),
      fc.integer({ min: 5, max: 40 }),
      (around, slots, slotMinutes) => {
        const all = timetable('09:00', { slots, slotMinutes, around })
        const sum = all.parts.reduce((total, { minutes }) => total + minutes, 0)
        expect(clockAfter('09:00', sum)).toBe(all.ends)
        all.parts.forEach(({ from }, i) => expect(from).toBe(i === 0 ? '09:00' : all.parts[i - 1].to))
        expect(all.slots.at(-1)!.to).toBe(all.parts.find(({ part }) => part === 'slots')!.to)
        expect(all.over).toBe(around.lesson === null ? 0 : Math.max(0, sum - around.lesson))
      },
    ),
  )
})

test('clock times go on over midnight', () => {
  expect(clockAfter('23:50', 20)).toBe('00:10')
})
