import type { Layout, Spot } from '../table/layout'
import type { Scene, SceneThing } from '../table/scene'
import { faceMarks } from './faces'
import { fixed, box, disc, fitted, line, type Mark, type Tone } from './marks'
import { covers, isLoose, sizeOf, thingInWords, thingMarks } from './things'

/** A coast round (0, 0): nine points, each a little nearer or further than the last. */
function coast(r: number): string {
  const far = [1, 1.12, 0.98, 1.1, 0.95, 1.08, 1.02, 1.12, 0.96]
  const at = (i: number) => {
    const angle = (i / far.length) * 2 * Math.PI
    const reach = r * far[i % far.length]
    return [Math.cos(angle) * reach, Math.sin(angle) * reach] as const
  }
  const middle = (i: number) => {
    const [[a, b], [c, d]] = [at(i), at(i + 1)]
    return `${fixed((a + c) / 2)} ${fixed((b + d) / 2)}`
  }
  return `M${middle(0)}${far
    .map(
      (_, i) =>
        `Q${at(i + 1)
          .map(fixed)
          .join(' ')} ${middle(i + 1)}`,
    )
    .join('')}Z`
}

const spotTone = ({ tone, shape }: Spot): Tone =>
  tone === 'hazard'
    ? 'hazard'
    : tone === 'wild'
      ? 'wild'
      : shape === 'island'
        ? 'water'
        : tone === 'quiet'
          ? 'none'
          : 'sheet'

/** What is printed of a spot, round (0, 0). */
function spotMarks(spot: Spot): Mark[] {
  const [width, height] = spot.size
  // A numeral alone may come near the edge: it is read from the back of the room.
  const share = spot.face?.kind === 'numeral' ? 0.88 : 0.78
  const printed = spot.face ? faceMarks(spot.face, width * share, height * (spot.head ? 0.3 : share)) : []
  const face: Mark[] = spot.head
    ? [{ op: 'group', id: `head ${spot.id}`, x: 0, y: fixed(-height * 0.32), marks: printed }]
    : printed
  const label = spot.label
    ? [fitted(spot.label, 0, height / 2 + 3.4, Math.max(width, 40), 5.4, 'soft', 'words')]
    : []
  switch (spot.shape) {
    case 'area':
      return [...face, ...label]
    case 'circle':
      return [disc(0, 0, Math.min(width, height) / 2, spotTone(spot), 'ink', 0.5), ...face, ...label]
    case 'island':
      return [line(coast(Math.min(width, height) * 0.52), 'ink', 0.7, 'water'), ...face, ...label]
    case 'square':
      return [box(0, 0, width, height, 1, spotTone(spot), 'ink', 0.4), ...face, ...label]
  }
}

/** Boxes for the things that lie on a spot: in rows, no larger than they like to be. */
function boxesOn(
  spot: Spot,
  things: readonly SceneThing[],
): { x: number; y: number; width: number; height: number }[] {
  const [width, height] = spot.size
  // What covers lies over everything on the spot.
  if (things.some(covers)) {
    const under = things.filter((one) => !covers(one))
    const boxes = boxesOn(spot, under)
    return things.map((one) => (covers(one) ? { x: 0, y: 0, width, height } : boxes[under.indexOf(one)]))
  }
  if (spot.shape !== 'area') {
    // Rings lie round the number, each a little larger; everything else shares the place.
    const rings = things.every(({ kind }) => kind === 'marker')
    if (rings)
      return things.map((_, i) => ({
        x: 0,
        y: 0,
        width: width * (1.12 + 0.2 * i),
        height: height * (1.12 + 0.2 * i),
      }))
    const columns = Math.ceil(Math.sqrt(things.length))
    const rows = Math.ceil(things.length / columns)
    const free = height * (spot.head ? 0.6 : 1)
    return things.map((one, i) => {
      const [most, tallest] = isLoose(one) ? sizeOf(one) : [width, height]
      return {
        x: ((i % columns) - (columns - 1) / 2) * (width / columns),
        y: (Math.floor(i / columns) - (rows - 1) / 2) * (free / rows) + (spot.head ? height * 0.17 : 0),
        width: Math.min(most, (width * 0.88) / columns),
        height: Math.min(tallest, (free * 0.88) / rows),
      }
    })
  }
  const gap = 3
  for (let scale = 1; ; scale *= 0.92) {
    const rows: { items: number[]; width: number; height: number }[] = []
    things.forEach((one, i) => {
      const [w, h] = sizeOf(one).map((side) => side * scale)
      const last = rows.at(-1)
      if (last && last.width + gap + w <= width) {
        last.items.push(i)
        last.width += gap + w
        last.height = Math.max(last.height, h)
      } else rows.push({ items: [i], width: w, height: h })
    })
    const tall = rows.reduce((sum, row) => sum + row.height + gap, -gap)
    const wide = Math.max(...rows.map((row) => row.width))
    if ((tall > height || wide > width) && scale > 0.05) continue
    const found: { x: number; y: number; width: number; height: number }[] = []
    let y = -tall / 2
    for (const row of rows) {
      let x = -row.width / 2
      for (const i of row.items) {
        const [w, h] = sizeOf(things[i]).map((side) => side * scale)
        found[i] = { x: x + w / 2, y: y + row.height / 2, width: w, height: h }
        x += w + gap
      }
      y += row.height + gap
    }
    return found
  }
}

/** The table with everything on it, as marks: ways, places, then things, each a group that can move. */
export function tableMarks(layout: Layout, scene: Scene): Mark[] {
  const spots = new Map(layout.spots.map((spot) => [spot.id, spot]))
  const marks: Mark[] = layout.paths.map(([from, to]): Mark => {
    const [a, b] = [spots.get(from)!.at, spots.get(to)!.at]
    // A row ends and the next begins: the way swings over instead of crossing the numbers.
    const bent = Math.abs(a[0] - b[0]) > 30 && a[1] !== b[1]
    const middle = (a[1] + b[1]) / 2
    const d = bent
      ? `M${fixed(a[0])} ${fixed(a[1])}C${fixed(a[0])} ${fixed(middle + 4)} ${fixed(b[0])} ${fixed(middle - 4)} ${fixed(b[0])} ${fixed(b[1])}`
      : `M${fixed(a[0])} ${fixed(a[1])}L${fixed(b[0])} ${fixed(b[1])}`
    return { op: 'path', d, fill: 'none', stroke: 'soft', line: 0.6, dashed: true }
  })
  for (const spot of layout.spots)
    marks.push({
      op: 'group',
      id: `spot ${spot.id}`,
      x: fixed(spot.at[0]),
      y: fixed(spot.at[1]),
      marks: spotMarks(spot),
    })
  const lying = new Map<string, SceneThing[]>()
  for (const one of scene.things) lying.set(one.at, [...(lying.get(one.at) ?? []), one])
  for (const [id, things] of lying) {
    const spot = spots.get(id)
    if (!spot) continue
    const boxes = boxesOn(spot, things)
    things.forEach((one, i) => {
      const { x, y, width, height } = boxes[i]
      marks.push({
        op: 'group',
        id: `thing ${one.id}`,
        x: fixed(spot.at[0] + x),
        y: fixed(spot.at[1] + y),
        name: thingInWords(one),
        marks: thingMarks(one, width, height),
      })
    })
  }
  return marks
}
