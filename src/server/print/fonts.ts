import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import PDFDocument from 'pdfkit'

/** The letters of each script stand in files of their own; the first that has a letter serves it. */
const scripts = {
  latin: ['andika', 'latin'],
  'latin-ext': ['andika', 'latin-ext'],
  cyrillic: ['andika', 'cyrillic'],
  vietnamese: ['andika', 'vietnamese'],
  hebrew: ['noto-sans-hebrew', 'hebrew'],
  arabic: ['noto-sans-arabic', 'arabic'],
} as const

export type Script = keyof typeof scripts
const allScripts = Object.keys(scripts) as Script[]

const files = new Map<string, Buffer>()

function fontFile(script: Script, weight: 400 | 700): Buffer {
  const [family, letters] = scripts[script]
  const path = `node_modules/@fontsource/${family}/files/${family}-${letters}-${weight}-normal.woff`
  const known = files.get(path)
  if (known) return known
  const read = readFileSync(join(process.cwd(), path))
  files.set(path, read)
  return read
}

/** Name of a font in a document: of a script, usual or heavy. */
export const fontName = (script: Script, heavy: boolean): string => `${script} ${heavy ? 700 : 400}`

/** Makes all fonts known to a document; a file is only read into it where a letter needs it. */
export function registerFonts(document: PDFKit.PDFDocument) {
  for (const script of allScripts)
    for (const heavy of [false, true])
      document.registerFont(fontName(script, heavy), fontFile(script, heavy ? 700 : 400))
}

interface Font {
  hasGlyphForCodePoint(codePoint: number): boolean
}

/** Which file serves each letter, found once. */
const served = new Map<string, Script | null>()
let fonts: Map<Script, Font> | undefined

function openFonts(): Map<Script, Font> {
  const document = new PDFDocument({ autoFirstPage: false, font: '' })
  registerFonts(document)
  return new Map(
    allScripts.map((script) => {
      document.font(fontName(script, false))
      return [script, (document as unknown as { _font: { font: Font } })._font.font]
    }),
  )
}

/** The script whose file has a letter; null: no file has it, and it can't be printed. */
export function scriptOf(letter: string): Script | null {
  const known = served.get(letter)
  if (known !== undefined) return known
  fonts ??= openFonts()
  const found =
    allScripts.find((script) => fonts!.get(script)!.hasGlyphForCodePoint(letter.codePointAt(0)!)) ?? null
  // A document can hold any letters: what is remembered stays small.
  if (served.size < 5000) served.set(letter, found)
  return found
}
