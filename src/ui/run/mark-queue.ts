import type { Judgement } from '@/core/evidence/observation'

/** A mark on its way to the server. */
export interface OutgoingMark {
  id: string
  visitId: string
  pupilId: string
  judged: Judgement | null
  right: number | null
  of: number | null
  corrects: string | null
  madeAt: string
}

type Listener = (waiting: number, refused: string | null) => void

/**
 * Marks waiting to be stored, sent one by one in the order they were made. They are kept in the
 * browser until the server has acknowledged them, so a reload or a lost network loses none.
 */
export class MarkQueue {
  private sending = false
  private refused: string | null = null

  constructor(
    private readonly classId: string,
    private readonly changed: Listener,
  ) {}

  private get key() {
    return `islands-marks-${this.classId}`
  }

  get waiting(): OutgoingMark[] {
    return JSON.parse(localStorage.getItem(this.key) ?? '[]')
  }

  private keep(marks: OutgoingMark[]) {
    localStorage.setItem(this.key, JSON.stringify(marks))
    this.changed(marks.length, this.refused)
  }

  add(mark: OutgoingMark) {
    this.keep([...this.waiting, mark])
    void this.flush()
  }

  /** Takes up what an earlier page left waiting, if anything. */
  resume(found: (waiting: OutgoingMark[]) => void) {
    const { waiting } = this
    if (waiting.length === 0) return
    found(waiting)
    this.changed(waiting.length, null)
    void this.flush()
  }

  /** Sends what waits; after a failure it tries again when called or in five seconds. */
  async flush(): Promise<void> {
    if (this.sending) return
    this.sending = true
    try {
      for (let [mark] = this.waiting; mark; [mark] = this.waiting) {
        const response = await fetch(`/c/${this.classId}/marks`, {
          method: 'POST',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify(mark),
        })
        // Refused for good: said and set aside, so that it does not hold up the others.
        if (response.status === 422) this.refused = (await response.json()).problems.join(' ')
        else if (!response.ok) throw new Error(String(response.status))
        this.keep(this.waiting.filter(({ id }) => id !== mark.id))
      }
    } catch {
      this.changed(this.waiting.length, this.refused)
      setTimeout(() => void this.flush(), 5000)
    } finally {
      this.sending = false
    }
  }
}
