import { fitted, type Mark } from '../drawing/marks'
import { scaled } from '../drawing/scaled'
import { footHeight, safeMargin, sizeOfPaper, type PaperId } from './paper'
import type { Piece } from './piece'

export interface Page {
  width: number
  height: number
  marks: readonly Mark[]
}

interface Placed {
  piece: Piece
  x: number
  y: number
}

/** A piece that is wider than the paper is turned, or made smaller until it fits. */
function fitting(piece: Piece, width: number, height: number): Piece {
  const scale = Math.min(1, width / piece.width, height / piece.height)
  if (scale === 1) return piece
  return {
    width: piece.width * scale,
    height: piece.height * scale,
    marks: piece.marks.map((mark) => scaled(mark, scale)),
  }
}

/**
 * Pieces in rows, edge to edge, so that one cut serves two; in their order, row by row and page by page. All inside the
 * safe margin, with a foot on every page.
 * @param foot what the pages are for; the number of the page is put to it
 */
export function packed(pieces: readonly Piece[], paper: PaperId, foot: string): Page[] {
  const [paperWidth, paperHeight] = sizeOfPaper(paper)
  const [width, height] = [paperWidth - 2 * safeMargin, paperHeight - 2 * safeMargin - footHeight]
  const pages: Placed[][] = []
  let [x, y, tallest] = [0, Infinity, 0]
  for (const given of pieces) {
    const piece = fitting(given, width, height)
    if (x + piece.width > width + 1e-9) {
      x = 0
      y += tallest
      tallest = 0
    }
    if (y + piece.height > height + 1e-9) {
      pages.push([])
      ;[x, y, tallest] = [0, 0, 0]
    }
    pages.at(-1)!.push({ piece, x: x + piece.width / 2, y: y + piece.height / 2 })
    x += piece.width
    tallest = Math.max(tallest, piece.height)
  }
  return pages.map((placed, i) => ({
    width: paperWidth,
    height: paperHeight,
    marks: [
      ...placed.map(({ piece, x: px, y: py }, n): Mark => ({
        op: 'group',
        id: `piece ${n}`,
        x: safeMargin + px,
        y: safeMargin + py,
        marks: piece.marks,
      })),
      {
        op: 'group',
        id: 'foot',
        x: paperWidth / 2,
        y: paperHeight - safeMargin - footHeight / 2,
        marks: [fitted(`${foot} · page ${i + 1} of ${pages.length}`, 0, 0, width, 4.2, 'soft', 'words')],
      },
    ],
  }))
}
