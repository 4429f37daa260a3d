import { groupNames } from '@/core/grouping/pennants'
import { readIn } from '../testing/markup'
import { StationList } from './station-list'

type Station = Parameters<typeof StationList>[0]['stations'][number]

const station = (change: Partial<Station>): Station => ({
  id: 'a',
  title: 'Tower Bay',
  gameId: 'tower-bay',
  levelId: 'to-5',
  level: '1 to 5, spinner',
  mode: 'own',
  pennants: [0],
  ...change,
})

test('each station with its game, its level, who is near, and who is there now', () => {
  const said = readIn(
    <StationList
      foot="Slot 1 of 3 · 10:20 to 10:32"
      stations={[
        station({ mode: 'adult-led', pennants: [0, 3] }),
        station({ id: 'b', title: 'Landfall', level: '0 to 12, one die', mode: 'adult-near', pennants: [1] }),
        // Nobody is there in this slot: no level either.
        station({ id: 'c', title: 'Perch', level: '', levelId: null, pennants: [] }),
      ]}
    />,
  )
  expect(said).toContain('Slot 1 of 3 · 10:20 to 10:32')
  expect(said).toMatch(
    new RegExp(`Tower Bay 1 to 5, spinner · with an adult .*${groupNames[0]} .*${groupNames[3]}`),
  )
  expect(said).toMatch(new RegExp(`Landfall 0 to 12, one die · adult near .*${groupNames[1]}`))
  expect(said).toMatch(/Perch on their own$/)
})

test('eight stations are eight: none is left out', () => {
  const stations = Array.from({ length: 8 }, (_, i) =>
    station({ id: String(i), title: `Game ${i}`, pennants: [i] }),
  )
  const said = readIn(<StationList foot="" stations={stations} />)
  for (const { title } of stations) expect(said).toContain(title)
})
