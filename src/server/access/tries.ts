interface Limit {
  tries: number
  ms: number
}

/**
 * Wrong tries, counted for whom they come from and in all. Kept in memory: a server that starts again forgets them,
 * and several instances count each for itself.
 */
export class Tries {
  private wrong: { from: string; at: number }[] = []

  constructor(
    private readonly limits: { each: Limit; all: Limit },
    private readonly clock: () => number = Date.now,
  ) {}

  /** Too many lately: the next one is not even looked at. */
  areTooMany(from: string): boolean {
    const now = this.clock()
    const { each, all } = this.limits
    this.wrong = this.wrong.filter(({ at }) => at > now - Math.max(each.ms, all.ms))
    const since = (ms: number) => this.wrong.filter(({ at }) => at > now - ms)
    return (
      since(each.ms).filter((one) => one.from === from).length >= each.tries ||
      since(all.ms).length >= all.tries
    )
  }

  /** Another wrong one. */
  count(from: string) {
    this.wrong.push({ from, at: this.clock() })
  }
}

/** Of passwords and codes: five a minute from one address, sixty an hour in all. Both are far too long for that. */
export const usualLimits = { each: { tries: 5, ms: 60_000 }, all: { tries: 60, ms: 3_600_000 } }
