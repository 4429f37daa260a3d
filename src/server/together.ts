/** What came of one of several things done together. */
export type Answer<Output> = { done: Output } | { refused: Error }

interface Waiting<Input, Output> {
  input: Input
  settle: (answer: Answer<Output>) => void
}

/** As many are taken at once: more would keep others waiting for the whole of them. */
const mostAtOnce = 24

/**
 * Lets what belongs together be done together. While one lot of a key is being done, whatever comes for that key
 * waits, and is then taken as the next lot: the busier it gets, the more one lot carries, and nobody waits where
 * nobody else is.
 *
 * `doLot` is given a way to take its lot as late as it likes, so that those who come while it waits for its turn come
 * along; it takes it once. It answers for each of them. Where it throws instead, each of the lot is tried by itself,
 * so that one can't spoil it for the others; `isOfAll` tells of the errors where that is no use.
 */
export class Together<Input, Output> {
  private readonly queues = new Map<string, Waiting<Input, Output>[]>()

  constructor(
    private readonly doLot: (take: () => readonly Input[]) => Promise<readonly Answer<Output>[]>,
    private readonly isOfAll: (error: unknown) => boolean,
  ) {}

  /** Settles when `input` is done, with the others of its key. */
  do(key: string, input: Input): Promise<Output> {
    return new Promise<Output>((resolve, reject) => {
      const settle = (answer: Answer<Output>) =>
        'done' in answer ? resolve(answer.done) : reject(answer.refused)
      const queue = this.queues.get(key)
      if (queue) queue.push({ input, settle })
      else {
        this.queues.set(key, [{ input, settle }])
        void this.work(key)
      }
    })
  }

  private async work(key: string) {
    const queue = this.queues.get(key)!
    while (queue.length > 0) await this.oneLot(queue)
    this.queues.delete(key)
  }

  private async oneLot(queue: Waiting<Input, Output>[]) {
    let lot: Waiting<Input, Output>[] | null = null
    const take = () => (lot ??= queue.splice(0, mostAtOnce))
    try {
      const answers = await this.doLot(() => take().map(({ input }) => input))
      take().forEach(({ settle }, i) => settle(answers[i]))
    } catch (error) {
      if (take().length === 1 || this.isOfAll(error))
        for (const { settle } of take()) settle({ refused: error as Error })
      else for (const one of take()) await this.oneLot([one])
    }
  }
}
