/**
 * What a drawing is made of; millimetres, `y` downwards. The screen shows marks as SVG, the printer writes
 * the same marks as vectors, so that nothing is drawn twice by hand.
 */
export type Mark =
  | { op: 'path'; d: string; fill: Tone; stroke: Tone; line: number; dashed?: boolean }
  | { op: 'circle'; x: number; y: number; r: number; fill: Tone; stroke: Tone; line: number }
  | {
      op: 'rect'
      x: number
      y: number
      width: number
      height: number
      round: number
      fill: Tone
      stroke: Tone
      line: number
    }
  /** `x` is its middle, or its left end where it starts there; `y` its base line. */
  | {
      op: 'text'
      x: number
      y: number
      size: number
      text: string
      font: 'numerals' | 'words'
      fill: Tone
      starts?: true
      heavy?: boolean
    }
  /** Marks that belong together and move together; `name` is what a screen reader says. */
  | { op: 'group'; id: string; x: number; y: number; name?: string; marks: readonly Mark[] }

/** Colours by what they are for; the screen and the printer know the rest. */
export type Tone =
  | 'none'
  | 'ink'
  | 'soft'
  | 'sheet'
  | 'water'
  | 'hazard'
  | 'wild'
  | 'veil'
  | 'accent'
  | 'first'
  | 'second'
  | 'third'
  | PlayerTone

export type PlayerTone = 'player-1' | 'player-2' | 'player-3' | 'player-4' | 'player-5' | 'player-6'

export const playerTone = (player: number): PlayerTone =>
  `player-${((player % 6) + 1) as 1 | 2 | 3 | 4 | 5 | 6}`

/** Hundredths of a millimetre are enough on paper and on screen. */
export const fixed = (x: number) => Number(x.toFixed(2))

export const line = (d: string, stroke: Tone = 'ink', width = 0.5, fill: Tone = 'none'): Mark => ({
  op: 'path',
  d,
  fill,
  stroke,
  line: width,
})

export const disc = (
  x: number,
  y: number,
  r: number,
  fill: Tone = 'ink',
  stroke: Tone = 'none',
  width = 0.5,
): Mark => ({
  op: 'circle',
  x,
  y,
  r,
  fill,
  stroke,
  line: width,
})

/** A rectangle round its middle. */
export const box = (
  x: number,
  y: number,
  width: number,
  height: number,
  round = 1,
  fill: Tone = 'sheet',
  stroke: Tone = 'ink',
  outline = 0.5,
): Mark => ({
  op: 'rect',
  x: x - width / 2,
  y: y - height / 2,
  width,
  height,
  round,
  fill,
  stroke,
  line: outline,
})

/** Width of a letter over its size, on average; from memory, measured on the two fonts to a few per cent. */
const letterWidth = 0.6

/** Text in the middle of (x, y), as large as fits the width and height. */
export function fitted(
  text: string,
  x: number,
  y: number,
  width: number,
  height: number,
  fill: Tone = 'ink',
  font: 'numerals' | 'words' = 'numerals',
): Mark {
  const size = Math.min(height * 0.78, width / (letterWidth * Math.max(1, text.length)))
  return { op: 'text', x, y: y + size * 0.36, size, text, font, fill }
}
