import type { QueueState } from './mark-queue'
import { many } from '../words'

/** Where the marks of this device stand, never better than it is. */
export function savedInWords({
  waiting,
  aside,
  volatile,
  offline,
  recording,
}: QueueState & { recording: number }): string {
  // A tap is counted from the moment it is made.
  const count = Math.max(waiting.length, recording)
  if (count > 0) {
    if (volatile) return `${many(count, 'mark')} on this page only: keep it open`
    return offline ? `${many(count, 'mark')} on this device only` : `Saving ${many(count, 'mark')} …`
  }
  return aside.length > 0 ? `${many(aside.length, 'mark')} not saved` : 'All marks saved'
}
