import pg from 'pg'
import { sessionChannel } from './channel'

type Listener = (sessionId: string | null) => void

/** A connection that broke is made again after so long. */
const againMs = 1_000

/**
 * A connection of its own to a PostgreSQL server that only listens: a pooled one would be handed on, and hear nothing.
 * It is made when somebody wants to hear; when it breaks it is made again, and everybody is told to read anew.
 */
export class ServerEar {
  private readonly listeners = new Set<Listener>()
  private client: pg.Client | null = null
  private timer: ReturnType<typeof setTimeout> | undefined
  private closed = false

  constructor(private readonly url: string) {}

  listen(listener: Listener): () => void {
    this.listeners.add(listener)
    if (this.listeners.size === 1 && !this.client) void this.connect()
    return () => this.listeners.delete(listener)
  }

  async close() {
    this.closed = true
    clearTimeout(this.timer)
    await this.client?.end().catch(() => undefined)
  }

  private async connect() {
    const client = new pg.Client({ connectionString: this.url, keepAlive: true })
    this.client = client
    const again = () => {
      if (this.closed || this.client !== client) return
      this.client = null
      this.timer = setTimeout(() => void this.connect(), againMs)
      this.timer.unref()
    }
    client.on('error', again)
    client.on('end', again)
    client.on('notification', ({ payload }) => this.tell(payload ?? null))
    try {
      await client.connect()
      await client.query(`listen ${sessionChannel}`)
      // Whatever was told before this moment was not heard.
      this.tell(null)
    } catch {
      await client.end().catch(() => undefined)
      again()
    }
  }

  private tell(sessionId: string | null) {
    for (const listener of this.listeners) listener(sessionId)
  }
}
