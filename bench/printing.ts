import { buffer } from 'node:stream/consumers'
import type { Readable } from 'node:stream'
import PDFDocument from 'pdfkit'
import { games, usualLevel } from '@/core/games'
import { gamePile } from '@/core/printing/game-pile'
import type { Page } from '@/core/printing/pack'
import { pagesOf } from '@/core/printing/pages'
import { countsToPrint } from '@/core/printing/to-print'
import { pdfOf } from '@/server/print/pdf'
import { median, say } from './report'

const wanted = 60

const layOut = (): Page[] => {
  const pages: Page[] = []
  for (const game of games) {
    if (pages.length >= wanted) break
    const pile = gamePile(game, usualLevel(game), 6)
    const counts = countsToPrint(pile.bundles, new Map())
    pages.push(...pagesOf(pile, { paper: 'A4', backs: 'none', seed: 1, taskCards: 'small', counts }))
  }
  return pages.slice(0, wanted)
}

const asBytes = (document: PDFKit.PDFDocument) => buffer(document as unknown as Readable)

/** As many pages by the library alone, with one short line on each. */
function bare(): PDFKit.PDFDocument {
  const document = new PDFDocument({ autoFirstPage: false })
  for (let page = 0; page < wanted; page++) document.addPage().text(`page ${page}`)
  document.end()
  return document
}

async function ms(work: () => Promise<unknown>): Promise<number> {
  const start = performance.now()
  await work()
  return performance.now() - start
}

/** A pile of sixty pages: laid out, and written. */
export async function printing() {
  const pages = layOut()
  await asBytes(pdfOf('warm', pages.slice(0, 5)))
  const [layouts, writings, bares, longest]: number[][] = [[], [], [], []]
  for (let run = 0; run < 7; run++) {
    layouts.push(await ms(async () => layOut()))
    // The longest the writer keeps everything else waiting.
    let [last, most] = [performance.now(), 0]
    const watch = setInterval(() => {
      most = Math.max(most, performance.now() - last)
      last = performance.now()
    }, 1)
    writings.push(await ms(() => asBytes(pdfOf('pile', pages))))
    clearInterval(watch)
    longest.push(most)
    bares.push(await ms(() => asBytes(bare())))
  }
  const reference = median(bares)
  const marks = JSON.stringify(pages).split('"op":').length - 1
  say()
  say(
    `a pile of ${pages.length} pages with ${marks} marks, against as many bare pages by the PDF library (goal: under 2 s)`,
  )
  say(`  laid out          ${(median(layouts) / reference).toFixed(2)} ×`)
  say(`  written           ${(median(writings) / reference).toFixed(2)} ×`)
  say(`  under two seconds ${median(layouts) + median(writings) < 2000 ? 'yes' : 'no'}`)
  say(`  longest wait of anything else while it is written ${(median(longest) / reference).toFixed(2)} ×`)
}
