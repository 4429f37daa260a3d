import { setImmediate } from 'node:timers/promises'
import PDFDocument from 'pdfkit'
import type { Mark, Tone } from '@/core/drawing/marks'
import { colours, opacityOf } from '@/core/drawing/svg'
import type { Page } from '@/core/printing/pack'
import { fontName, registerFonts, scriptOf, type Script } from './fonts'

/** Points in a millimetre. */
const points = 72 / 25.4

type DrawnPage = Pick<Page, 'width' | 'height' | 'marks'>

/**
 * Vector pages as one PDF: fonts embedded and subset, title and language set. Pages come one by one, with room for
 * other work between them; who stops reading stops the writing.
 */
export function pdfOf(title: string, pages: readonly DrawnPage[]): PDFKit.PDFDocument {
  const document = new PDFDocument({
    autoFirstPage: false,
    // No font that is not embedded.
    font: '',
    margin: 0,
    lang: 'en-GB',
    displayTitle: true,
    pdfVersion: '1.7',
    info: { Title: title, Creator: 'Islands', Producer: 'Islands' },
  })
  registerFonts(document)
  void write(document, pages).catch((error: unknown) => {
    const stream = document as unknown as { destroy: (error: Error) => void }
    stream.destroy(error instanceof Error ? error : new Error(String(error)))
  })
  return document
}

async function write(document: PDFKit.PDFDocument, pages: readonly DrawnPage[]) {
  const writer = new Writer(document)
  for (const { width, height, marks } of pages) {
    await setImmediate()
    if ((document as unknown as { destroyed: boolean }).destroyed) return
    document.addPage({ size: [width * points, height * points], margin: 0 })
    document.save().scale(points)
    for (const mark of marks) writer.write(mark)
    document.restore()
  }
  await embedFonts(document)
  document.end()
}

interface Embedding {
  /** The fonts of the document by name. PDFKit embeds each at its end, all in one go, unless it was done before. */
  _fontFamilies: Record<string, { finalize(): void }>
}

/** Embeds one font after another, with room for other work between them: cutting one down takes some 50 milliseconds. */
async function embedFonts(document: PDFKit.PDFDocument) {
  for (const font of new Set(Object.values((document as unknown as Embedding)._fontFamilies))) {
    await setImmediate()
    font.finalize()
  }
}

/** Letters on these pages that no font has: they are left out, and told before. */
export function lettersWithout(pages: readonly DrawnPage[]): string[] {
  const missing = new Set<string>()
  const look = (mark: Mark) => {
    if (mark.op === 'group') mark.marks.forEach(look)
    else if (mark.op === 'text')
      for (const letter of mark.text)
        if (letter > '~' && !joins(letter) && scriptOf(letter) === null) missing.add(letter)
  }
  for (const { marks } of pages) marks.forEach(look)
  return [...missing]
}

/** Signs that only join letters or choose between their forms: nothing is to be seen of them. */
const joins = (letter: string) => /[\u200c-\u200f\u2060\ufe00-\ufe0f]/.test(letter)

interface Run {
  script: Script
  letters: string
}

/** The text cut where another file has to serve its letters. */
function runsOf(text: string): Run[] {
  const runs: Run[] = []
  for (const letter of text) {
    const last = runs.at(-1)
    // A blank belongs to the word before it: between two words of one script it stays inside their run.
    if (letter === ' ' && last) {
      last.letters += letter
      continue
    }
    const script = scriptOf(letter)
    if (script === null) continue
    if (last?.script === script) last.letters += letter
    else runs.push({ script, letters: letter })
  }
  return runs
}

/** Puts marks on the page that is open, in millimetres. */
class Writer {
  constructor(private readonly document: PDFKit.PDFDocument) {}

  write(mark: Mark) {
    const { document } = this
    switch (mark.op) {
      case 'group':
        document.save().translate(mark.x, mark.y)
        for (const one of mark.marks) this.write(one)
        document.restore()
        return
      case 'circle':
        document.circle(mark.x, mark.y, mark.r)
        return this.paint(mark.fill, mark.stroke, mark.line)
      case 'rect':
        document.roundedRect(mark.x, mark.y, mark.width, mark.height, mark.round)
        return this.paint(mark.fill, mark.stroke, mark.line)
      case 'path':
        document.path(mark.d).lineCap('round').lineJoin('round')
        if (mark.dashed) document.dash(0.01, { space: mark.line * 4 })
        this.paint(mark.fill, mark.stroke, mark.line)
        document.undash().lineCap('butt').lineJoin('miter')
        return
      case 'text':
        return this.text(mark)
    }
  }

  private paint(fill: Tone, stroke: Tone, width: number) {
    const { document } = this
    const filled = fill !== 'none'
    const lined = stroke !== 'none' && width > 0
    if (filled) document.fillColor(colours[fill], opacityOf(fill))
    if (lined) document.strokeColor(colours[stroke], 1).lineWidth(width)
    if (filled && lined) document.fillAndStroke()
    else if (filled) document.fill()
    else if (lined) document.stroke()
    // A path that is neither would be drawn with the next one.
    else document.path('M0 0')
  }

  private text({ x, y, size, text, fill, starts, heavy = false }: Extract<Mark, { op: 'text' }>) {
    const { document } = this
    const runs = runsOf(text)
    document.fontSize(size).fillColor(colours[fill], 1)
    // With features named, a run is shaped as a whole: words that read from the right stand in their order.
    const options = { features: [] }
    const widths = runs.map(({ script, letters }) =>
      document.font(fontName(script, heavy)).widthOfString(letters, options),
    )
    let at = starts ? x : x - widths.reduce((sum, width) => sum + width, 0) / 2
    runs.forEach(({ script, letters }, i) => {
      document
        .font(fontName(script, heavy))
        .text(letters, at, y, { ...options, lineBreak: false, baseline: 'alphabetic' })
      at += widths[i]
    })
  }
}
