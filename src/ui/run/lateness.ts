const key = 'islands-clock-ahead'

/** By how much this device's clock is ahead of the server's, as it was last told: negative if it is behind. */
export function noteServerTime(serverMs: number) {
  try {
    localStorage.setItem(key, String(Date.now() - serverMs))
  } catch {
    // A browser that keeps nothing: then a page from a cache shows the time it had.
  }
}

/** A page as fresh as this was not kept. */
const freshMs = 5_000
const openedAt = typeof window === 'undefined' ? 0 : Date.now()

/** How old a page was when it was opened, in milliseconds, by the server's clock: 0 but for one from a cache. */
export function latenessOf(madeAtServerMs: number): number {
  let ahead: string | null
  try {
    ahead = localStorage.getItem(key)
  } catch {
    return 0
  }
  if (ahead === null) return 0
  const late = openedAt - Number(ahead) - madeAtServerMs
  return late > freshMs ? late : 0
}
