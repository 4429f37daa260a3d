import { line } from '../../drawing/marks'
import { framed, range, type Piece } from '../piece'
import { sizeFor, textRound } from '../text'

export function placeValueMat(left: string, right: string): Piece {
  const [width, height] = [186, 240]
  return framed(width, height, [
    line(`M0 ${-height / 2}V${height / 2}M${-width / 2} ${-height / 2 + 20}H${width / 2}`, 'ink', 0.5),
    textRound(left, -width / 4, -height / 2 + 13, { size: 9 }),
    textRound(right, width / 4, -height / 2 + 13, { size: 9 }),
  ])
}

/** Lines to write on, under what they are for. */
export function recordingSheet(columns: string): Piece {
  const [width, height] = [186, 126]
  const title = { size: sizeFor(columns, width * 0.86, 6.5), heavy: true }
  const lines = range(1, 6).map((i) => {
    const y = Number((-height / 2 + 14 + i * 17).toFixed(2))
    return line(`M${-width / 2 + 8} ${y}H${width / 2 - 8}`, 'soft', 0.4)
  })
  return framed(width, height, [textRound(columns, 0, -height / 2 + 11, title), ...lines])
}

/** What may be fetched: nothing sharp, heavy or breakable. Common practice, no source. */
const toFetch = ['pencils', 'cubes', 'counters', 'paper clips', 'pegs', 'buttons', 'straws', 'bottle tops']

export function listOfThings(): Piece {
  const [width, height] = [92, 120]
  return framed(width, height, [
    textRound('You may fetch', 0, -height / 2 + 12, { size: 7, heavy: true }),
    ...toFetch.map((name, i) => textRound(name, 0, -height / 2 + 27 + i * 12, { size: 7 })),
  ])
}
