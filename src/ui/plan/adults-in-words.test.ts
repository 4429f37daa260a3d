import { adultsInWords } from './adults-in-words'

const stations = ['Landfall', 'Perch', 'Landfall'].map((title, i) => ({ id: `${i}`, title })) as Parameters<
  typeof adultsInWords
>[0]['stations']
const at = (slot: number, station: number, adult: number) => ({ slot, station: `${station}`, adult })

test('each adult’s way through the session, the teacher first', () => {
  const adults = [at(0, 1, 1), at(0, 0, 0), at(1, 0, 0), at(1, 2, 1), at(2, 2, 1)]
  expect(adultsInWords({ adults, stations })).toBe(
    'You at Landfall (station 1). Second adult at Perch, from slot 2 at Landfall (station 3).',
  )
})

test('an adult who is needed later only is told from when on; nobody needed: nothing', () => {
  expect(adultsInWords({ adults: [at(1, 1, 3)], stations })).toBe('Adult 4 from slot 2 at Perch.')
  expect(adultsInWords({ adults: [], stations })).toBe('')
})
