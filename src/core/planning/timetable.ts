import { clockAfter } from './calendar'

export interface SlotTime {
  from: string
  to: string
}

/** Minutes for moving on between two slots. Common practice, no source. */
const moveMinutes = 2

/** When each slot of a session runs. */
export function timetable(start: string, slots: number, minutes: number): SlotTime[] {
  return Array.from({ length: slots }, (_, slot) => {
    const from = slot * (minutes + moveMinutes)
    return { from: clockAfter(start, from), to: clockAfter(start, from + minutes) }
  })
}
