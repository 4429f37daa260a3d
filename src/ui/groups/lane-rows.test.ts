import fc from 'fast-check'
import { inRows, laneHeight, laneWidth, laneX, rowHeight } from './lane-rows'

const child = (name: string, success: number) => ({ name, success })
/** As wide as the names are reckoned. */
const spanOf = ({ name, x, before }: { name: string; x: number; before: boolean }) => {
  const width = 26 + name.length * 7.6
  return before ? [x + 8 - width, x + 8] : [x - 8, x - 8 + width]
}

test('names have the middle row first, behind their dots', () => {
  const placed = inRows([child('Ama', 0.5), child('Bo', 0.8)])
  expect(placed.map(({ name, row, before }) => [name, row, before])).toEqual([
    ['Ama', 1, false],
    ['Bo', 1, false],
  ])
})

test('at the easy end a name goes before its dot; the dot stays', () => {
  const [placed] = inRows([child('Maximiliane', 0.97)])
  expect(placed.x).toBe(laneX(0.97))
  expect(placed.before).toBe(true)
  const [all] = inRows([child('Maximiliane', 1)])
  expect(all.x).toBe(laneWidth)
})

test('children of whom the same is expected stand beneath one another, and the lane is as high as it takes', () => {
  const alike = (count: number) => inRows(Array.from({ length: count }, (_, i) => child(`Child${i}`, 0.7)))
  const placed = alike(5)
  expect(placed.map(({ row }) => row).sort()).toEqual([0, 1, 2, 3, 4])
  expect(new Set(placed.map(({ x }) => x))).toEqual(new Set([laneX(0.7)]))
  expect([alike(1), alike(3), placed].map(laneHeight)).toEqual([88, 88, 110])
})

test('whoever stands in a lane: every dot at its figure, no name over another, none beyond the edge', () => {
  const anyChild = fc.record({
    name: fc.string({ minLength: 1, maxLength: 24 }),
    success: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  fc.assert(
    fc.property(fc.array(anyChild, { maxLength: 30 }), (children) => {
      const placed = inRows(children)
      expect(placed).toHaveLength(children.length)
      for (const one of placed) {
        expect(one.x).toBe(laneX(one.success))
        const [from, to] = spanOf(one)
        expect(from).toBeGreaterThanOrEqual(-8)
        expect(to).toBeLessThanOrEqual(laneWidth + 8)
      }
      for (const [i, one] of placed.entries())
        for (const other of placed.slice(i + 1)) {
          if (one.row !== other.row) continue
          const [[a, b], [c, d]] = [spanOf(one), spanOf(other)]
          expect(b <= c || d <= a).toBe(true)
        }
      const rows = Math.max(0, ...placed.map(({ row }) => row))
      expect(laneHeight(placed)).toBeGreaterThan(rowHeight(placed) * rows)
    }),
  )
})
