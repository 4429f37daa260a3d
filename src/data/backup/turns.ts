/** On globalThis because routes and instrumentation are bundled apart. */
const shared = globalThis as { islandsBackupTurn?: Promise<unknown> }

/**
 * One after the other: whoever writes backups and whoever erases a child from them. A backup that was begun before an
 * erase is on the disk before the erase looks for files.
 */
export function inTurn<T>(work: () => Promise<T>): Promise<T> {
  const mine = (shared.islandsBackupTurn ?? Promise.resolve()).then(work)
  shared.islandsBackupTurn = mine.catch(() => undefined)
  return mine
}
