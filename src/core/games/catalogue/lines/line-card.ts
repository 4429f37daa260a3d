import { linesOf } from '../../families/board-maker'

/** A card as a player looks at it. */
interface Marked {
  marks: readonly number[]
  colour: number
  /** What a free space is marked with. */
  free: number
  size: number
}

const spacesKnown = new WeakMap<readonly number[], Map<number, number[]>>()

/** The spaces of a card that hold a number. */
export function spacesOf(card: readonly number[], number: number): readonly number[] {
  let spaces = spacesKnown.get(card)
  if (!spaces) {
    spaces = new Map()
    for (let space = 0; space < card.length; space++) {
      const same = spaces.get(card[space])
      if (same) same.push(space)
      else spaces.set(card[space], [space])
    }
    spacesKnown.set(card, spaces)
  }
  return spaces.get(number) ?? nowhere
}

const nowhere: readonly number[] = []

/** Lines through each space, by the size of the card. */
const linesThrough = [0, 1, 2, 3, 4, 5, 6].map((size) => {
  const lines = linesOf(size)
  return Array.from({ length: size * size }, (_, space) => lines.filter((line) => line.includes(space)))
})

/** Marks of the player, and free ones, that each line through a space holds already. */
export function lineScore({ marks, colour, free, size }: Marked, space: number): number {
  let score = 0
  for (const line of linesThrough[size][space]) {
    let own = 0
    for (const at of line) {
      if (marks[at] === colour || marks[at] === free) own++
      else if (marks[at] >= 0) {
        own = -1
        break
      }
    }
    if (own >= 0) score += 8 ** own
  }
  return score
}

/** True if a line through the space is all the player's own marks and free spaces. */
export function makesLine(
  marks: readonly number[],
  space: number,
  size: number,
  player: number,
  free: number,
) {
  for (const line of linesThrough[size][space]) {
    let own = 0
    while (own < size && (marks[line[own]] === player || marks[line[own]] === free)) own++
    if (own === size) return true
  }
  return false
}
