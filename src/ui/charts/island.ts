import { curveCatmullRomClosed, line } from 'd3-shape'
import { seededChance, unit } from '@/core/chance/chance'

const angles = 72

interface Island {
  coast: string
  depths: string[]
}

/** Islands that were drawn: the server draws those of its classes at every look at a page. */
const drawn = new Map<string, Island>()
const mostDrawn = 200

/**
 * The coast of an island and its depth lines as paths round the origin. The same seed gives the same
 * island, so a station keeps its shape. `radius`: mean radius before the islands are made equally large.
 */
export function island(seed: number, radius: number): Island {
  const key = `${seed} ${radius}`
  const known = drawn.get(key)
  if (known) return known
  if (drawn.size >= mostDrawn) drawn.clear()
  const made = draw(seed, radius)
  drawn.set(key, made)
  return made
}

function draw(seed: number, radius: number): Island {
  const chance = seededChance(seed)
  const waves = [2, 3, 4, 5, 6].map((k) => ({
    k,
    height: 0.2 * k ** -0.9 * (0.6 + 0.4 * unit(chance)),
    phase: 2 * Math.PI * unit(chance),
  }))
  let bulge = Array.from({ length: angles }, (_, i) => {
    const theta = (2 * Math.PI * i) / angles
    const sum = waves.reduce((total, { k, height, phase }) => total + height * Math.cos(k * theta + phase), 0)
    return Math.max(-0.26, Math.min(0.26, sum))
  })
  for (let pass = 0; pass < 2; pass++)
    bulge = bulge.map((own, i) => (bulge[(i + angles - 1) % angles] + 2 * own + bulge[(i + 1) % angles]) / 4)

  // Areas go with the mean of the squared radius: divided out, all islands are equally large.
  const even = 1 / Math.sqrt(bulge.reduce((sum, f) => sum + (1 + f) ** 2, 0) / angles)
  const shore = line<[number, number]>().digits(1).curve(curveCatmullRomClosed.alpha(0))
  const at = (distance: number, share: number) =>
    shore(
      bulge.map((f, i) => {
        const r = radius * even * (1 + distance + share * f)
        const theta = (2 * Math.PI * i) / angles
        return [Math.round(11.8 * r * Math.cos(theta)) / 10, Math.round(8.5 * r * Math.sin(theta)) / 10]
      }),
    ) ?? ''
  return { coast: at(0, 1), depths: [at(0.1, 0.8), at(0.22, 0.6), at(0.38, 0.4)] }
}
