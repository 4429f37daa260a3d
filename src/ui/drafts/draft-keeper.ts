import { mostSteps, type Step } from '@/core/drafting/history'
import type { Draft, Kept } from '@/server/drafts/drafts'
import { newId } from '../new-id'

/** Where a draft stands with the server. */
export type Keeping<T> =
  | { state: 'kept'; at: string | null }
  | { state: 'keeping' }
  /** No answer: it is sent again by itself. */
  | { state: 'away' }
  | { state: 'refused'; problems: string[] }
  /** Another tab or device was first; null: the draft was used or discarded there. */
  | { state: 'other'; there: Draft<T> | null }

interface Request<T> {
  follows: string | null
  revision: string
  before: T
  steps: Step<T>[]
}

const againMs = 3_000
/** Browsers let so many bytes out while a page closes. */
const mostOnClosing = 60_000

/**
 * Sends the steps of a draft in their order, one request at a time: what is taken while one is under way goes
 * with the next. A request without an answer is sent again as it was, so that it is done once.
 */
export class DraftKeeper<T> {
  private under: Request<T> | null = null
  private waiting: Step<T>[] = []
  private before: T | null = null
  private now: T | null = null
  private again: ReturnType<typeof setTimeout> | undefined
  private stopped = false
  /** What is being sent, with all that follows it. */
  private sending: Promise<void> = Promise.resolve()

  constructor(
    private readonly address: string,
    private readonly kind: 'groups' | 'plan',
    /** The draft that stands on the server; null: none. */
    private follows: string | null,
    private readonly tell: (keeping: Keeping<T>) => void,
    private readonly post: typeof fetch = (...request) => fetch(...request),
  ) {}

  /** @param before what was on the table before the step, and what is there after it */
  take(step: Step<T>, before: T, now: T) {
    if (this.waiting.length === 0) this.before = before
    this.now = now
    const last = this.waiting.at(-1)
    // What a search betters while nothing was sent is one and the same step.
    if (typeof step === 'object' && 'amend' in step && typeof last === 'object')
      this.waiting[this.waiting.length - 1] = 'do' in last ? { do: step.amend } : step
    else this.waiting.push(step)
    if (this.waiting.length > mostSteps) this.waiting = [{ do: now }]
    void this.send()
  }

  /** Goes on from another draft, or from none: what was waiting is about one that is no more. */
  follow(revision: string | null) {
    clearTimeout(this.again)
    this.under = null
    this.waiting = []
    this.stopped = false
    this.follows = revision
  }

  /** Settles when nothing is on its way: what takes a draft into use has to come after its last step. */
  idle = (): Promise<void> => this.sending

  /** Nothing more is told; what waits is still sent. */
  close() {
    this.tellNothing = true
    void this.send()
  }
  private tellNothing = false

  private say(keeping: Keeping<T>) {
    if (!this.tellNothing) this.tell(keeping)
  }

  private async send(): Promise<void> {
    if (this.under || this.stopped || this.waiting.length === 0) return
    this.under = { follows: this.follows, revision: newId(), before: this.before!, steps: this.waiting }
    this.waiting = []
    this.before = this.now
    this.sending = this.ask(this.under)
    await this.sending
  }

  private async ask(request: Request<T>): Promise<void> {
    this.say({ state: 'keeping' })
    const answer = await this.answerTo(request)
    // Another draft is followed by now: this answer is about one that is no more.
    if (this.under !== request) return
    if (answer === 'none') {
      this.say({ state: 'away' })
      this.again = setTimeout(() => void this.ask(request), againMs)
      return
    }
    this.under = null
    if ('problems' in answer) {
      this.stopped = true
      return this.say({ state: 'refused', problems: answer.problems })
    }
    if (!answer.kept) {
      this.stopped = true
      return this.say({ state: 'other', there: answer.there })
    }
    this.follows = request.revision
    this.say({ state: 'kept', at: answer.savedAt })
    await this.send()
  }

  private async answerTo(request: Request<T>): Promise<Kept<T> | { problems: string[] } | 'none'> {
    const body = JSON.stringify({ kind: this.kind, ...request })
    try {
      const response = await this.post(this.address, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body,
        keepalive: body.length < mostOnClosing,
      })
      const said: unknown = await response.json()
      if (typeof said !== 'object' || said === null || !('ok' in said)) return 'none'
      if (response.ok) return (said as unknown as { value: Kept<T> }).value
      if (response.status >= 500 || response.status === 401) return 'none'
      return said as unknown as { problems: string[] }
    } catch {
      return 'none'
    }
  }
}
