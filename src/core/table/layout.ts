import type { Face } from '../things/face'

/** A place on the table; millimetres, `at` its middle. */
export interface Spot {
  id: string
  at: readonly [x: number, y: number]
  size: readonly [width: number, height: number]
  /** `area`: where things lie without a place being printed: hands, piles, what was rolled. */
  shape: 'circle' | 'square' | 'island' | 'area'
  /** What is printed in it. */
  face?: Face
  /** What is printed stands at the head of the place, and things lie below it. */
  head?: true
  tone?: 'hazard' | 'wild' | 'quiet'
  /** Whose place it is. */
  owner?: number
  /** A word under it, for the adult. */
  label?: string
}

/** Where everything can lie, in millimetres from the upper left corner. */
export interface Layout {
  width: number
  height: number
  spots: readonly Spot[]
  /** Ways between places, by their ids. */
  paths: readonly (readonly [string, string])[]
}

type PlainSpot = Omit<Spot, 'at' | 'size'>

/** Places with one size in rows of `columns`, from the left, from the top. */
export function grid(
  spots: readonly PlainSpot[],
  columns: number,
  size: readonly [number, number] = [14, 14],
  gap = 2,
): Layout {
  const [width, height] = size
  const rows = Math.ceil(spots.length / columns)
  const across = Math.min(columns, spots.length)
  return {
    width: across * (width + gap) - gap,
    height: rows * (height + gap) - gap,
    paths: [],
    spots: spots.map((spot, i) => ({
      ...spot,
      size,
      at: [(i % columns) * (width + gap) + width / 2, Math.floor(i / columns) * (height + gap) + height / 2],
    })),
  }
}

/** One place. */
export const place = (
  id: string,
  size: readonly [number, number],
  more: Partial<Omit<Spot, 'id' | 'at' | 'size'>> = {},
): Layout => grid([{ shape: 'area', ...more, id }], 1, size)

/**
 * A track whose rows hold ten: nought stands before the first row, so that ten and twenty end theirs.
 * @param id of a square by its number
 */
export function trackRows(
  from: number,
  to: number,
  spotOf: (n: number) => PlainSpot,
  size = 14,
  gap = 4,
): Layout {
  const [low, high] = [Math.min(from, to), Math.max(from, to)]
  const column = (n: number) => (n === 0 ? 0 : ((n - 1) % 10) + 1)
  const row = (n: number) => (n === 0 ? 0 : Math.floor((n - 1) / 10))
  const numbers = Array.from({ length: high - low + 1 }, (_, i) => low + i)
  // Room over each row for hops that are counted; none where there are many, so that numbers stay large.
  const long = row(high) - row(low) > 3
  const step = size + (long ? Math.min(gap, 2) : gap)
  const down = long ? step : step + size * 0.5
  const first = Math.min(...numbers.map(column))
  const width = (Math.max(...numbers.map(column)) - first) * step + size
  return {
    width,
    height: (row(high) - row(low)) * down + size,
    spots: numbers.map((n) => ({
      ...spotOf(n),
      size: [size, size],
      at: [(column(n) - first) * step + size / 2, (row(n) - row(low)) * down + size / 2],
    })),
    paths: numbers.slice(1).map((n) => [spotOf(n - 1).id, spotOf(n).id]),
  }
}

/** A grid of ten columns from 1, as on the wall. */
export const hundredGrid = (to: number, spotOf: (n: number) => PlainSpot, size = 12): Layout =>
  grid(
    Array.from({ length: to }, (_, i) => spotOf(i + 1)),
    10,
    [size, size],
    0,
  )

/** Places round a rectangle, clockwise from its upper left, with something in the middle. */
export function ring(
  spots: readonly PlainSpot[],
  middle: Layout,
  size: readonly [number, number] = [18, 12],
  gap = 2,
): Layout {
  const [width, height] = size
  const count = spots.length
  const fits = (across: number, rows: number) =>
    (across - 2) * (width + gap) - gap >= middle.width && (rows - 2) * (height + gap) - gap >= middle.height
  // A rectangle with as many places as are wanted, if the middle fits into one; else a larger one with gaps.
  const widths = Array.from({ length: Math.max(0, Math.floor(count / 2) - 2) }, (_, i) => i + 3)
  const exact = widths
    .map((across) => ({ across, rows: count / 2 + 2 - across }))
    .filter(({ across, rows }) => Number.isInteger(rows) && rows >= 3 && fits(across, rows))
    .sort((a, b) => Math.abs(a.across - 1.6 * a.rows) - Math.abs(b.across - 1.6 * b.rows))[0]
  const wide = Math.max(Math.ceil((middle.width + gap) / (width + gap)), Math.ceil(count / 4)) + 2
  const { across, rows } = exact ?? {
    across: wide,
    rows:
      Math.max(Math.ceil((count - 2 * wide) / 2), Math.ceil((middle.height + gap) / (height + gap)), 1) + 2,
  }
  const x = (column: number) => column * (width + gap) + width / 2
  const y = (line: number) => line * (height + gap) + height / 2
  const edge: [number, number][] = []
  for (let column = 0; column < across; column++) edge.push([x(column), y(0)])
  for (let line = 1; line < rows; line++) edge.push([x(across - 1), y(line)])
  for (let column = across - 2; column >= 0; column--) edge.push([x(column), y(rows - 1)])
  for (let line = rows - 2; line > 0; line--) edge.push([x(0), y(line)])
  // Spread evenly over the edge.
  const chosen = spots.map((_, i) => edge[Math.floor((i * edge.length) / count)])
  const whole = { width: across * (width + gap) - gap, height: rows * (height + gap) - gap }
  return {
    ...whole,
    spots: [
      ...spots.map((spot, i) => ({ ...spot, size, at: chosen[i] })),
      ...moved(middle, (whole.width - middle.width) / 2, (whole.height - middle.height) / 2).spots,
    ],
    paths: [...spots.map((spot, i) => [spot.id, spots[(i + 1) % count].id] as const), ...middle.paths],
  }
}

/** Places round a circle, clockwise from the top: children who sit in one. */
export function circle(spots: readonly PlainSpot[], size = 14): Layout {
  // Far enough apart that no two touch.
  const radius = Math.max(size, (spots.length * size * 1.3) / (2 * Math.PI))
  const side = 2 * radius + size
  return {
    width: side,
    height: side,
    paths: [],
    spots: spots.map((spot, i) => {
      const turn = (i / spots.length) * 2 * Math.PI
      return {
        ...spot,
        size: [size, size],
        at: [side / 2 + radius * Math.sin(turn), side / 2 - radius * Math.cos(turn)],
      }
    }),
  }
}

function moved(part: Layout, dx: number, dy: number): Layout {
  return {
    ...part,
    spots: part.spots.map((spot) => ({ ...spot, at: [spot.at[0] + dx, spot.at[1] + dy] })),
  }
}

/** Parts side by side, each in the middle of the height. */
export function beside(gap: number, ...parts: readonly Layout[]): Layout {
  const height = Math.max(...parts.map((part) => part.height))
  let x = 0
  const set = parts.map((part) => {
    const here = moved(part, x, (height - part.height) / 2)
    x += part.width + gap
    return here
  })
  return joined(x - gap, height, set)
}

/** Parts one above the other, each in the middle of the width. */
export function stacked(gap: number, ...parts: readonly Layout[]): Layout {
  const width = Math.max(...parts.map((part) => part.width))
  let y = 0
  const set = parts.map((part) => {
    const here = moved(part, (width - part.width) / 2, y)
    y += part.height + gap
    return here
  })
  return joined(width, y - gap, set)
}

const joined = (width: number, height: number, parts: readonly Layout[]): Layout => ({
  width,
  height,
  spots: parts.flatMap(({ spots }) => spots),
  paths: parts.flatMap(({ paths }) => paths),
})

/** The same with a margin all round: nothing touches the edge of the table. */
export function onTable(part: Layout, margin = 8): Layout {
  return {
    ...moved(part, margin, margin),
    width: part.width + 2 * margin,
    height: part.height + 2 * margin,
  }
}
