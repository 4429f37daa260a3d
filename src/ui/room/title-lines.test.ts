import { games } from '@/core/games'
import { berths, room } from './berths'
import { titleLines } from './title-lines'

test('titles are broken at a space near their middle, words never', () => {
  expect(titleLines('Landfall')).toEqual(['Landfall'])
  expect(titleLines('Switchback')).toEqual(['Switchback'])
  expect(titleLines('Card Order')).toEqual(['Card', 'Order'])
  expect(titleLines('Harbour Guard')).toEqual(['Harbour', 'Guard'])
  expect(titleLines('Number in the Fog')).toEqual(['Number in', 'the Fog'])
})

test('with six stations every title of the catalogue stands beside its neighbour at 72 pixels', () => {
  const [first, second] = berths(6)
  // Letters are half as wide as they are high, a little more.
  const widest = Math.max(...games.flatMap(({ title }) => titleLines(title).map(({ length }) => length)))
  expect(widest * 0.54 * 72).toBeLessThan(second.x - first.x)
  expect(room.width).toBe(1440)
})
