import {
  closeSync,
  existsSync,
  mkdirSync,
  openSync,
  readFileSync,
  readdirSync,
  realpathSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs'
import { hostname } from 'node:os'
import { join } from 'node:path'
import { tryLock } from 'fs-native-extensions'
import { z } from 'zod'

export class FolderInUse extends Error {
  constructor(folder: string, holder: string) {
    super(
      `${folder} is in use by another Islands${holder && ` (${holder})`}. Stop that one first, or choose another folder.`,
    )
    this.name = 'FolderInUse'
  }
}

/** The folder is not as a database leaves it. Nothing in it was changed. */
export class FolderDamaged extends Error {
  constructor(folder: string, what: string) {
    super(
      `${folder} can’t be opened: ${what}. Islands has changed nothing in it. Bring back a backup with “npm run restore -- FILE”, which keeps the damaged folder aside.`,
    )
    this.name = 'FolderDamaged'
  }
}

const lockName = 'islands.lock'
const markerName = 'islands-in-use.json'
const ownFiles = [lockName, markerName]

/** How often a process says that it still holds the folder, and after how long nobody is taken to. */
const signEveryMs = 10_000
const silentAfterMs = 45_000

const markerSchema = z.object({ host: z.string(), process: z.number(), at: z.iso.datetime() })

export interface HeldFolder {
  /** The folder itself, links followed. */
  path: string
  /** There is no database in it yet. */
  isNew: boolean
  /** To be called once a new folder holds its database. */
  filled(): void
  release(): void
}

/**
 * Takes the one lock of a data folder, which PGlite itself does not: on the folder that is meant, whatever way its
 * path is spelled, and on a file of the database itself, so that a deleted lock file lets nobody in.
 *
 * The lock is the operating system's: it ends with the process however that ends. Where two computers share a
 * volume it may not reach from one to the other; there a marker with a sign of life says who is there.
 * @throws {FolderInUse} at once
 * @throws {FolderDamaged} where the folder holds something, but not a whole database
 */
export function holdFolder(folder: string): HeldFolder {
  try {
    return hold(folder)
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException
    if (code !== undefined && closed.includes(code))
      throw new FolderDamaged(folder, `it can’t be written to (${code})`)
    throw error
  }
}

/** What the system says of a folder that can't be used: no right, read only, a file, no room. */
const closed = ['EACCES', 'EPERM', 'EROFS', 'ENOTDIR', 'EEXIST', 'ENOSPC', 'ELOOP']

function hold(folder: string): HeldFolder {
  mkdirSync(folder, { recursive: true })
  const path = realpathSync(folder)
  const held: number[] = []
  const letGo = () => held.splice(0).forEach((descriptor) => closeSync(descriptor))
  try {
    const lock = (file: string, flags: string) => {
      const descriptor = openSync(file, flags)
      held.push(descriptor)
      if (!tryLock(descriptor)) throw new FolderInUse(folder, holderOf(path))
    }
    // Versions before this one held a file beside the folder.
    if (existsSync(`${path}.lock`)) lock(`${path}.lock`, 'r+')
    lock(join(path, lockName), 'a+')
    const isNew = readdirSync(path).every((name) => ownFiles.includes(name))
    const version = join(path, 'PG_VERSION')
    if (!isNew) {
      const damage = damageOf(path)
      if (damage) throw new FolderDamaged(folder, damage)
      lock(version, 'r+')
    }
    const elsewhere = otherHost(path)
    if (elsewhere) throw new FolderInUse(folder, elsewhere)
    sign(path)
    const signs = setInterval(() => sign(path), signEveryMs)
    signs.unref()
    return {
      path,
      isNew,
      filled: () => lock(version, 'r+'),
      release() {
        clearInterval(signs)
        rmSync(join(path, markerName), { force: true })
        letGo()
      },
    }
  } catch (error) {
    letGo()
    throw error
  }
}

/** Null where the folder is free, else why it can't be used, in words. Takes nothing. */
export function whyNotFree(folder: string): Error | null {
  if (!existsSync(folder)) return null
  try {
    holdFolder(folder).release()
    return null
  } catch (error) {
    if (error instanceof FolderInUse || error instanceof FolderDamaged) return error
    throw error
  }
}

function sign(path: string) {
  const marker = { host: hostname(), process: process.pid, at: new Date().toISOString() }
  try {
    writeFileSync(join(path, markerName), JSON.stringify(marker))
  } catch {
    // A folder that went away tells so at the next statement.
  }
}

function readMarker(path: string) {
  try {
    return markerSchema.parse(JSON.parse(readFileSync(join(path, markerName), 'utf8')))
  } catch {
    return null
  }
}

function holderOf(path: string): string {
  const marker = readMarker(path)
  return marker ? `process ${marker.process} on ${marker.host}` : ''
}

/** Another computer that gave a sign of life a moment ago. */
function otherHost(path: string): string | null {
  const marker = readMarker(path)
  if (!marker || marker.host === hostname()) return null
  const silentMs = Date.now() - Date.parse(marker.at)
  return silentMs < silentAfterMs
    ? `process ${marker.process} on ${marker.host}, last heard of ${Math.max(0, Math.round(silentMs / 1000))} s ago; if that computer is off, wait a minute`
    : null
}

/** What is missing of a database, in words; null: it looks whole. */
function damageOf(path: string): string | null {
  const inside = (...names: string[]) => join(path, ...names)
  if (!existsSync(inside('PG_VERSION')))
    return existsSync(inside('base'))
      ? 'the file PG_VERSION is missing'
      : 'there are files in it that are not a database'
  for (const folder of ['base', 'global', 'pg_wal', 'pg_xact'])
    if (!existsSync(inside(folder))) return `the folder ${folder} is missing`
  const control = inside('global', 'pg_control')
  if (!existsSync(control)) return 'the file global/pg_control is missing'
  if (statSync(control).size < 8192 || readFileSync(control).every((byte) => byte === 0))
    return 'the file global/pg_control is empty'
  if (!readdirSync(inside('pg_wal')).some((name) => /^[0-9A-F]{24}$/.test(name)))
    return 'the write-ahead log is missing'
  return null
}
