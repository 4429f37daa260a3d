'use client'

import { useEffect, useRef, useState } from 'react'

export type Pdf =
  | { state: 'none' }
  | { state: 'coming'; pages: number; total: number }
  | { state: 'there'; url: string; total: number }
  | { state: 'failed'; problems: readonly string[] }

/** How each page begins in a PDF: what has come is counted by it. */
const pageMark = '/Type /Page\n'

/** A PDF fetched page by page: how far it is, and the way to stop it. */
export function usePdf(classId: string) {
  const [pdf, setPdf] = useState<Pdf>({ state: 'none' })
  const stop = useRef<AbortController | null>(null)
  const url = useRef<string | null>(null)
  useEffect(
    () => () => {
      stop.current?.abort()
      if (url.current) URL.revokeObjectURL(url.current)
    },
    [],
  )

  async function fetchPdf(asked: object) {
    stop.current?.abort()
    const mine = new AbortController()
    stop.current = mine
    setPdf({ state: 'coming', pages: 0, total: 0 })
    try {
      const response = await fetch(`/c/${classId}/pdf`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(asked),
        signal: mine.signal,
      })
      if (!response.ok || !response.body) {
        const { problems } = (await response.json()) as { problems: string[] }
        return setPdf({ state: 'failed', problems })
      }
      const total = Number(response.headers.get('x-pages'))
      const parts = await readPages(response.body, (pages) => setPdf({ state: 'coming', pages, total }))
      if (url.current) URL.revokeObjectURL(url.current)
      url.current = URL.createObjectURL(new Blob(parts, { type: 'application/pdf' }))
      setPdf({ state: 'there', url: url.current, total })
      window.open(url.current)
    } catch {
      setPdf(
        mine.signal.aborted
          ? { state: 'none' }
          : { state: 'failed', problems: ['The PDF did not arrive. Nothing is lost: print again.'] },
      )
    }
  }

  const cancel = () => stop.current?.abort()
  const clear = () => setPdf({ state: 'none' })
  return { pdf, fetchPdf, cancel, clear }
}

async function readPages(
  body: ReadableStream<Uint8Array<ArrayBuffer>>,
  told: (pages: number) => void,
): Promise<Uint8Array<ArrayBuffer>[]> {
  const parts: Uint8Array<ArrayBuffer>[] = []
  const latin = new TextDecoder('latin1')
  const reader = body.getReader()
  let tail = ''
  let pages = 0
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return parts
    parts.push(value)
    const text = tail + latin.decode(value)
    const found = text.split(pageMark).length - 1
    if (found > 0) told((pages += found))
    // A mark that is cut in two is counted with the next part.
    tail = text.slice(-(pageMark.length - 1))
  }
}
