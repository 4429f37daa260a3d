import { seededChance } from '../../chance/chance'
import { faceMarks } from '../../drawing/faces'
import { line } from '../../drawing/marks'
import { asking } from '../../games/families/on-table'
import { question, questionsInOrder, type QuestionKindId } from '../../games/families/questions'
import { itemKey } from '../../skills/item'
import type { Face } from '../../things/face'
import { framed, range, type Piece } from '../piece'
import { textRound } from '../text'

type Size = readonly [width: number, height: number]

/** A game card, about as large as a playing card: nine fill a sheet of either paper. Wide ones: eight. */
export const card: Size = [63, 83.5]
export const wide: Size = [95, 62.5]
/** Twelve fill a sheet. */
export const square: Size = [63, 62.5]

/** Waves, the same on every card: nobody can tell one by its back, and no edge has to meet the front's exactly. */
function backOf([width, height]: Size) {
  const waves = range(-3, 3).map((k) => {
    const y = (k * height) / 8
    const w = width * 0.38
    return `M${-w} ${y}Q${-w / 2} ${y - height * 0.06} 0 ${y}Q${w / 2} ${y + height * 0.06} ${w} ${y}`
  })
  return [line(waves.join(''), 'soft', 0.5)]
}

export const faceCard = (face: Face, size: Size = card): Piece => ({
  ...framed(size[0], size[1], faceMarks(face, size[0] * 0.8, size[1] * 0.72)),
  back: backOf(size),
})

/** Cards of a pack where a game counts packs. */
export const fullPack = 30

/** Cards of a wall, row by row: those of a lower row are harder and worth more, which stands on them. */
function wallCards(count: number, columns: readonly QuestionKindId[], rows: number, seed: number): Piece[] {
  const chance = seededChance(seed)
  const inColumns = columns.map((kind) => questionsInOrder(kind, rows, chance))
  return range(0, count - 1).map((i) => {
    const row = Math.floor(i / columns.length) % rows
    const inColumn = inColumns[i % columns.length]
    const item = inColumn[Math.min(row, inColumn.length - 1)]
    const points = row === 0 ? '1 point' : `${row + 1} points`
    const [width, height] = wide
    const card = faceCard(asking(item), wide)
    const label = textRound(points, 0, height / 2 - 4, { size: 4.5, tone: 'soft' })
    return { ...card, width, height, marks: [...card.marks, label] }
  })
}

/** Cards with a question of the kinds a level asks, no question twice as long as there are others; null: it asks none. */
export function questionCards(count: number, params: unknown, seed: number): Piece[] | null {
  const { kind, columns, rows } = params as {
    kind?: QuestionKindId
    columns?: QuestionKindId[]
    rows?: number
  }
  if (columns && rows) return wallCards(count, columns, rows, seed)
  if (!kind) return null
  const chance = seededChance(seed)
  const asked = new Set<string>()
  return range(0, count - 1).map(() => {
    let item = question(kind, chance)
    for (let tries = 0; tries < 30 && asked.has(itemKey(item)); tries++) item = question(kind, chance)
    asked.add(itemKey(item))
    return faceCard(asking(item), wide)
  })
}
