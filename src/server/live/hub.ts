import { upkeepScope } from '@/data/scope'
import { openServerDatabase } from '@/data/server-database'
import { atOneMoment } from '@/data/transaction'
import { whenStopping } from '@/data/when-stopping'
import { changeBetween, everything, seenBy, type LiveChange, type Sees } from '@/core/live/change'
import type { LiveSession } from '@/core/live/session'
import { readLive } from './snapshot'

/** A device that listens. */
export interface Listener extends Sees {
  tell(change: LiveChange): void
  /** There is nothing more to hear: the session or the link has ended; or the server stops, and can be asked again. */
  end(why: 'over' | 'stopping'): void
}

/**
 * Between two readings of a session whatever comes is told together: for so long at least, and as long as the last one
 * took, but not where that was long only because the database was busy.
 */
const [leastRestMs, mostRestMs] = [80, 200]

/**
 * The devices that listen to one session. It is read once for all of them when something in it has changed, and each
 * is told the part that is its own.
 */
class SessionHub {
  private readonly listeners = new Set<Listener>()
  /** Those who have not been told anything yet. */
  private readonly fresh = new Set<Listener>()
  private last: LiveSession | null = null
  private reading: Promise<void> | null = null
  private asked = false

  constructor(
    private readonly classId: string,
    private readonly sessionId: string,
  ) {}

  get isEmpty(): boolean {
    return this.listeners.size === 0
  }

  /** From now on the device is told: everything at first, then what changes. */
  add(listener: Listener) {
    this.listeners.add(listener)
    this.fresh.add(listener)
    this.changed()
  }

  remove(listener: Listener) {
    this.listeners.delete(listener)
    this.fresh.delete(listener)
  }

  /** Something has changed, or may have. */
  changed() {
    this.asked = true
    this.reading ??= this.catchUp().finally(() => (this.reading = null))
  }

  end(why: 'over' | 'stopping') {
    for (const listener of this.listeners) listener.end(why)
    this.listeners.clear()
  }

  private async catchUp() {
    while (this.asked && !this.isEmpty) {
      this.asked = false
      const begun = performance.now()
      // A database that is away for a moment tells, when it is back, that all is to be read anew.
      await this.read().catch(() => undefined)
      const took = performance.now() - begun
      await new Promise((resolve) => setTimeout(resolve, Math.min(mostRestMs, Math.max(leastRestMs, took))))
    }
  }

  private async read() {
    const { database } = await openServerDatabase()
    const now = await atOneMoment(database, async (transaction) => {
      const scope = await upkeepScope(transaction, this.classId)
      return scope && readLive(scope, this.sessionId, this.last)
    })
    if (!now) return this.end('over')
    const before = this.last
    this.last = now
    const change = before && changeBetween(before, now)
    for (const listener of this.listeners) {
      // Where the plan has changed other visits may be at its station: what was marked there before is news to it.
      const anew = change?.plan !== undefined && listener.stationId !== null
      const told = this.fresh.delete(listener) || anew ? everything(now) : change
      const seen = told && seenBy(listener, told, now)
      if (seen) listener.tell(seen)
      const linkIsOver =
        listener.linkId !== null && (now.clock.state === 'done' || !now.links.includes(listener.linkId))
      if (linkIsOver) {
        this.listeners.delete(listener)
        listener.end('over')
      }
    }
  }
}

/** The hubs of a server process by session; on globalThis because routes are bundled apart. */
interface Hubs {
  bySession: Map<string, SessionHub>
  /** Set while anybody listens. */
  stop: (() => void) | null
}
const shared = globalThis as { islandsHubs?: Hubs }
const hubs = () => (shared.islandsHubs ??= { bySession: new Map(), stop: null })

/** Lets a device listen to a session. @returns the way to stop */
export async function listenTo(classId: string, sessionId: string, listener: Listener): Promise<() => void> {
  const all = hubs()
  // They are told to come again.
  whenStopping('first', 'devices that listen', endHubs)
  const { listen } = await openServerDatabase()
  all.stop ??= listen((changed) => {
    for (const [id, hub] of all.bySession) if (changed === null || changed === id) hub.changed()
  })
  const hub = all.bySession.get(sessionId) ?? new SessionHub(classId, sessionId)
  all.bySession.set(sessionId, hub)
  hub.add(listener)
  return () => {
    hub.remove(listener)
    if (hub.isEmpty && all.bySession.get(sessionId) === hub) all.bySession.delete(sessionId)
  }
}

/** Nobody is told anything more: the server stops. */
export function endHubs() {
  const all = hubs()
  for (const hub of all.bySession.values()) hub.end('stopping')
  all.bySession.clear()
  all.stop?.()
  all.stop = null
}
