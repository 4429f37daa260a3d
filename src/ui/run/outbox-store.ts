import { openDB, type DBSchema, type IDBPDatabase } from 'idb'
import { markSchema, type Mark } from '@/core/evidence/mark'
import type { Told } from '@/core/evidence/told'
import { newId } from '../new-id'

/** What a device has to say to the server: a mark, or something else that is told at a station. */
export type Entry = Mark | Told

export const isMark = (entry: Entry): entry is Mark => !('kind' in entry)

/** An entry that could not be stored by the server, with what it said. */
export interface SetAside {
  entry: Entry
  reason: string
}

interface Kept {
  /** In the order in which entries were made. */
  at: number
  classId: string
  /** Named when there was nothing but marks. */
  mark: Entry
  /** Why the server can't store it; null: it waits to be sent. */
  reason: string | null
}

interface Schema extends DBSchema {
  marks: { key: string; value: Kept; indexes: { byClass: string } }
  device: { key: string; value: string }
}

/**
 * Entries kept on this device until the server has acknowledged them: they survive a reload, a restart and a closed
 * lid. Where the browser keeps nothing (a private window, a full disk) they stay with the page, which says so.
 */
export class OutboxStore {
  /** Entries that could not be kept: they are lost if the page goes. */
  private readonly volatile = new Map<string, Kept>()
  private opened: Promise<IDBPDatabase<Schema>> | null = null

  constructor(private readonly classId: string) {}

  private open(): Promise<IDBPDatabase<Schema>> {
    // A browser without a store may throw at once: that is told like any other failure.
    this.opened ??= Promise.resolve()
      .then(() =>
        openDB<Schema>('islands', 1, {
          upgrade(db) {
            db.createObjectStore('marks', { keyPath: 'mark.id' }).createIndex('byClass', 'classId')
            db.createObjectStore('device')
          },
          terminated: () => (this.opened = null),
        }),
      )
      .catch((error: unknown) => {
        this.opened = null
        throw error
      })
    return this.opened
  }

  /** The name of this device as an observer: made once. */
  async observer(): Promise<string> {
    try {
      const db = await this.open()
      const known = await db.get('device', 'observer')
      if (known) return known
      const made = newId()
      await db.put('device', made, 'observer')
      return made
    } catch {
      return newId()
    }
  }

  async all(): Promise<{ waiting: Entry[]; aside: SetAside[]; volatile: boolean }> {
    const stored = await this.open()
      .then((db) => db.getAllFromIndex('marks', 'byClass', this.classId))
      .catch(() => [])
    const all = [...stored, ...this.volatile.values()].sort((a, b) => a.at - b.at)
    return {
      waiting: all.filter(({ reason }) => reason === null).map(({ mark }) => mark),
      aside: all.flatMap(({ mark, reason }) => (reason === null ? [] : [{ entry: mark, reason }])),
      volatile: this.volatile.size > 0,
    }
  }

  /** Keeps an entry that waits, or with a reason one that is set aside. */
  async keep(entry: Entry, reason: string | null = null) {
    const { classId } = this
    const kept: Kept = { at: Date.parse(entry.madeAt), classId, mark: entry, reason }
    try {
      await (await this.open()).put('marks', kept)
      this.volatile.delete(entry.id)
    } catch {
      this.volatile.set(entry.id, kept)
    }
  }

  async forget(id: string) {
    this.volatile.delete(id)
    await this.open()
      .then((db) => db.delete('marks', id))
      .catch(() => undefined)
  }

  /** Takes over what a version before this one left waiting elsewhere in the browser. */
  async takeOver(observer: string) {
    const key = `islands-marks-${this.classId}`
    const left = localStorage.getItem(key)
    if (left === null) return
    const marks: unknown = JSON.parse(left)
    for (const one of Array.isArray(marks) ? marks : []) {
      const mark = markSchema.safeParse({ ...(one as object), observer })
      if (mark.success) await this.keep(mark.data)
    }
    localStorage.removeItem(key)
  }
}
