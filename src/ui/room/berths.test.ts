import { berths, room } from './berths'

test.each([1, 2, 3, 4, 5, 6, 7, 8])('%d islands lie on the screen whole, none on another', (count) => {
  const all = berths(count)
  expect(all).toHaveLength(count)
  for (const [i, one] of all.entries()) {
    // An island is wider than high; a pennant stands over it.
    expect(one.x - one.radius).toBeGreaterThanOrEqual(0)
    expect(one.x + one.radius).toBeLessThanOrEqual(room.width)
    expect(one.y - one.radius).toBeGreaterThanOrEqual(0)
    expect(one.y + one.radius * 0.85).toBeLessThanOrEqual(room.height)
    for (const other of all.slice(i + 1)) {
      const apart = Math.abs(one.x - other.x) >= 2 * one.radius || Math.abs(one.y - other.y) >= 2 * one.radius
      expect([count, i, apart]).toEqual([count, i, true])
    }
  }
})

test('fewer islands are larger, and a last row that is not full stands in the middle', () => {
  const radius = (count: number) => berths(count)[0].radius
  expect(radius(1)).toBeGreaterThan(radius(2))
  expect(radius(4)).toBeGreaterThan(radius(6))
  const [fourth, fifth] = berths(5).slice(3)
  expect((fourth.x + fifth.x) / 2).toBeCloseTo(room.width / 2, 9)
})
