import { box, type Mark } from '../drawing/marks'
import { mostPieces, TooMuch } from './too-much'

/** One thing that is cut out, or a whole page: its marks lie round its middle; millimetres. */
export interface Piece {
  width: number
  height: number
  marks: readonly Mark[]
  /** What is on its other side, where backs are printed; none: it stays white. */
  back?: readonly Mark[]
}

/** The outline is the line to cut along: pieces stand edge to edge. */
export const framed = (width: number, height: number, marks: readonly Mark[]): Piece => ({
  width,
  height,
  marks: [box(0, 0, width, height, 0, 'none', 'soft', 0.25), ...marks],
})

export const at = (x: number, y: number, marks: readonly Mark[], id: string): Mark => ({
  op: 'group',
  id,
  x,
  y,
  marks,
})

export const copiesOf = <T>(items: readonly T[], copies: number): T[] =>
  Array.from({ length: copies }, () => items).flat()

/**
 * Whole numbers from the first to the last, both among them.
 * @throws {TooMuch} for more than anybody prints
 */
export function range(from: number, to: number, by = 1): number[] {
  const count = Math.max(0, Math.floor((to - from) / by) + 1)
  if (count > mostPieces) throw new TooMuch(null)
  return Array.from({ length: count }, (_, i) => from + i * by)
}
