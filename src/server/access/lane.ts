interface Waiting {
  refuse: (error: Error) => void
  /** Who has tried in vain often is served after those who have not. */
  rank: number
  order: number
  start: () => void
}

/** More wait already than can be served in good time. */
export class LaneFull extends Error {}

/**
 * Costly work one at a time, so that it never takes the machine from the rest: of those who wait the one with the lowest
 * rank comes first, of equals who came first. Where it is full, whoever comes is turned away, unless one of a higher rank waits: then that one is.
 */
export class Lane {
  private readonly waiting: Waiting[] = []
  private busy = false
  private order = 0

  constructor(
    private readonly most: number,
    /** Milliseconds between the end of one and the beginning of the next. */
    private readonly restMs = 0,
  ) {}

  get isIdle(): boolean {
    return !this.busy && this.waiting.length === 0
  }

  /** @throws {LaneFull} where it is turned away */
  async run<T>(rank: number, work: () => Promise<T>): Promise<T> {
    await this.turn(rank)
    try {
      return await work()
    } finally {
      if (this.restMs > 0) setTimeout(() => this.next(), this.restMs).unref()
      else this.next()
    }
  }

  private turn(rank: number): Promise<void> {
    if (!this.busy) {
      this.busy = true
      return Promise.resolve()
    }
    return new Promise((start, refuse) => {
      this.waiting.push({ rank, order: this.order++, start, refuse })
      this.waiting.sort((a, b) => a.rank - b.rank || a.order - b.order)
      if (this.waiting.length > this.most) this.waiting.pop()!.refuse(new LaneFull())
    })
  }

  private next() {
    const first = this.waiting.shift()
    if (first) first.start()
    else this.busy = false
  }
}
