import { many } from '../words'
import type { QueueState } from './outbox'
import { isMark, type Entry } from './outbox-store'

/** “4 marks”; what is not all marks is entries. */
const counted = (entries: readonly Entry[], count = entries.length) =>
  entries.every(isMark) ? many(count, 'mark') : many(count, 'entry', 'entries')

/** Where the marks of this device stand, never better than it is. */
export function savedInWords({
  known,
  waiting,
  aside,
  volatile,
  offline,
  recording,
}: QueueState & { recording: number }): string {
  if (!known && recording === 0) return 'Looking what is kept here …'
  // A tap is counted from the moment it is made.
  const count = Math.max(waiting.length, recording)
  if (count > 0) {
    const all = counted(waiting, count)
    if (volatile) return `${all} on this page only: keep it open`
    return offline ? `${all} on this device only` : `Saving ${all} …`
  }
  return aside.length > 0 ? `${counted(aside.map(({ entry }) => entry))} not saved` : 'All marks saved'
}
