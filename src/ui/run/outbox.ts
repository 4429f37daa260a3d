import { noValue, type Mark, type MarkValue } from '@/core/evidence/mark'
import { newId } from '../new-id'
import type { Told } from '@/core/evidence/told'
import { isMark, type Entry, type OutboxStore, type SetAside } from './outbox-store'

/** Where the entries of this device stand. */
export interface QueueState {
  /** What the device holds was looked up: before, nothing can be said of it. */
  known: boolean
  /** On this device only, as yet. */
  waiting: Entry[]
  /** The server can't store them. */
  aside: SetAside[]
  /** The browser keeps nothing: what waits is lost if the page goes. */
  volatile: boolean
  /** The last try found no server. */
  offline: boolean
}

export const nothingWaiting: QueueState = {
  known: false,
  waiting: [],
  aside: [],
  volatile: false,
  offline: false,
}

/** What a mark is about; without an observer this device saw it. */
export type MarkedAt = Pick<Mark, 'visitId' | 'pupilId'> &
  Partial<Pick<Mark, 'observer' | 'digital' | 'sheet' | 'at' | 'how'>>

/** Answers that are about the moment, not about the mark: it is sent again. */
const forNow = [401, 408, 425, 429]
/** As many answers that the server is at fault, and the mark is set aside. */
const mostFaults = 8
const soonMs = 3_000
const latestMs = 60_000

/** What is told, without its number and moment. */
export type ToTell = Told extends infer T ? (T extends Told ? Omit<T, 'id' | 'madeAt'> : never) : never

type Outcome = 'stored' | 'no-server' | 'server-fault' | { refused: string }

/**
 * Sends entries to the server one by one in the order they were made, and keeps each until it is acknowledged. One
 * that can't be stored is set aside with its reason and holds up no other.
 */
export class Outbox {
  private observer: Promise<string> | null = null
  private sending: Promise<void> | null = null
  private again: ReturnType<typeof setTimeout> | undefined
  private readonly faults = new Map<string, number>()
  private failures = 0
  private lastMade = 0
  private closed = false

  constructor(
    private readonly address: string,
    private readonly store: OutboxStore,
    private readonly changed: (state: QueueState) => void,
    private readonly post: typeof fetch = (...request) => fetch(...request),
  ) {}

  /** Takes up what an earlier page left waiting, if anything. */
  async resume(): Promise<{ observer: string; waiting: Entry[] }> {
    const observer = await this.observerId()
    await this.store.takeOver(observer).catch(() => undefined)
    const { waiting } = await this.report()
    void this.flush()
    return { observer, waiting }
  }

  /** A tap, or what a digital station counted: kept on the device, then sent. */
  async add(at: MarkedAt, value: MarkValue, corrects: string | null): Promise<Mark> {
    const madeAt = this.thisMoment()
    const mark: Mark = {
      ...noValue,
      ...value,
      ...at,
      digital: at.digital ?? null,
      sheet: at.sheet ?? false,
      at: at.at ?? null,
      how: at.how ?? null,
      id: newId(),
      observer: at.observer ?? (await this.observerId()),
      corrects,
      madeAt,
    }
    await this.put(mark)
    return mark
  }

  /** Something else that is told: kept on the device, then sent. */
  async tell(what: ToTell): Promise<Told> {
    const told = { ...what, id: newId(), madeAt: this.thisMoment() } as Told
    await this.put(told)
    return told
  }

  private async put(entry: Entry) {
    await this.store.keep(entry)
    await this.report()
    void this.flush()
  }

  /** Never two entries of one device at one moment, nor a later one before an earlier: the last one stands. */
  private thisMoment(): string {
    this.lastMade = Math.max(Date.now(), this.lastMade + 1)
    return new Date(this.lastMade).toISOString()
  }

  /** Sends a mark that was set aside once more. */
  async retry({ entry }: SetAside) {
    this.faults.delete(entry.id)
    await this.store.keep(entry)
    await this.report()
    await this.flush()
  }

  /** Lets a mark that can't be stored go. */
  async letGo({ entry }: SetAside) {
    await this.store.forget(entry.id)
    await this.report()
  }

  /** Sends what waits; after a failure it tries again by itself, less and less often. */
  flush(): Promise<void> {
    clearTimeout(this.again)
    this.sending ??= this.sendAll().finally(() => (this.sending = null))
    return this.sending
  }

  close() {
    this.closed = true
    clearTimeout(this.again)
  }

  private async sendAll() {
    const tried = new Set<string>()
    let left = false
    for (;;) {
      // Asked anew each time: more may have been tapped meanwhile, or another tab have sent some.
      const entry = (await this.store.all()).waiting.find(({ id }) => !tried.has(id))
      if (!entry || this.closed) break
      tried.add(entry.id)
      const outcome = await this.send(entry)
      if (outcome === 'no-server') {
        left = true
        break
      }
      if (outcome === 'server-fault') left = true
      else if (outcome === 'stored') await this.store.forget(entry.id)
      else await this.store.keep(entry, outcome.refused)
      await this.report()
    }
    this.failures = left ? this.failures + 1 : 0
    await this.report()
    if (left && !this.closed)
      this.again = setTimeout(
        () => void this.flush(),
        Math.min(latestMs, soonMs * 2 ** Math.min(5, this.failures - 1)),
      )
  }

  private async send(entry: Entry): Promise<Outcome> {
    let response: Response
    try {
      response = await this.post(`${this.address}/${isMark(entry) ? 'marks' : 'told'}`, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(entry),
      })
    } catch {
      return 'no-server'
    }
    const said = await readAnswer(response)
    // A stranger's page in between (a network's sign-in) answers with 200 as well: only our own word counts.
    if (response.ok) return said?.ok === true ? 'stored' : 'no-server'
    if (response.status === 503 || forNow.includes(response.status)) return 'no-server'
    const reason = said?.problems?.join(' ') || `The server answered ${response.status}.`
    if (response.status < 500) return { refused: reason }
    const faults = (this.faults.get(entry.id) ?? 0) + 1
    this.faults.set(entry.id, faults)
    return faults < mostFaults ? 'server-fault' : { refused: reason }
  }

  private observerId(): Promise<string> {
    return (this.observer ??= this.store.observer())
  }

  private async report() {
    const state = { known: true, ...(await this.store.all()), offline: this.failures > 0 }
    if (!this.closed) this.changed(state)
    return state
  }
}

async function readAnswer(response: Response): Promise<{ ok?: boolean; problems?: string[] } | null> {
  try {
    const said: unknown = await response.json()
    return typeof said === 'object' ? said : null
  } catch {
    return null
  }
}
