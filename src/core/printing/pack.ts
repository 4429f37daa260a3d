import { line, type Mark } from '../drawing/marks'
import { scaled } from '../drawing/scaled'
import { footHeight, safeMargin, sizeOfPaper, type Backs, type PaperId } from './paper'
import type { Piece } from './piece'
import { sizeFor, textFrom, textTo } from './text'

export interface Page {
  width: number
  height: number
  marks: readonly Mark[]
  /** What it is and what it is for, as its foot says it. */
  title: string
}

/** Pieces that belong together: they begin a row of their own, so that equal ones are cut together. */
export interface Part {
  title: string
  pieces: readonly Piece[]
  /** On sheets that lie across. */
  across?: boolean
}

/** What goes into one bag, one envelope or one hand: it begins a page of its own. */
export interface Sheaf {
  title: string
  parts: readonly Part[]
}

interface Layout {
  paper: PaperId
  backs: Backs
  /** What the cards that differ were drawn with: the same job again has the same ones. */
  seed: number
}

interface Placed {
  piece: Piece
  x: number
  y: number
}

interface Sheet {
  across: boolean
  titles: string[]
  placed: Placed[]
}

/** A piece that is larger than the paper is made smaller until it fits. */
function fitting(piece: Piece, width: number, height: number): Piece {
  const scale = Math.min(1, width / piece.width, height / piece.height)
  if (scale === 1) return piece
  const smaller = (marks: readonly Mark[]) => marks.map((mark) => scaled(mark, scale))
  return {
    width: piece.width * scale,
    height: piece.height * scale,
    marks: smaller(piece.marks),
    ...(piece.back ? { back: smaller(piece.back) } : {}),
  }
}

const spaceOf = (paper: PaperId, across: boolean) => {
  const [short, long] = sizeOfPaper(paper)
  const [width, height] = across ? [long, short] : [short, long]
  return { width, height, inside: [width - 2 * safeMargin, height - 2 * safeMargin - footHeight] as const }
}

/** The pieces of a sheaf on sheets: in rows, edge to edge, so that one cut serves two. */
function sheetsOf({ parts }: Sheaf, paper: PaperId): Sheet[] {
  const sheets: Sheet[] = []
  let [x, y, tallest] = [0, 0, 0]
  for (const { title, pieces, across = false } of parts) {
    const [width, height] = spaceOf(paper, across).inside
    let first = true
    for (const given of pieces) {
      const piece = fitting(given, width, height)
      const last = sheets.at(-1)
      if (first || x + piece.width > width + 1e-9) {
        y += tallest
        ;[x, tallest] = [0, 0]
      }
      first = false
      if (!last || last.across !== across || y + piece.height > height + 1e-9) {
        sheets.push({ across, titles: [], placed: [] })
        ;[x, y, tallest] = [0, 0, 0]
      }
      const sheet = sheets.at(-1)!
      if (!sheet.titles.includes(title)) sheet.titles.push(title)
      sheet.placed.push({ piece, x: x + piece.width / 2, y: y + piece.height / 2 })
      x += piece.width
      tallest = Math.max(tallest, piece.height)
    }
  }
  return sheets
}

/**
 * Pages of all sheaves, in their order. All inside the safe margin, with a foot on every page; where backs are printed,
 * each page is followed by its other side, mirrored as the printer turns the sheet.
 */
export function packed(sheaves: readonly Sheaf[], { paper, backs, seed }: Layout): Page[] {
  const sheets = sheaves.flatMap((sheaf) =>
    sheetsOf(sheaf, paper).map((sheet) => ({
      ...sheet,
      title: [...new Set([sheaf.title, ...sheet.titles])].join(' · '),
    })),
  )
  return sheets.flatMap(({ across, placed, title }, i) => {
    const { width, height, inside } = spaceOf(paper, across)
    const front: Page = {
      width,
      height,
      title,
      marks: [
        ...placed.map(({ piece, x, y }, n): Mark => ({
          op: 'group',
          id: `piece ${n}`,
          x: safeMargin + x,
          y: safeMargin + y,
          marks: piece.marks,
        })),
        foot(title, `seed ${seed} · page ${i + 1} of ${sheets.length}`, inside[0], height),
        ...(i === 0 ? [ruler(height)] : []),
      ],
    }
    if (backs === 'none') return [front]
    // Turned over along the long edge of a sheet that stands, left and right change places; along the short one, top and bottom.
    const sideways = (backs === 'long edge') !== across
    const back: Page = {
      width,
      height,
      title: `back of ${title}`,
      marks: placed.flatMap(({ piece, x, y }, n): Mark[] =>
        piece.back
          ? [
              {
                op: 'group',
                id: `back ${n}`,
                x: sideways ? width - safeMargin - x : safeMargin + x,
                y: sideways ? safeMargin + y : height - safeMargin - y,
                marks: piece.back,
              },
            ]
          : [],
      ),
    }
    return [front, back]
  })
}

/** Size of the foot's letters; millimetres. */
const footSize = 2.8

function foot(title: string, page: string, width: number, height: number): Mark {
  const size = sizeFor(title, width * 0.72, footSize)
  return {
    op: 'group',
    id: 'foot',
    x: safeMargin,
    y: height - safeMargin - 1.2,
    marks: [
      textFrom(title, 0, 0, { size, tone: 'soft' }),
      textTo(page, width, 0, { size: footSize * 0.9, tone: 'soft' }),
    ],
  }
}

/** A hundred millimetres on the first page: a printer that makes pages smaller is found out before anything is cut. */
function ruler(height: number): Mark {
  const ticks = Array.from({ length: 11 }, (_, i) => `M${i * 10} ${i % 10 === 0 ? -1.6 : -0.8}V0`)
  return {
    op: 'group',
    id: 'ruler',
    x: safeMargin,
    y: height - safeMargin - 5.6,
    marks: [
      line(`M0 0H100${ticks.join('')}`, 'ink', 0.25),
      textFrom('This line is 100 mm. Shorter? Print at 100 %, not “fit to page”.', 102, 0, {
        size: 2.5,
        tone: 'soft',
      }),
    ],
  }
}
