import { readlinkSync } from 'node:fs'
import { constants, setPriority } from 'node:os'
import { platform } from 'node:process'

/**
 * Long work stands back: on a machine with few cores its threads get what those that answer leave over.
 * Lowers the priority of the thread that calls it. Linux alone gives each thread its own, by the number that
 * `/proc/thread-self` tells; elsewhere it would be the whole server's, so nothing is done.
 */
export function standBack(): void {
  if (platform !== 'linux') return
  try {
    const thread = Number(readlinkSync('/proc/thread-self').split('/').at(-1))
    setPriority(thread, constants.priority.PRIORITY_LOW)
  } catch {
    // A container may forbid it: then the work is done as before.
  }
}
