'use client'

import { useEffect, useEffectEvent, useState } from 'react'
import type { LiveChange } from '@/core/live/change'

/** `live`: what others do is seen at once. `away`: the line is broken and is being made again. `over`: nothing more comes. */
export type Line = 'connecting' | 'live' | 'away' | 'over'

/** A line that the server refused is tried again after so long. */
const againMs = 2_000

/**
 * Listens to a session as long as the page is looked at: a browser has few lines to one server, and a page behind
 * others needs none. Whoever comes back is told everything anew.
 */
export function useLive(at: string, onChange: (change: LiveChange) => void): Line {
  const [line, setLine] = useState<Line>('connecting')
  const tell = useEffectEvent(onChange)

  useEffect(() => {
    let source: EventSource | null = null
    let timer: ReturnType<typeof setTimeout> | undefined
    let over = false

    function close() {
      clearTimeout(timer)
      source?.close()
      source = null
    }
    function open() {
      if (source || over || document.visibilityState === 'hidden') return
      const made = new EventSource(at)
      source = made
      made.onmessage = ({ data }) => {
        setLine('live')
        tell(JSON.parse(String(data)) as LiveChange)
      }
      made.addEventListener('over', () => {
        over = true
        close()
        setLine('over')
      })
      made.onerror = () => {
        setLine('away')
        // A broken line is made again by the browser; one that was refused is not.
        if (made.readyState !== EventSource.CLOSED) return
        close()
        timer = setTimeout(open, againMs)
      }
    }
    const look = () => (document.visibilityState === 'hidden' ? close() : open())
    open()
    document.addEventListener('visibilitychange', look)
    window.addEventListener('online', look)
    return () => {
      document.removeEventListener('visibilitychange', look)
      window.removeEventListener('online', look)
      close()
    }
  }, [at])

  return line
}
