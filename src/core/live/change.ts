import type { LiveSession, ShownMark } from './session'

/** Plain data made by one hand: the same text is the same thing. */
const same = (a: unknown, b: unknown): boolean => a === b || JSON.stringify(a) === JSON.stringify(b)

/** What a device is told: at first everything, then what has changed. */
export interface LiveChange extends Partial<Omit<LiveSession, 'marks' | 'links' | 'atStations'>> {
  /** All there is: whatever the device knew before is forgotten. */
  full?: true
  marks?: { put: ShownMark[]; gone: string[] }
}

export const everything = ({
  marks,
  links: _links,
  atStations: _atStations,
  ...rest
}: LiveSession): LiveChange => ({
  ...rest,
  full: true,
  marks: { put: marks, gone: [] },
})

/** What is different now; null: nothing. The time that is left is no difference: it passes by itself. */
export function changeBetween(before: LiveSession, now: LiveSession): LiveChange | null {
  const change: LiveChange = {}
  if (before.clock.moved !== now.clock.moved || before.clock.canGoBack !== now.clock.canGoBack)
    change.clock = now.clock
  if (!same(before.absent, now.absent)) change.absent = now.absent
  if (!same(before.finished, now.finished)) change.finished = now.finished
  if (!same(before.liked, now.liked)) change.liked = now.liked
  if (before.plan !== now.plan) change.plan = now.plan
  const known = new Map(before.marks.map((mark) => [mark.id, mark]))
  const put = now.marks.filter((mark) => !same(known.get(mark.id), mark))
  const left = new Set(now.marks.map(({ id }) => id))
  const gone = before.marks.flatMap(({ id }) => (left.has(id) ? [] : [id]))
  if (put.length + gone.length > 0) change.marks = { put, gone }
  return Object.keys(change).length > 0 ? change : null
}

/** What one device may be told of it. */
export interface Sees {
  /** The one station whose visits it sees, whatever they are by the plan of the moment; null: all. */
  stationId: string | null
  /** The clock and nothing about children. */
  clockOnly: boolean
  /** The link it came in by; null: the device of an adult. */
  linkId: string | null
}

/**
 * A mark as a device may know it. Whoever holds an observer's id records in its name, so a device that came in by a link is
 * told of no observer but its own.
 */
export const asToldTo = (linkId: string | null, mark: ShownMark): ShownMark =>
  linkId === null || mark.linkId === linkId ? mark : { ...mark, observer: '' }

/**
 * The part of a change that a device may be told; null: nothing of it.
 * @param now the session after the change: it says which visits are at the device's station
 */
export function seenBy(
  { stationId, clockOnly, linkId }: Sees,
  change: LiveChange,
  { atStations }: Pick<LiveSession, 'atStations'>,
): LiveChange | null {
  const { marks, absent, finished, liked, ...ofAll } = change
  const here = stationId === null ? null : atStations.find((one) => one.stationId === stationId)
  const visitIds = here === null ? null : new Set(here?.visitIds)
  const mine = ({ visitId }: { visitId: string }) => visitIds === null || visitIds.has(visitId)
  const seen: LiveChange = { ...ofAll }
  if (!clockOnly) {
    if (absent)
      seen.absent = absent.filter(({ pupilId }) => here === null || here?.pupilIds.includes(pupilId))
    if (finished) seen.finished = finished.filter(mine)
    if (liked) seen.liked = liked.filter(mine)
    const put = marks?.put.filter(mine).map((mark) => asToldTo(linkId, mark))
    if (marks && (put!.length > 0 || marks.gone.length > 0 || change.full))
      seen.marks = { put: put!, gone: marks.gone }
  }
  return Object.keys(seen).length > 0 ? seen : null
}
