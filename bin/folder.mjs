import { closeSync, mkdirSync, openSync, readFileSync } from 'node:fs'
import { dirname } from 'node:path'

/**
 * Null if the data folder is free, else the number of the process that holds it. The server takes
 * the lock itself (src/data/pglite/lock.ts); asking first gives the answer before anything is built.
 */
export function inUse(folder, tryLock) {
  mkdirSync(dirname(folder), { recursive: true })
  const descriptor = openSync(`${folder}.lock`, 'a+')
  const free = tryLock(descriptor)
  const holder = free ? null : readFileSync(`${folder}.lock`, 'utf8').trim()
  closeSync(descriptor)
  return holder
}
