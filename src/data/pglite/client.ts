import { join } from 'node:path'
import { Worker } from 'node:worker_threads'
import { lockFolder } from './lock'

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

/**
 * A PGlite folder served by a worker thread, with the part of PGlite's interface the query builder
 * uses. PGlite is one session: whoever comes while a transaction runs waits for its end. Statements
 * outside transactions are sent on at once; the worker takes them one by one.
 */
export class PgliteClient implements Statements {
  private readonly waiting = new Map<number, Waiting>()
  private sent = 0
  /** Settles when the last transaction asked for is over. */
  private transactions: Promise<unknown> = Promise.resolve()

  private constructor(
    private readonly worker: Worker,
    private readonly release: () => void,
  ) {
    worker.on('message', ({ id, result, error }) => {
      const waiting = this.waiting.get(id)
      this.waiting.delete(id)
      if (error) waiting?.reject(Object.assign(new Error(error.message), error))
      else waiting?.resolve(withJson(result))
    })
    const fail = () => {
      for (const { reject } of this.waiting.values()) reject(new Error('The database has stopped.'))
      this.waiting.clear()
    }
    worker.on('error', fail)
    worker.on('exit', fail)
  }

  /**
   * Opens a folder and holds its lock until closed. The first opening of a new folder takes seconds.
   * @throws {FolderInUse} at once
   */
  static async open(folder: string): Promise<PgliteClient> {
    const release = lockFolder(folder)
    const worker = new Worker(join(process.cwd(), 'src/data/pglite/worker.mjs'), { workerData: { folder } })
    try {
      await new Promise<void>((resolve, reject) => {
        worker.once('message', () => resolve())
        worker.once('error', reject)
      })
    } catch (error) {
      release()
      throw error
    }
    return new PgliteClient(worker, release)
  }

  query(sql: string, params: unknown[] = [], options: Options = {}): Promise<Result> {
    return this.transactions.then(() => this.send(sql, params, options))
  }

  /** All statements of `work` or none; it must use only the statements it is handed. */
  transaction<T>(work: (statements: Statements) => Promise<T>): Promise<T> {
    const mine = this.transactions.then(async () => {
      await this.send('begin')
      try {
        const result = await work({ query: (sql, params, options) => this.send(sql, params, options) })
        await this.send('commit')
        return result
      } catch (error) {
        await this.send('rollback')
        throw error
      }
    })
    this.transactions = mine.catch(() => undefined)
    return mine
  }

  async close() {
    await this.transactions
    const ended = new Promise((resolve) => this.worker.once('exit', resolve))
    this.worker.postMessage({ close: true })
    await ended
    this.release()
  }

  private send(sql: string, params: unknown[] = [], { rowMode }: Options = {}): Promise<Result> {
    const id = this.sent++
    return new Promise((resolve, reject) => {
      this.waiting.set(id, { resolve, reject })
      this.worker.postMessage({ id, sql, params, rowMode })
    })
  }
}
