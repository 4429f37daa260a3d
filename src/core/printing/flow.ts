import { line, type Mark } from '../drawing/marks'
import { at } from './piece'
import { leading, linesOf, paragraph, sizeFor, textFrom } from './text'

interface Style {
  size: number
  heavy?: boolean
  tone?: 'ink' | 'soft'
}

/** Text and drawings one under the other from (0, 0): whatever is said next stands below what was said. */
export class Flow {
  readonly marks: Mark[] = []
  y = 0

  constructor(readonly width: number) {}

  say(text: string, style: Style, indent = 0) {
    const said = paragraph(text, indent, this.y, this.width - indent, style)
    this.marks.push(...said.marks)
    this.y = said.y
  }

  /** On one line, in smaller letters where it has to be. */
  head(text: string, most: number) {
    const size = sizeFor(text, this.width, most, true)
    this.marks.push(textFrom(text, 0, this.y + most, { size, heavy: true }))
    this.y += most * leading
  }

  /** Points with a dot each. */
  points(texts: readonly string[], size: number) {
    for (const text of texts) {
      this.marks.push(textFrom('•', 0, this.y + size, { size }))
      this.say(text, { size }, size * 0.9)
    }
  }

  gap(height: number) {
    this.y += height
  }

  rule(tone: 'ink' | 'soft' = 'ink') {
    this.gap(1.5)
    this.marks.push(line(`M0 ${this.y}H${this.width}`, tone, 0.3))
    this.gap(1.5)
  }

  /** Lines of texts in columns of these shares of the width; the row is as high as its longest. */
  row(cells: readonly string[], shares: readonly number[], style: Style, pad = 1.5) {
    let x = 0
    let most = 0
    cells.forEach((cell, i) => {
      const width = shares[i] * this.width
      const said = paragraph(cell, x + pad, this.y + pad, width - 2 * pad, style)
      this.marks.push(...said.marks)
      most = Math.max(most, linesOf(cell, width - 2 * pad, style).length * style.size * leading)
      x += width
    })
    this.y += most + 2 * pad
  }

  /** Marks at the current place, in so much height. */
  put(marks: readonly Mark[], height: number, id: string) {
    this.marks.push(at(0, this.y, marks, id))
    this.y += height
  }
}
