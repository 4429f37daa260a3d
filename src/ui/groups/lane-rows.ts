export const laneWidth = 664
const lowest = 0.4
/** Where a predicted success stands in a lane, in pixels. */
export const laneX = (success: number) =>
  ((Math.max(lowest, Math.min(1, success)) - lowest) / (1 - lowest)) * laneWidth

/** From the middle of a dot to the edge of its button. */
const beside = 8
/** Rows of names in the usual order: the middle one first. */
const usualRows = [1, 0, 2]

/** Where a name stands: its dot at `x`, whatever room there is, the name behind it or before it. */
export interface InRow {
  x: number
  row: number
  before: boolean
}

/** About how wide a name is with its dot, in pixels. */
const widthOf = (name: string) => 26 + name.length * 7.6

/**
 * Names in rows. A dot never gives way: it stands for a figure. It is the name that goes before its dot where there is
 * no room behind it, to another row, or to a new one.
 */
export function inRows<T extends { name: string; success: number }>(children: readonly T[]): (T & InRow)[] {
  const taken: [from: number, to: number][][] = [[], [], []]
  const at = (x: number, width: number, before: boolean): [number, number] =>
    before ? [x + beside - width, x + beside] : [x - beside, x - beside + width]
  const fits = ([from, to]: [number, number], row: number) =>
    from >= -beside && to <= laneWidth + beside && (taken[row] ??= []).every(([a, b]) => to <= a || from >= b)
  return [...children]
    .sort((a, b) => a.success - b.success)
    .map((child) => {
      const x = laneX(child.success)
      const sides = [false, true].map((before) => ({ before, place: at(x, widthOf(child.name), before) }))
      const rows = [...usualRows, ...taken.slice(usualRows.length).map((_, i) => usualRows.length + i)]
      const found =
        sides
          .flatMap((side) => rows.map((row) => ({ ...side, row })))
          .find(({ place, row }) => fits(place, row)) ??
        sides.map((side) => ({ ...side, row: taken.length })).find(({ place, row }) => fits(place, row))!
      taken[found.row].push(found.place)
      return { ...child, x, row: found.row, before: found.before }
    })
}

const rowsOf = (placed: readonly InRow[]) => 1 + Math.max(0, ...placed.map(({ row }) => row))

/** From one row to the next, in pixels: closer where there are more of them than usual. */
export const rowHeight = (placed: readonly InRow[]) => (rowsOf(placed) > usualRows.length ? 20 : 26)

/** How high a lane with so placed names is, in pixels. */
export const laneHeight = (placed: readonly InRow[]) => Math.max(88, 10 + rowHeight(placed) * rowsOf(placed))
