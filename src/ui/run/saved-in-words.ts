import type { QueueState } from './mark-queue'
import { many } from '../words'

/** Where the marks of this device stand, never better than it is. */
export function savedInWords({ waiting, aside, volatile, offline }: QueueState): string {
  if (waiting.length > 0) {
    if (volatile) return `${many(waiting.length, 'mark')} on this page only: keep it open`
    return offline
      ? `${many(waiting.length, 'mark')} on this device only`
      : `Saving ${many(waiting.length, 'mark')} …`
  }
  return aside.length > 0 ? `${many(aside.length, 'mark')} not saved` : 'All marks saved'
}
