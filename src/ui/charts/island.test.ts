import { island } from './island'

/** Points a path goes through, in its own units. */
const pointsOf = (path: string) =>
  [...path.matchAll(/(-?[\d.]+),(-?[\d.]+)(?=[CZ]|$)/g)].map(([, x, y]) => [Number(x), Number(y)])

/** Area of the polygon through these points (shoelace formula). */
const areaOf = (points: number[][]) =>
  Math.abs(
    points.reduce((sum, [x, y], i) => {
      const [nextX, nextY] = points[(i + 1) % points.length]
      return sum + x * nextY - nextX * y
    }, 0),
  ) / 2

test('the same seed gives the same island, another one another', () => {
  expect(island(3, 40)).toEqual(island(3, 40))
  expect(island(3, 40).coast).not.toBe(island(4, 40).coast)
})

test('islands of one radius are equally large, whatever their shape; depth lines lie outside one another', () => {
  const areas = Array.from({ length: 40 }, (_, seed) => areaOf(pointsOf(island(seed, 40).coast)))
  // An ellipse of the same half-axes: 1.18 and 0.85 times the radius.
  for (const area of areas) expect(area / (Math.PI * 47.2 * 34)).toBeCloseTo(1, 1)
  const { coast, depths } = island(7, 40)
  const rings = [coast, ...depths].map((path) => areaOf(pointsOf(path)))
  expect(rings).toEqual([...rings].sort((a, b) => a - b))
})
