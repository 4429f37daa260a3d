import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import PDFDocument from 'pdfkit'
import type { Mark, Tone } from '@/core/drawing/marks'
import { colours, opacityOf } from '@/core/drawing/svg'
import type { Page } from '@/core/printing/pack'

/** Points in a millimetre. */
const points = 72 / 25.4

/** The letters of each script stand in files of their own; the first that has a letter serves it. */
const files = ['latin', 'latin-ext', 'cyrillic', 'vietnamese'] as const

const fontFile = (script: string) =>
  readFileSync(join(process.cwd(), `node_modules/@fontsource/andika/files/andika-${script}-400-normal.woff`))

/** Vector pages as one PDF: fonts embedded and subset, title and language set. */
export async function pdfOf(title: string, pages: readonly Page[]): Promise<Buffer> {
  const document = new PDFDocument({
    autoFirstPage: false,
    // No font that is not embedded.
    font: '',
    margin: 0,
    lang: 'en-GB',
    pdfVersion: '1.7',
    info: { Title: title, Creator: 'Islands', Producer: 'Islands' },
  })
  const parts: Buffer[] = []
  document.on('data', (part: Buffer) => parts.push(part))
  const done = new Promise<void>((resolve, reject) => {
    document.on('end', resolve)
    document.on('error', reject)
  })
  for (const script of files) document.registerFont(script, fontFile(script))
  const writer = new Writer(document)
  for (const { width, height, marks } of pages) {
    document.addPage({ size: [width * points, height * points], margin: 0 })
    document.save().scale(points)
    for (const mark of marks) writer.write(mark)
    document.restore()
  }
  document.end()
  await done
  return Buffer.concat(parts)
}

interface Font {
  hasGlyphForCodePoint(codePoint: number): boolean
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
        document.path(mark.d)
        if (mark.dashed) document.dash(0.01, { space: mark.line * 4 }).lineCap('round')
        this.paint(mark.fill, mark.stroke, mark.line)
        document.undash().lineCap('butt')
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

  private text({ x, y, size, text, fill, starts }: Extract<Mark, { op: 'text' }>) {
    const { document } = this
    const runs = this.runs(text)
    document.fontSize(size).fillColor(colours[fill], 1)
    const widths = runs.map(({ script, letters }) => document.font(script).widthOfString(letters))
    let at = starts ? x : x - widths.reduce((sum, width) => sum + width, 0) / 2
    runs.forEach(({ script, letters }, i) => {
      document.font(script).text(letters, at, y, { lineBreak: false, baseline: 'alphabetic' })
      at += widths[i]
    })
  }

  /** The text cut where another file has to serve its letters. */
  private runs(text: string): { script: string; letters: string }[] {
    const runs: { script: string; letters: string }[] = []
    for (const letter of text) {
      const script = files.find((name) => this.has(name, letter)) ?? files[0]
      const last = runs.at(-1)
      if (last && (last.script === script || letter === ' ')) last.letters += letter
      else runs.push({ script, letters: letter })
    }
    return runs
  }

  private has(script: string, letter: string): boolean {
    this.document.font(script)
    const { font } = (this.document as unknown as { _font: { font: Font } })._font
    return font.hasGlyphForCodePoint(letter.codePointAt(0)!)
  }
}
