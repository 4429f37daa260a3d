import type { Layout, Spot } from './layout'
import type { Scene, SceneThing } from './scene'

/** More than so much of the table is no detail of it. */
const wholeFrom = 0.7

/** A part of a table: whole places, and what lies on them. */
export interface Detail {
  layout: Layout
  scene: Scene
}

/** Things that were changed or put there, as they are now, and where things lay that were moved or taken away. */
export function changed(before: Scene, after: Scene): Pick<SceneThing, 'at' | 'face'>[] {
  const known = new Map(before.things.map((one) => [one.id, one]))
  const found: Pick<SceneThing, 'at' | 'face'>[] = []
  for (const one of after.things) {
    const was = known.get(one.id)
    known.delete(one.id)
    if (was && JSON.stringify(was) === JSON.stringify(one)) continue
    found.push(one)
    if (was && was.at !== one.at) found.push({ at: was.at, face: null })
  }
  return [...found, ...[...known.values()].map(({ at }) => ({ at, face: null }))]
}

/** Places on the shortest way along the lines of a board; none where no line leads there. */
export function wayBetween({ paths }: Layout, from: string, to: string): string[] {
  const came = new Map<string, string | null>([[from, null]])
  for (const spot of came.keys()) {
    if (spot === to) break
    for (const [a, b] of paths) {
      const next = a === spot ? b : b === spot ? a : null
      if (next !== null && !came.has(next)) came.set(next, spot)
    }
  }
  const way: string[] = []
  for (let at: string | null | undefined = came.has(to) ? to : null; at; at = came.get(at)) way.push(at)
  return way
}

interface Box {
  left: number
  right: number
  top: number
  bottom: number
}

const boxOf = ({ at: [x, y], size: [width, height] }: Spot): Box => ({
  left: x - width / 2,
  right: x + width / 2,
  top: y - height / 2,
  bottom: y + height / 2,
})

const round = (boxes: readonly Box[]): Box => ({
  left: Math.min(...boxes.map(({ left }) => left)),
  right: Math.max(...boxes.map(({ right }) => right)),
  top: Math.min(...boxes.map(({ top }) => top)),
  bottom: Math.max(...boxes.map(({ bottom }) => bottom)),
})

/** The part of the table where something changed, as it is afterwards; null: nothing did. */
export function detail(layout: Layout, changed: readonly string[], after: Scene): Detail | null {
  const meant = layout.spots.filter(({ id }) => changed.includes(id))
  if (meant.length === 0) return null
  const view = round(meant.map(boxOf))
  const share = ((view.right - view.left) * (view.bottom - view.top)) / (layout.width * layout.height)
  if (share > wholeFrom) return { layout, scene: after }
  // What lies between and whole: half a square at an edge would only puzzle.
  const within = layout.spots.filter((spot) => {
    const [x, y] = spot.at
    return x >= view.left && x <= view.right && y >= view.top && y <= view.bottom
  })
  const whole = round(within.map(boxOf))
  const margin = 3
  const [dx, dy] = [margin - whole.left, margin - whole.top]
  const ids = new Set(within.map(({ id }) => id))
  return {
    layout: {
      width: whole.right - whole.left + 2 * margin,
      height: whole.bottom - whole.top + 2 * margin,
      spots: within.map(({ label: _label, ...spot }) => ({
        ...spot,
        at: [spot.at[0] + dx, spot.at[1] + dy],
      })),
      paths: layout.paths.filter(([from, to]) => ids.has(from) && ids.has(to)),
    },
    scene: { things: after.things.filter(({ at }) => ids.has(at)) },
  }
}
