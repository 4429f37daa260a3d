import type { ReactElement } from 'react'
import { renderToStaticMarkup } from 'react-dom/server'

/** A part of a page as the server sends it. */
export const markupOf = (element: ReactElement): string => renderToStaticMarkup(element)

const entities: Record<string, string> = {
  '&amp;': '&',
  '&lt;': '<',
  '&gt;': '>',
  '&quot;': '"',
  '&#x27;': '’',
}

/** What is read of it: words alone, one space between them; what a screen reader is told to pass over is left out. */
export const readIn = (element: ReactElement): string =>
  markupOf(element)
    .replace(/<svg[\s\S]*?<\/svg>/g, ' ')
    .replace(/<[^>]+>/g, ' ')
    .replace(/&(amp|lt|gt|quot|#x27);/g, (entity) => entities[entity])
    .replace(/\s+/g, ' ')
    .trim()

/** What can be pressed or followed, by its words, in the order of the page. */
export const doable = (element: ReactElement): string[] =>
  [...markupOf(element).matchAll(/<(button|a)\b[^>]*>([\s\S]*?)<\/\1>/g)].map(([, , inside]) =>
    inside
      .replace(/<[^>]+>/g, ' ')
      .replace(/\s+/g, ' ')
      .trim(),
  )
