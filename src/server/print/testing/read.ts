import { spawnSync } from 'node:child_process'
import { join } from 'node:path'
import { buffer } from 'node:stream/consumers'
import type { Readable } from 'node:stream'

/** What another program reads from a PDF; millimetres from the upper left corner. */
export interface ReadPdf {
  title: string
  pages: {
    width: number
    height: number
    images: number
    texts: { text: string; x: number; y: number; width: number; size: number }[]
  }[]
}

/** Reads a PDF with a reader that shares no code with the writer. */
export async function readPdf(pdf: PDFKit.PDFDocument): Promise<ReadPdf> {
  const { stdout, stderr, status } = spawnSync(process.execPath, [join(__dirname, 'read-pdf.mjs')], {
    input: await buffer(pdf as unknown as Readable),
    maxBuffer: 1 << 28,
    encoding: 'utf8',
  })
  if (status !== 0) throw new Error(stderr)
  return JSON.parse(stdout) as ReadPdf
}
