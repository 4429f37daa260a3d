import { dayInShort } from '../words'

/** “18 kB”, “41 MB”. */
export function bytesInWords(bytes: number): string {
  if (bytes < 1_000_000) return `${Math.max(1, Math.round(bytes / 1000))} kB`
  return bytes < 1e9 ? `${Math.round(bytes / 1e6)} MB` : `${(bytes / 1e9).toFixed(1)} GB`
}

/** “today at 10:02”, “yesterday at 03:00”, “24 Nov at 03:00”, by the school's clock. */
export function momentInWords(at: string, now: string, timeZone: string): string {
  const dayOf = (moment: string) =>
    new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(
      new Date(moment),
    )
  const time = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit' }).format(
    new Date(at),
  )
  const daysAgo = Math.round((Date.parse(dayOf(now)) - Date.parse(dayOf(at))) / 86_400_000)
  const day = daysAgo === 0 ? 'today' : daysAgo === 1 ? 'yesterday' : dayInShort(dayOf(at))
  return `${day} at ${time}`
}
