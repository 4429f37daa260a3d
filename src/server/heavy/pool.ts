import { Worker } from 'node:worker_threads'

/** The work was stopped: it took longer than it may, or nobody wants it any more. */
export class Stopped extends Error {
  constructor(readonly why: 'too-long' | 'cancelled') {
    super(why === 'too-long' ? 'This takes longer than it may.' : 'Stopped.')
    this.name = 'Stopped'
  }
}

/** A thread that has not begun by then never will: it reads its code first, which takes long where others have the cores. */
const startMs = 60_000

/** More jobs than this do not wait: the oldest is let go, and asked for anew by whoever still wants it. */
const mostWaiting = 12

/** A pure function of plain data that takes long, by name. */
export type Jobs = Record<string, (input: never) => unknown>

interface Job {
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
}

/**
 * One thread that does long work, a job at a time, so that the server's own thread answers meanwhile. A job in
 * hand can't be interrupted: one that is stopped takes the thread with it, and the next gets a new one.
 */
export class HeavyThread<J extends Jobs> {
  private readonly queue: Job[] = []
  private inHand: Job | null = null
  private worker: Worker | null = null
  private timer: NodeJS.Timeout | undefined

  /** @param script path of a file that answers `{ name, input }` with `{ begun }`, then `{ result }` or `{ error }` */
  constructor(private readonly script: string) {}

  run<N extends keyof J & string>(
    name: N,
    input: Parameters<J[N]>[0],
    { limitMs, signal }: Options,
  ): Promise<Awaited<ReturnType<J[N]>>> {
    return new Promise((resolve, reject) => {
      if (signal?.aborted) return reject(new Stopped('cancelled'))
      const job: Job = { name, input, limitMs, resolve: resolve as Job['resolve'], reject }
      signal?.addEventListener('abort', () => this.stop(job, 'cancelled'), { once: true })
      this.queue.push(job)
      if (this.queue.length > mostWaiting) this.stop(this.queue[0], 'cancelled')
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
    // The newest first: who asked before has mostly gone on to something else.
    const job = this.queue.pop()
    if (!job) return
    this.inHand = job
    this.worker ??= this.start()
    this.stopAfter(job, startMs)
    this.worker.postMessage({ name: job.name, input: job.input })
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
    return job
  }

  private stop(job: Job, why: Stopped['why']) {
    const waiting = this.queue.indexOf(job)
    if (waiting >= 0) this.queue.splice(waiting, 1)
    else if (job === this.inHand) {
      this.done()
      const { worker } = this
      this.worker = null
      void worker?.terminate()
    } else return
    job.reject(new Stopped(why))
    this.next()
  }
}
