import type { Mark, MarkValue } from '../evidence/mark'
import type { Day } from '../planning/calendar'
import type { StepPlace } from '../skills'

export type SessionState = 'planned' | 'running' | 'done'

/** Begun on a day gone by and never ended: nobody plays in it any more, whatever its clock says. */
export const isLeftOpen = ({ state, day }: { state: SessionState; day: Day }, today: Day): boolean =>
  state === 'running' && day < today

/** A mark that stands, as devices of a session show it. */
export type ShownMark = MarkValue &
  Pick<Mark, 'id' | 'observer' | 'pupilId' | 'digital' | 'how'> & {
    visitId: string
    place: StepPlace
    /** The link of the device that saw it; null: an adult's own device. */
    linkId: string | null
  }

/** The clock of a session, as it stood when it was told. */
export interface SessionClock {
  state: SessionState
  slots: number
  slotMinutes: number
  slot: number
  /** When this was told, by the server's clock, in milliseconds. */
  at: number
  /** Milliseconds left of the slot when this was told; negative: over time. */
  leftMs: number
  /** Milliseconds of the whole slot, minutes more included. */
  fullMs: number
  paused: boolean
  /** The last Next can be taken back. */
  canGoBack: boolean
  /** Another one whenever somebody has touched the clock. */
  moved: string
}

/**
 * The time of all slots has passed, with slots still to come by its clock: it was played on without it, or stands where
 * it ended.
 */
export const isTimeOver = ({
  slot,
  slots,
  slotMinutes,
  leftMs,
}: Pick<SessionClock, 'slot' | 'slots' | 'slotMinutes' | 'leftMs'>): boolean =>
  slot + 1 < slots && leftMs + (slots - 1 - slot) * slotMinutes * 60_000 <= 0

/** Who is away, and from which slot on. */
export interface Away {
  pupilId: string
  fromSlot: number
}

/** Games that were finished at a visit, and how many minutes they took together. */
export interface Finished {
  visitId: string
  games: number
  minutes: number
  /** Number of the latest of them, and the minutes it took: a tap too much can be taken back. */
  last: { id: string; minutes: number } | null
}

/** A group liked its game at a visit, or did not. */
export interface Liked {
  visitId: string
  liked: boolean
}

/** What changes while a session runs, as every device of it sees it. */
export interface LiveSession {
  clock: SessionClock
  marks: ShownMark[]
  absent: Away[]
  /** Where it was told. */
  finished: Finished[]
  liked: Liked[]
  /** Another one when who goes where has changed: then the page is to be read anew. */
  plan: string
  /** Links that are good. Told to nobody. */
  links: string[]
  /** Who is at each station, by the plan of the moment: what a device at one station may hear of. Told to nobody as such. */
  atStations: AtStation[]
}

export interface AtStation {
  stationId: string
  visitIds: string[]
  pupilIds: string[]
}
