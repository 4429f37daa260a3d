import { z } from 'zod'
import { clockAfter } from './calendar'

const minutes = (most: number) => z.number('Give whole minutes.').int('Give whole minutes.').min(0).max(most)

/** What a session has beside its slots, in minutes. */
export const aroundSchema = z.object({
  warmUp: minutes(30),
  /** Games shown to the class before they are played. */
  show: minutes(30),
  /** Moving on between two slots. */
  move: minutes(10),
  tidy: minutes(20),
  talk: minutes(30),
  /** Of the whole lesson; null: nobody waits for its end. */
  lesson: minutes(180).nullable(),
})

export type Around = z.infer<typeof aroundSchema>

/** Slots and the moves between them, nothing else. Two minutes a move: common practice, no source. */
export const noMinutesAround: Around = { warmUp: 0, show: 0, move: 2, tidy: 0, talk: 0, lesson: null }

/** A session with time to show and to talk. Common practice, no source. */
export const usualAround: Around = { warmUp: 0, show: 5, move: 2, tidy: 3, talk: 5, lesson: null }

interface SlotTime {
  from: string
  to: string
}

export interface Timetable {
  slots: SlotTime[]
  /** The parts of the session in order, those without minutes left out. */
  parts: ({ part: 'warm-up' | 'show' | 'slots' | 'tidy' | 'talk'; minutes: number } & SlotTime)[]
  ends: string
  /** Minutes by which it is longer than the lesson; 0 where it fits. */
  over: number
}

/** When each part of a session runs, to the minute. */
export function timetable(
  start: string,
  { slots, slotMinutes, around }: { slots: number; slotMinutes: number; around: Around },
): Timetable {
  const played = slots * slotMinutes + Math.max(0, slots - 1) * around.move
  const lengths = [
    ['warm-up', around.warmUp],
    ['show', around.show],
    ['slots', played],
    ['tidy', around.tidy],
    ['talk', around.talk],
  ] as const
  const before = around.warmUp + around.show
  let at = 0
  const parts = lengths.flatMap(([part, length]) => {
    if (length === 0) return []
    const from = clockAfter(start, at)
    at += length
    return [{ part, minutes: length, from, to: clockAfter(start, at) }]
  })
  return {
    slots: Array.from({ length: slots }, (_, slot) => {
      const from = before + slot * (slotMinutes + around.move)
      return { from: clockAfter(start, from), to: clockAfter(start, from + slotMinutes) }
    }),
    parts,
    ends: clockAfter(start, at),
    over: around.lesson === null ? 0 : Math.max(0, at - around.lesson),
  }
}
