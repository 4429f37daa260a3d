import { dayInWords } from '../words'

/** A session that was begun on a day gone by and never ended. */
export interface Left {
  id: string
  day: string
  slot: number
  slots: number
}

const inLast = ({ slot, slots }: Left) => slot + 1 >= slots

/** What is said of it first. */
export const leftOpenInWords = (left: Left) => ({
  title: `The session of ${dayInWords(left.day)} was left open`,
  why: inLast(left)
    ? 'It stands in its last slot. Its marks are kept; once it is ended, the next one can be planned.'
    : `It stands in slot ${left.slot + 1} of ${left.slots}. Its marks are kept; say how far it went, and the next one can be planned.`,
})
