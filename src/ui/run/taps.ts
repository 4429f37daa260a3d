import type { How, Mark, MarkValue } from '@/core/evidence/mark'

/** What a device tapped, by visit and child; the id is known once the tap is kept on the device. */
export type Taps = ReadonlyMap<string, MarkValue & { id: string | null; how: How | null }>

export const keyOf = (visitId: string, pupilId: string) => `${visitId} ${pupilId}`

/**
 * The taps of a page once it hears what an earlier page of the device left waiting. Of several marks that wait for one child
 * the last speaks; what was tapped on this page meanwhile speaks before all of them.
 * @param self the device, as an observer: what others counted is no tap of its own
 * @param waiting in the order they were made
 */
export function withWaiting(taps: Taps, waiting: readonly Mark[], self: string): Taps {
  // What was seen outside a session stands on no board.
  const own = waiting.filter((mark) => mark.visitId !== null && mark.observer === self)
  return new Map([...own.map((mark) => [keyOf(mark.visitId!, mark.pupilId), mark] as const), ...taps])
}

/**
 * The taps that still speak before what the server says: those it has not got yet. One that has been sent is done with,
 * whether it stands or another page of the device has changed it since.
 * @param standing ids of the marks that stand on the server
 * @param sentBefore ids that had left the device before the server was asked
 */
export function stillOpen(taps: Taps, standing: ReadonlySet<string>, sentBefore: ReadonlySet<string>): Taps {
  return new Map([...taps].filter(([, { id }]) => id === null || !(standing.has(id) || sentBefore.has(id))))
}
