import { seededChance } from '../../chance/chance'
import { faceMarks } from '../../drawing/faces'
import { line } from '../../drawing/marks'
import { question, type QuestionKindId } from '../../games/families/questions'
import { itemAsked, itemKey } from '../../skills'
import { words, type Face } from '../../things/face'
import { framed, range, type Piece } from '../piece'

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

/** Cards with a question of the kinds a level asks, no question twice as long as there are others; null: it asks none. */
export function questionCards(count: number, params: unknown, seed: number): Piece[] | null {
  const { kind, columns } = params as { kind?: QuestionKindId; columns?: QuestionKindId[] }
  const kinds = columns ?? (kind ? [kind] : [])
  if (kinds.length === 0) return null
  const chance = seededChance(seed)
  const asked = new Set<string>()
  return range(0, count - 1).map((i) => {
    let item = question(kinds[i % kinds.length], chance)
    for (let tries = 0; tries < 30 && asked.has(itemKey(item)); tries++)
      item = question(kinds[i % kinds.length], chance)
    asked.add(itemKey(item))
    return faceCard(words(itemAsked(item)), wide)
  })
}
