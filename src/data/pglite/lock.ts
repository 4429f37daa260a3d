import { closeSync, mkdirSync, openSync, readFileSync, writeFileSync } from 'node:fs'
import { dirname } from 'node:path'
import { tryLock } from 'fs-native-extensions'

export class FolderInUse extends Error {
  constructor(folder: string, holder: string) {
    super(
      `${folder} is in use by another Islands${holder ? ` (process ${holder})` : ''}. Stop that one first, or choose another folder.`,
    )
    this.name = 'FolderInUse'
  }
}

/**
 * Takes the one lock of a data folder, which PGlite itself does not.
 *
 * The lock is the operating system's, on a file beside the folder: it ends with the process however
 * that ends, so nothing is left behind by SIGKILL and no time has to pass.
 * @returns a function that gives the lock back
 * @throws {FolderInUse} at once
 */
export function lockFolder(folder: string): () => void {
  const file = `${folder}.lock`
  mkdirSync(dirname(file), { recursive: true })
  const descriptor = openSync(file, 'a+')
  if (!tryLock(descriptor)) {
    const holder = readFileSync(file, 'utf8').trim()
    closeSync(descriptor)
    throw new FolderInUse(folder, holder)
  }
  writeFileSync(file, String(process.pid))
  return () => closeSync(descriptor)
}
