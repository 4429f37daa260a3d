import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { DatabaseAway } from '../away'
import { sessionChannel } from '../channel'
import { holdFolder, type HeldFolder } from './folder'

interface Result {
  rows: unknown[]
  affectedRows?: number
  fields: { name: string; dataTypeID: number }[]
}

interface Waiting {
  resolve: (result: Result) => void
  reject: (error: Error) => void
}

/** Types of columns that hold JSON: `json` and `jsonb`. */
const jsonTypes = [114, 3802]

/** Reads the JSON of a result, which comes as text. */
function withJson(result: Result): Result {
  const { fields, rows } = result
  fields.forEach(({ name, dataTypeID }, column) => {
    if (!jsonTypes.includes(dataTypeID)) return
    for (const row of rows as (unknown[] & Record<string, unknown>)[]) {
      const at = Array.isArray(row) ? column : name
      const text = row[at as number]
      if (typeof text === 'string') row[at as number] = JSON.parse(text)
    }
  })
  return result
}

type Options = { rowMode?: 'object' | 'array' }

/** What a transaction may do: statements that run inside it. */
interface Statements {
  query(sql: string, params?: unknown[], options?: Options): Promise<Result>
}

/** Hears what is told over a channel; null: something may have been missed. */
type Listener = (told: string | null) => void

/** After the thread ended it is started again after so long, then after ever longer. */
const againMs = [0, 500, 2_000, 5_000]

/** SQL states after which the database itself is not to be trusted: its files, its memory, its own faults. */
const broken = /^(58|XX|53[12])/

/**
 * A PGlite folder served by a worker thread, with the part of PGlite's interface the query builder
 * uses. PGlite is one session: whoever comes while a transaction runs waits for its end. Statements
 * outside transactions are sent on at once; the worker takes them one by one.
 *
 * A thread that ends takes the statements in its hands with it: they fail at once, and so does whatever
 * comes until a new thread has opened the folder again.
 */
export class PgliteClient implements Statements {
  private readonly waiting = new Map<number, Waiting>()
  private sent = 0
  private worker: Worker | null = null
  private closing = false
  private readonly listeners = new Set<Listener>()
  /** Settles when the last transaction asked for is over. */
  private transactions: Promise<unknown> = Promise.resolve()

  private constructor(private readonly folder: HeldFolder) {}

  /**
   * Opens a folder and holds it until closed. The first opening of a new folder takes seconds.
   * @throws {FolderInUse} at once
   * @throws {FolderDamaged} where the folder holds something, but not a whole database
   */
  static async open(path: string): Promise<PgliteClient> {
    const folder = holdFolder(path)
    try {
      const client = new PgliteClient(folder)
      await client.start()
      if (folder.isNew) folder.filled()
      return client
    } catch (error) {
      folder.release()
      throw error
    }
  }

  query(sql: string, params: unknown[] = [], options: Options = {}): Promise<Result> {
    return this.transactions.then(() => this.send(sql, params, options))
  }

  /** All statements of `work` or none; it must use only the statements it is handed. */
  transaction<T>(work: (statements: Statements) => Promise<T>): Promise<T> {
    const mine = this.transactions.then(async () => {
      const thread = this.worker
      // Statements are carried out in the order they are sent: nothing waits for this one.
      const begun = this.send('begin')
      begun.catch(() => undefined)
      try {
        const result = await work({
          // A new thread knows nothing of what the old one had begun.
          query: (sql, params, options) =>
            this.worker === thread ? this.send(sql, params, options) : Promise.reject(new DatabaseAway()),
        })
        await begun
        if (this.worker !== thread) throw new DatabaseAway()
        await this.send('commit')
        return result
      } catch (error) {
        if (this.worker === thread) await this.send('rollback').catch(() => undefined)
        throw error
      }
    })
    this.transactions = mine.catch(() => undefined)
    return mine
  }

  /** @returns the way to stop listening */
  listen(listener: Listener): () => void {
    this.listeners.add(listener)
    return () => this.listeners.delete(listener)
  }

  async close() {
    await this.transactions
    this.closing = true
    const { worker } = this
    if (worker) {
      const ended = new Promise((resolve) => worker.once('exit', resolve))
      worker.postMessage({ close: true })
      await ended
    }
    this.folder.release()
  }

  private async start() {
    const worker = new Worker(join(process.cwd(), 'src/data/pglite/worker.mjs'), {
      workerData: { folder: this.folder.path, channels: [sessionChannel] },
      // Plain JavaScript: it starts without what the server needs to read TypeScript.
      execArgv: [],
    })
    await new Promise<void>((resolve, reject) => {
      worker.once('message', () => resolve())
      worker.once('error', (error) => reject(new DatabaseAway(error)))
      worker.once('exit', () => reject(new DatabaseAway()))
    })
    worker.on('message', ({ id, result, error, told }) => {
      if (told !== undefined) return this.tell(told)
      const waiting = this.waiting.get(id)
      this.waiting.delete(id)
      if (!error) return waiting?.resolve(withJson(result))
      waiting?.reject(Object.assign(new Error(error.message), error))
      if (broken.test(error.code ?? '')) void worker.terminate()
    })
    worker.on('error', () => undefined)
    worker.on('exit', () => this.ended(worker))
    this.worker = worker
  }

  private ended(worker: Worker) {
    if (this.worker !== worker) return
    this.worker = null
    for (const { reject } of this.waiting.values()) reject(new DatabaseAway())
    this.waiting.clear()
    if (!this.closing) void this.startAgain()
  }

  private async startAgain() {
    for (let attempt = 0; !this.closing; attempt++) {
      const timer = againMs[Math.min(attempt, againMs.length - 1)]
      await new Promise((resolve) => setTimeout(resolve, timer).unref())
      try {
        await this.start()
        return this.tell(null)
      } catch {
        // Whoever asks meanwhile is told that the database is away.
      }
    }
  }

  private tell(told: string | null) {
    for (const listener of this.listeners) listener(told)
  }

  private send(sql: string, params: unknown[] = [], { rowMode }: Options = {}): Promise<Result> {
    const { worker } = this
    if (!worker) return Promise.reject(new DatabaseAway())
    const id = this.sent++
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject })
      worker.postMessage({ id, sql, params, rowMode })
    })
  }
}
