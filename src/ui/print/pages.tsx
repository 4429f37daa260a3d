'use client'

import { useEffect, useEffectEvent, useRef, useState } from 'react'
import Button from 'react-bootstrap/Button'
import type { Preview } from './use-preview'

/** The pages as they come out: all at a glance, or true to size, to hold a ruler to the screen. */
export function Pages({
  preview: { total, pages, waiting },
  onMore,
}: {
  preview: Preview
  onMore: () => void
}) {
  const [trueSize, setTrueSize] = useState(false)
  const end = useRef<HTMLDivElement>(null)
  const askMore = useEffectEvent(onMore)
  const open = total !== null && pages.length < total
  useEffect(() => {
    if (!open || !end.current) return
    const watch = new IntersectionObserver(([entry]) => entry.isIntersecting && askMore())
    watch.observe(end.current)
    return () => watch.disconnect()
  }, [open, pages.length])
  return (
    <div className="print-pages" aria-busy={waiting}>
      <div className="print-view">
        <Button variant="plain" size="sm" aria-pressed={trueSize} onClick={() => setTrueSize(!trueSize)}>
          {trueSize ? 'All pages at a glance' : 'True to size'}
        </Button>
        {waiting && <span className="tiny muted">laying out …</span>}
      </div>
      <ol className={trueSize ? 'sheets true-size' : 'sheets'}>
        {pages.map(({ title, svg }, i) => (
          <li key={i}>
            {/* Made by our own writer of pictures, which escapes every text. */}
            <div className="sheet-of-paper" dangerouslySetInnerHTML={{ __html: svg }} />
            <span className="tiny muted">
              {i + 1} · {title}
            </span>
          </li>
        ))}
      </ol>
      {open && (
        <div ref={end} className="small muted">
          {total - pages.length} more …
        </div>
      )}
    </div>
  )
}
