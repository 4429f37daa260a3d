'use client'

import { useEffect } from 'react'

/** The page is kept anew so often at the most, while something changes. */
const everyMs = 20_000

/**
 * Keeps this page on the device as it now is, so that it opens without a network; lets it go when the session is over.
 * Where the browser allows no such thing (plain http from another device) nothing is kept.
 * @param version another one whenever something has changed
 */
export function useKeptPage(version: number, over: boolean) {
  useEffect(() => {
    if (!('serviceWorker' in navigator)) return
    const timer = setTimeout(
      () =>
        void navigator.serviceWorker
          .register('/sw.js')
          .then(() => navigator.serviceWorker.ready)
          .then(({ active }) => {
            const files = performance
              .getEntriesByType('resource')
              .map(({ name }) => name)
              .filter((name) => name.includes('/_next/static/'))
            active?.postMessage(over ? { forget: true } : { keep: window.location.pathname, files })
          })
          .catch(() => undefined),
      version === 0 || over ? 0 : everyMs,
    )
    return () => clearTimeout(timer)
  }, [version, over])
}
