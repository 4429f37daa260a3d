// Reads a PDF from standard input with a reader that shares no code with the writer, and says what is on its pages:
// sizes and places in millimetres from the upper left corner. A process of its own: the reader is a module of another kind.
import { getDocument, OPS } from 'pdfjs-dist/legacy/build/pdf.mjs'

const parts = []
for await (const part of process.stdin) parts.push(part)
const mm = 25.4 / 72
const document = await getDocument({ data: new Uint8Array(Buffer.concat(parts)), verbosity: 0 }).promise
const pages = []
for (let number = 1; number <= document.numPages; number++) {
  const page = await document.getPage(number)
  const [, , width, height] = page.view
  const { items } = await page.getTextContent()
  const { fnArray } = await page.getOperatorList()
  pages.push({
    width: width * mm,
    height: height * mm,
    images: fnArray.filter((op) => op === OPS.paintImageXObject || op === OPS.paintInlineImageXObject).length,
    texts: items
      .filter(({ str }) => str.trim() !== '')
      .map(({ str, transform, width: wide }) => ({
        text: str,
        x: transform[4] * mm,
        y: (height - transform[5]) * mm,
        width: wide * mm,
        size: Math.hypot(transform[2], transform[3]) * mm,
      })),
  })
}
process.stdout.write(JSON.stringify({ title: (await document.getMetadata()).info.Title, pages }))
