interface Limit {
  tries: number
  ms: number
}

/** Above so many senders those whose tries have all lapsed are forgotten. */
const manySenders = 2_000

/**
 * Wrong tries, counted for each sender. A try counts from the moment it begins, so that a hundred at once are not all
 * looked at before the first one is wrong. Nobody's tries keep anybody else out. Kept in memory: a server that starts
 * again forgets them, and several instances count each for itself.
 */
export class Tries {
  private readonly tried = new Map<string, number[]>()

  constructor(
    private readonly limit: Limit,
    private readonly clock: () => number = Date.now,
  ) {}

  /** @returns for how many milliseconds the next try of a sender is not looked at; 0: it is */
  waitMs(from: string): number {
    const lately = this.lately(from)
    if (lately.length < this.limit.tries) return 0
    return lately[lately.length - this.limit.tries] + this.limit.ms - this.clock()
  }

  /** How many tries of the sender were wrong lately, or are being looked at. */
  recent(from: string): number {
    return this.lately(from).length
  }

  /** A try begins. @returns takes it back: it was right */
  begin(from: string): () => void {
    this.forget()
    const at = this.clock()
    this.tried.set(from, [...this.lately(from), at])
    return () => {
      const left = this.lately(from)
      const own = left.indexOf(at)
      this.tried.set(from, own < 0 ? left : left.toSpliced(own, 1))
    }
  }

  private lately(from: string): number[] {
    return (this.tried.get(from) ?? []).filter((at) => at > this.clock() - this.limit.ms)
  }

  private forget() {
    if (this.tried.size < manySenders) return
    for (const from of this.tried.keys()) if (this.lately(from).length === 0) this.tried.delete(from)
  }
}

/** Of passwords, and of codes to be typed: five a minute from one address. Both are far too long to be guessed so. */
export const usualLimit: Limit = { tries: 5, ms: 60_000 }

export const tooManyTries = (waitMs: number): string => {
  const seconds = Math.max(1, Math.ceil(waitMs / 1000))
  return `Too many wrong tries from this device. Wait ${seconds === 1 ? 'a second' : `${seconds} seconds`}, then try again.`
}
