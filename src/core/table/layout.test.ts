import fc from 'fast-check'
import {
  beside,
  circle,
  grid,
  hundredGrid,
  onTable,
  place,
  ring,
  stacked,
  trackRows,
  type Layout,
} from './layout'

const square = (id: string | number) => ({ id: String(id), shape: 'square' as const })
const squares = (count: number) => Array.from({ length: count }, (_, i) => square(i))

/** What no layout may have: places beyond its edge, over one another, or ways between places that are not there. */
function faultsOf({ width, height, spots, paths }: Layout): string[] {
  const ids = new Set(spots.map(({ id }) => id))
  const beyond = spots.filter(({ at, size }) =>
    [width, height].some(
      (edge, side) => at[side] - size[side] / 2 < -1e-9 || at[side] + size[side] / 2 > edge + 1e-9,
    ),
  )
  const over = spots.flatMap((one, i) =>
    spots
      .slice(i + 1)
      .filter((other) =>
        [0, 1].every(
          (side) => (one.size[side] + other.size[side]) / 2 - Math.abs(one.at[side] - other.at[side]) > 1e-9,
        ),
      )
      .map((other) => `${one.id} over ${other.id}`),
  )
  const lost = paths.flat().filter((id) => !ids.has(id))
  return [...beyond.map(({ id }) => `${id} beyond`), ...over, ...lost.map((id) => `${id} is nowhere`)]
}

test('places in rows: as many as are asked for, in the order of reading', () => {
  fc.assert(
    fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 12 }), (count, columns) => {
      const made = grid(squares(count), columns)
      expect(made.spots.map(({ id }) => Number(id))).toEqual(Array.from({ length: count }, (_, i) => i))
      expect(faultsOf(made)).toEqual([])
      for (const [i, { at }] of made.spots.entries()) {
        if (i % columns > 0) expect(at[0]).toBeGreaterThan(made.spots[i - 1].at[0])
        if (i >= columns) expect(at[1]).toBeGreaterThan(made.spots[i - columns].at[1])
      }
    }),
  )
})

test('a track in rows of ten: tens end their rows, each number has a way to the next', () => {
  for (const [from, to] of [
    [0, 20],
    [1, 30],
    [20, 50],
    [0, 100],
    [10, 0],
  ]) {
    const made = trackRows(from, to, square)
    const at = (n: number) => made.spots.find(({ id }) => id === String(n))!.at
    const [low, high] = [Math.min(from, to), Math.max(from, to)]
    expect(faultsOf(made)).toEqual([])
    expect(made.spots).toHaveLength(high - low + 1)
    expect(made.paths).toHaveLength(high - low)
    for (let n = low + 1; n <= high; n++) {
      // In a row to the right; after a ten to the next row.
      if (n % 10 === 1 && n > 1) expect(at(n)[1]).toBeGreaterThan(at(n - 1)[1])
      else expect(at(n)[0]).toBeGreaterThan(at(n - 1)[0])
      if (n > low + 10 && n > 10) expect(at(n)[0]).toBeCloseTo(at(n - 10)[0], 9)
    }
  }
})

test('on a hundred grid ten more stands beneath, one more beside', () => {
  const { spots } = hundredGrid(100, square)
  const at = (n: number) => spots.find(({ id }) => id === String(n))!.at
  expect(at(47)[0]).toBe(at(37)[0])
  expect(at(47)[1] - at(37)[1]).toBe(at(48)[0] - at(47)[0])
})

test('round a rectangle and round a circle: every place once, the middle inside, nobody touches', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 6, max: 40 }),
      fc.integer({ min: 10, max: 90 }),
      fc.integer({ min: 10, max: 60 }),
      (count, width, height) => {
        const round = ring(squares(count), place('middle', [width, height]))
        expect(faultsOf(round)).toEqual([])
        expect(round.spots).toHaveLength(count + 1)
        // The way leads round: each place has one to the next, the last to the first.
        expect(round.paths).toHaveLength(count)
        const sitting = circle(squares(count))
        expect(sitting.spots).toHaveLength(count)
        for (const [i, one] of sitting.spots.entries())
          for (const other of sitting.spots.slice(i + 1))
            expect(Math.hypot(one.at[0] - other.at[0], one.at[1] - other.at[1])).toBeGreaterThan(one.size[0])
      },
    ),
  )
})

test('parts beside and above one another keep their size and order; on the table nothing touches the edge', () => {
  const [a, b] = [grid(squares(3), 3), place('hand', [40, 30])]
  const across = beside(6, a, b)
  expect(across.width).toBe(a.width + 6 + b.width)
  expect(across.height).toBe(Math.max(a.height, b.height))
  const down = stacked(6, a, b)
  expect(down.height).toBe(a.height + 6 + b.height)
  expect(down.width).toBe(Math.max(a.width, b.width))
  for (const made of [across, down]) expect(faultsOf(made)).toEqual([])
  const table = onTable(across, 8)
  for (const { at, size } of table.spots) {
    expect(at[0] - size[0] / 2).toBeGreaterThanOrEqual(8)
    expect(table.height - at[1] - size[1] / 2).toBeGreaterThanOrEqual(8)
  }
})
