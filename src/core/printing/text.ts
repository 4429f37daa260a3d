import type { Mark, Tone } from '../drawing/marks'
import widths from './letter-widths.json'

/** Advances of letters in thousandths of the size, of the font everything on paper is set in. */
const advance = {
  usual: widths.usual as Partial<Record<string, number>>,
  heavy: widths.heavy as Partial<Record<string, number>>,
}
/** Of a letter that is not in the table: as wide as a wide one, so that nothing runs over. */
const unknown = 900

interface Style {
  size: number
  heavy?: boolean
  tone?: Tone
}

/** How wide a text comes out; millimetres, as its size. */
export function widthOf(text: string, { size, heavy = false }: Style): number {
  const table = heavy ? advance.heavy : advance.usual
  return ([...text].reduce((sum, letter) => sum + (table[letter] ?? unknown), 0) * size) / 1000
}

/** The text cut into lines no wider than `across`; a word that is wider by itself is cut too. */
export function linesOf(text: string, across: number, style: Style): string[] {
  const lines: string[] = []
  let line = ''
  for (const word of text.split(/\s+/)) {
    const longer = line === '' ? word : `${line} ${word}`
    if (widthOf(longer, style) <= across) {
      line = longer
      continue
    }
    if (line !== '') lines.push(line)
    line = word
    while (widthOf(line, style) > across && [...line].length > 1) {
      let fits = 1
      const letters = [...line]
      while (fits < letters.length && widthOf(letters.slice(0, fits + 1).join(''), style) <= across) fits++
      lines.push(letters.slice(0, fits).join(''))
      line = letters.slice(fits).join('')
    }
  }
  return line === '' ? lines : [...lines, line]
}

/** A line of text from its left end, on its base line. */
export const textFrom = (text: string, x: number, y: number, { size, heavy, tone = 'ink' }: Style): Mark => ({
  op: 'text',
  starts: true,
  x: fixed(x),
  y: fixed(y),
  size,
  text,
  font: 'words',
  fill: tone,
  ...(heavy ? { heavy } : {}),
})

/** The same round its middle. */
export const textRound = (text: string, x: number, y: number, style: Style): Mark => {
  const { starts: _, ...mark } = textFrom(text, x, y, style) as Extract<Mark, { op: 'text' }>
  return mark
}

/** The same to its right end. */
export const textTo = (text: string, x: number, y: number, style: Style): Mark =>
  textFrom(text, x - widthOf(text, style), y, style)

const fixed = (n: number) => Number(n.toFixed(2))
/** From one base line to the next, in sizes. */
export const leading = 1.32

/**
 * Text in lines no wider than `across` from (x, y), the top of the first line.
 * @returns its marks, and where the next text may begin
 */
export function paragraph(
  text: string,
  x: number,
  y: number,
  across: number,
  style: Style,
): { marks: Mark[]; y: number } {
  const lines = linesOf(text, across, style)
  return {
    marks: lines.map((line, i) => textFrom(line, x, y + style.size * (1 + i * leading), style)),
    y: y + lines.length * style.size * leading,
  }
}

/** The largest size, no more than `most`, at which a text stands on one line. */
export const sizeFor = (text: string, across: number, most: number, heavy = false): number =>
  fixed(Math.min(most, across / Math.max(1e-6, widthOf(text, { size: 1, heavy }))))
