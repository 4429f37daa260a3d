import {
  createReadStream,
  createWriteStream,
  existsSync,
  fsyncSync,
  mkdirSync,
  openSync,
  closeSync,
  readdirSync,
  renameSync,
  rmSync,
  statSync,
} from 'node:fs'
import { basename, join } from 'node:path'
import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { createGunzip, createGzip } from 'node:zlib'
import { z } from 'zod'
import { documentSchema, type IslandsDocument } from './document'
import { NotOurs } from './load'

const backupReasons = ['daily', 'migration', 'import', 'restore', 'erase', 'by-hand'] as const
export type BackupReason = (typeof backupReasons)[number]

/**
 * Backups kept of each kind; the oldest go first. Kinds don't push each other out: a day of imports must not cost the
 * fortnight of daily ones, nor the copy made before an update.
 */
export const mostBackups: Record<BackupReason, number> = {
  daily: 14,
  migration: 3,
  import: 5,
  restore: 5,
  erase: 5,
  'by-hand': 10,
}

export interface BackupFile {
  name: string
  madeAt: string
  reason: BackupReason
  bytes: number
}

const nameOf = (at: Date, reason: BackupReason) =>
  `islands-${at.toISOString().replace(/[:.]/g, '-')}-${reason}.json.gz`
const namePattern = /^islands-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)-(\d{3})Z-([a-z-]+)\.json\.gz$/

/** A backup's name as it may come from outside: no path. */
export const backupNameSchema = z.string().regex(namePattern, 'There is no such backup.')

/** Where backups of a data folder go unless another folder is chosen. */
export const backupFolder = (dataFolder: string): string =>
  process.env.ISLANDS_BACKUPS ?? `${dataFolder.replace(/\/+$/, '')}-backups`

/** The backups there are, the newest first. */
export function backupsIn(folder: string): BackupFile[] {
  if (!existsSync(folder)) return []
  return readdirSync(folder)
    .flatMap((name): BackupFile[] => {
      const found = namePattern.exec(name)
      if (!found) return []
      const [, day, hour, minute, second, ms, reason] = found
      if (!backupReasons.includes(reason as BackupReason)) return []
      // A link that leads nowhere and a folder of that name are no backups.
      const file = statSync(join(folder, name), { throwIfNoEntry: false })
      if (!file?.isFile()) return []
      return [
        {
          name,
          madeAt: `${day}T${hour}:${minute}:${second}.${ms}Z`,
          reason: reason as BackupReason,
          bytes: file.size,
        },
      ]
    })
    .sort((a, b) => (a.madeAt < b.madeAt ? 1 : -1))
}

/**
 * Writes a backup and lets the oldest go. It has its name only once all of it is on the disk: a power cut leaves
 * no half of one.
 */
export async function writeBackup(
  folder: string,
  reason: BackupReason,
  parts: AsyncIterable<string>,
  at = new Date(),
): Promise<BackupFile> {
  mkdirSync(folder, { recursive: true })
  const name = nameOf(at, reason)
  await writeGzip(join(folder, name), parts)
  for (const old of backupsIn(folder)
    .filter((backup) => backup.reason === reason)
    .slice(mostBackups[reason]))
    rmSync(join(folder, old.name), { force: true })
  return backupsIn(folder).find((backup) => backup.name === name)!
}

/** What a backup is called until all of it is on the disk. */
const halfEnding = '.part'

/** Writes a packed file whole or not at all, down to the disk. */
export async function writeGzip(file: string, parts: AsyncIterable<string>) {
  const half = file + halfEnding
  try {
    await pipeline(Readable.from(parts), createGzip(), createWriteStream(half))
    sync(half, 'r+')
    renameSync(half, file)
    sync(join(file, '..'), 'r')
  } finally {
    rmSync(half, { force: true })
  }
}

function sync(path: string, flags: string) {
  const descriptor = openSync(path, flags)
  try {
    fsyncSync(descriptor)
  } finally {
    closeSync(descriptor)
  }
}

/** Takes away what a writer that was killed left of a backup. @returns how many there were */
export function clearHalves(folder: string): number {
  if (!existsSync(folder)) return 0
  const halves = readdirSync(folder).filter(
    (name) => name.endsWith(halfEnding) && namePattern.test(name.slice(0, -halfEnding.length)),
  )
  for (const name of halves) rmSync(join(folder, name), { force: true })
  return halves.length
}

/** Text of a packed or plain file. */
async function textOf(file: string): Promise<string> {
  const chunks: Buffer[] = []
  const collect = async (source: AsyncIterable<Buffer>) => {
    for await (const chunk of source) chunks.push(chunk)
  }
  const source = createReadStream(file)
  // An error of either stream ends the work: a mere pipe would wait for ever.
  await (file.endsWith('.gz') ? pipeline(source, createGunzip(), collect) : pipeline(source, collect))
  return Buffer.concat(chunks).toString('utf8')
}

/** The system could not read a file, whatever is in it. */
export class Unreadable extends NotOurs {
  constructor(file: string) {
    super(`${basename(file)} can’t be read: it is not there, or this computer can’t open it.`)
    this.name = 'Unreadable'
  }
}

/**
 * @throws {Unreadable} where the system could not read it
 * @throws {NotOurs} where the file is no whole document
 */
export async function readDocumentFile(file: string): Promise<IslandsDocument> {
  let text: string
  try {
    text = await textOf(file)
  } catch (error) {
    // Errors of the system have a number; those of unpacking name zlib.
    if (/^E/.test((error as NodeJS.ErrnoException).code ?? '')) throw new Unreadable(file)
    throw new NotOurs(`${basename(file)} can’t be read: it is damaged, or not whole.`)
  }
  return readDocument(text)
}

/** No document of ours is nested so deep; one that is would exhaust whatever reads it. */
const deepest = 60

/** True if brackets of JSON are open within each other more than `most` times. */
function isNestedDeeper(text: string, most: number): boolean {
  let depth = 0
  for (const [found] of text.matchAll(/"(?:[^"\\]|\\.)*"|[[{]|[\]}]/g))
    if (found === '[' || found === '{') {
      if (++depth > most) return true
    } else if (found === ']' || found === '}') depth--
  return false
}

/** @throws {NotOurs} where the text is no document of Islands */
export function readDocument(text: string): IslandsDocument {
  if (isNestedDeeper(text, deepest))
    throw new NotOurs('This is not a document of Islands: it is nested too deep.')
  let value: unknown
  try {
    value = JSON.parse(text)
  } catch {
    throw new NotOurs('This is not a document of Islands: it is not JSON, or not whole.')
  }
  const parsed = documentSchema.safeParse(value)
  if (parsed.success) return parsed.data
  const [{ path, message }] = parsed.error.issues
  throw new NotOurs(`${path.length > 0 ? `${path.join('.')}: ` : ''}${message}`)
}
