import type { Trying } from '@/core/games/playing/trying'
import { newId } from '../new-id'

/** A child's play as this device keeps it until its record is made: found again after a reload. */
export interface Play {
  /** The observer of its records: each play counts for itself. */
  id: string
  trying: Trying
}

const keyFor = (visitId: string, pupilId: string) => `islands-play-${visitId}-${pupilId}`

/** The play that was begun and not ended on this device, if the browser has kept it. */
export function keptPlay(visitId: string, pupilId: string): Play | null {
  try {
    const kept = localStorage.getItem(keyFor(visitId, pupilId))
    if (kept === null) return null
    const play = JSON.parse(kept) as Play
    // One that was kept before a round said who has won.
    const round = { ...play.trying.round, winners: play.trying.round.winners ?? [] }
    return { ...play, trying: { ...play.trying, round } }
  } catch {
    return null
  }
}

export const newPlay = (trying: Trying): Play => ({ id: newId(), trying })

/** Keeps it, or with null forgets it. A browser that keeps nothing plays on all the same. */
export function keepPlay(visitId: string, pupilId: string, play: Play | null) {
  try {
    if (play === null) localStorage.removeItem(keyFor(visitId, pupilId))
    else localStorage.setItem(keyFor(visitId, pupilId), JSON.stringify(play))
  } catch {
    return
  }
}
