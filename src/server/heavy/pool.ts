import { Worker } from 'node:worker_threads'

/** The work was stopped: it took longer than it may, or nobody wants it any more. */
export class Stopped extends Error {
  constructor(readonly why: 'too-long' | 'cancelled') {
    super(why === 'too-long' ? 'This takes longer than it may.' : 'Stopped.')
    this.name = 'Stopped'
  }
}

/** There is more to work out than can wait: nothing is wrong, and it can be asked for again. */
export class Busy extends Error {
  /** Told apart by the page for faults, where messages of the server do not arrive. */
  readonly digest: string

  constructor(readonly seconds: number) {
    super(`Islands is working on other plans and pages. Try again in about ${inSeconds(seconds)}.`)
    this.name = 'Busy'
    this.digest = `busy-${seconds}`
  }
}
/** Told by name: routes are bundled apart, each with a class of its own. */
export const isBusy = (error: unknown): error is Busy => error instanceof Error && error.name === 'Busy'
export const isTooLong = (error: unknown): boolean =>
  error instanceof Error && error.name === 'Stopped' && (error as Stopped).why === 'too-long'

const inSeconds = (seconds: number) => (seconds === 1 ? 'a second' : `${seconds} seconds`)

/** A thread that has not begun by then never will: it reads its code first, which takes long where others have the cores. */
const startMs = 60_000

/** Jobs of one person, and of all, that wait at the most: who asks for more is told when to come again. */
const [mostOfOne, mostOfAll] = [12, 60]
/** What a job takes before any has been timed. */
const firstGuessMs = 500

/** A pure function of plain data that takes long, by name. */
export type Jobs = Record<string, (input: never) => unknown>

interface Job {
  /** Who asked for it. */
  of: string
  /** Nobody waits for it any more. */
  isStale: () => boolean
  name: string
  input: unknown
  limitMs: number
  resolve: (result: unknown) => void
  reject: (error: Error) => void
}

/** What a thread says of the job in hand. */
interface Told {
  begun?: true
  result?: unknown
  error?: string
}

interface Options {
  limitMs: number
  signal?: AbortSignal
  /** Asked before it begins: a job that nobody waits for any more is dropped. */
  isStale?: () => boolean
}

/**
 * One thread that does long work, a job at a time, so that the server's own thread answers meanwhile. People take turns,
 * and of one person the oldest job comes first. A job in hand can't be interrupted: one that is stopped takes the thread
 * with it, and the next gets a new one.
 */
export class HeavyThread<J extends Jobs> {
  private readonly queue: Job[] = []
  /** The turn in which a person was served last. */
  private readonly served = new Map<string, number>()
  private turn = 0
  private usualMs = firstGuessMs
  private begunAt = 0
  private inHand: Job | null = null
  private worker: Worker | null = null
  private timer: NodeJS.Timeout | undefined

  /**
   * @param script path of a file that answers `{ name, input }` with `{ begun }`, then `{ result }` or `{ error }`
   * @param asker who asks just now
   */
  constructor(
    private readonly script: string,
    private readonly asker: () => string = () => '',
  ) {}

  /** @throws {Busy} where too much waits already; {Stopped} */
  run<N extends keyof J & string>(
    name: N,
    input: Parameters<J[N]>[0],
    { limitMs, signal, isStale = () => false }: Options,
  ): Promise<Awaited<ReturnType<J[N]>>> {
    return new Promise((resolve, reject) => {
      if (signal?.aborted) return reject(new Stopped('cancelled'))
      const of = this.asker()
      this.dropStale()
      const own = this.queue.filter((job) => job.of === of).length
      if (own >= mostOfOne || this.queue.length >= mostOfAll) return reject(new Busy(this.secondsToWait()))
      const job: Job = { of, isStale, name, input, limitMs, resolve: resolve as Job['resolve'], reject }
      signal?.addEventListener('abort', () => this.stop(job, 'cancelled'), { once: true })
      this.queue.push(job)
      this.next()
    })
  }

  /** Starts the thread before it is needed: that takes a second. */
  warm() {
    this.worker ??= this.start()
  }

  async close() {
    const { worker } = this
    this.worker = null
    for (const job of [...this.queue.splice(0), ...(this.inHand ? [this.inHand] : [])])
      job.reject(new Stopped('cancelled'))
    this.inHand = null
    clearTimeout(this.timer)
    await worker?.terminate()
  }

  private start(): Worker {
    // A script that needs anything to be read brings it along.
    const worker = new Worker(this.script, { execArgv: [] })
    worker.unref()
    worker.on('message', ({ begun, result, error }: Told) => {
      if (worker !== this.worker) return
      if (begun) {
        if (this.inHand) this.stopAfter(this.inHand, this.inHand.limitMs)
        return
      }
      const job = this.done()
      if (error === undefined) job?.resolve(result)
      else job?.reject(new Error(error))
      this.next()
    })
    const broke = (error: Error) => {
      if (worker !== this.worker) return
      this.worker = null
      this.done()?.reject(error)
      this.next()
    }
    worker.on('error', broke)
    worker.on('exit', () => broke(new Error('The thread for long work ended.')))
    return worker
  }

  private next() {
    if (this.inHand) return
    this.dropStale()
    const job = this.takeTurn()
    if (!job) return
    this.inHand = job
    this.begunAt = Date.now()
    this.worker ??= this.start()
    this.stopAfter(job, startMs)
    this.worker.postMessage({ name: job.name, input: job.input })
  }

  /** The oldest job of whoever was served longest ago. */
  private takeTurn(): Job | null {
    const lastTurn = ({ of }: Job) => this.served.get(of) ?? -1
    const job = this.queue.reduce<Job | null>(
      (first, one) => (first === null || lastTurn(one) < lastTurn(first) ? one : first),
      null,
    )
    if (!job) {
      this.served.clear()
      return null
    }
    this.queue.splice(this.queue.indexOf(job), 1)
    this.served.set(job.of, this.turn++)
    return job
  }

  private dropStale() {
    for (const job of this.queue.filter((one) => one.isStale())) this.stop(job, 'cancelled')
  }

  private secondsToWait(): number {
    return Math.max(1, Math.ceil((this.queue.length * this.usualMs) / 1000))
  }

  private stopAfter(job: Job, ms: number) {
    clearTimeout(this.timer)
    this.timer = setTimeout(() => this.stop(job, 'too-long'), ms)
    this.timer.unref()
  }

  private done(): Job | null {
    clearTimeout(this.timer)
    const job = this.inHand
    this.inHand = null
    if (job) this.usualMs = 0.8 * this.usualMs + 0.2 * (Date.now() - this.begunAt)
    return job
  }

  private stop(job: Job, why: Stopped['why']) {
    const waiting = this.queue.indexOf(job)
    if (waiting >= 0) {
      this.queue.splice(waiting, 1)
      return job.reject(new Stopped(why))
    }
    if (job !== this.inHand) return
    this.done()
    const { worker } = this
    this.worker = null
    void worker?.terminate()
    job.reject(new Stopped(why))
    this.next()
  }
}
