import { lastMade, sameValue, saysSomething } from '@/core/evidence/mark'
import type { ObservationRow } from '@/data/queries/observations'
import type { EvidenceChange } from '../estimates'
import { NotHere, Refused } from '../use-case'

export type NewRecord = Omit<ObservationRow, 'classId' | 'storedAt' | 'chain' | 'standing'>

/**
 * The records of a class that a few new ones meet, and what comes of taking those in one by one: records to add,
 * records that count no longer, changes to what is believed of children. Nothing is written here.
 */
export class Ledger {
  private readonly records: Map<string, ObservationRow>
  private readonly added = new Set<string>()
  private readonly changed = new Set<string>()
  readonly changes: EvidenceChange[] = []

  constructor(
    private readonly classId: string,
    met: readonly ObservationRow[],
  ) {
    this.records = new Map(met.map((row) => [row.id, row]))
  }

  /** Records that are new, as they stand after all were taken in. */
  get toAdd(): ObservationRow[] {
    return [...this.added].map((id) => this.records.get(id)!)
  }

  /** Ids of records kept before that count no longer. */
  get toSetAside(): string[] {
    return [...this.changed].filter((id) => !this.added.has(id) && !this.records.get(id)!.standing)
  }

  /**
   * Takes in one record. Sent again, it is answered as stored and changes nothing; of the marks of one observer for a
   * child, visit and step the one made last stands, whatever their order of arrival.
   * @returns the record that stands now; null: none
   * @throws {Refused} {NotHere} and nothing is changed
   */
  takeIn(row: NewRecord): { standing: string | null } {
    const twin = this.records.get(row.id)
    if (twin) return this.answeredBefore(twin, row)
    const chain = this.chainFor(row)
    if (chain === row.id && !saysSomething(row)) throw new Refused('There is no mark to take back.')

    const before = this.standingOf(chain)
    const madeAt = this.notBeforeCorrected(row, chain)
    const arrived = { ...row, madeAt, classId: this.classId, chain, storedAt: new Date(), standing: false }
    const last = lastMade([...this.all().filter((one) => one.chain === chain), arrived])
    const after = saysSomething(last) ? last : null
    this.added.add(arrived.id)
    this.put({ ...arrived, standing: after?.id === arrived.id })
    if (before?.id !== after?.id) {
      if (before) this.put({ ...before, standing: false })
      this.note(before, after)
    }
    return { standing: after?.id ?? null }
  }

  /** What corrects a record was made after it, even where the clock of its device has gone back in between. */
  private notBeforeCorrected({ corrects, madeAt }: NewRecord, chain: string): Date {
    const corrected = corrects === null ? undefined : this.records.get(corrects)
    if (corrected?.chain !== chain || corrected.madeAt < madeAt) return madeAt
    return new Date(corrected.madeAt.getTime() + 1)
  }

  private all(): ObservationRow[] {
    return [...this.records.values()]
  }

  private put(row: ObservationRow) {
    this.records.set(row.id, row)
    this.changed.add(row.id)
  }

  private standingOf(chain: string): ObservationRow | null {
    return this.all().find((one) => one.chain === chain && one.standing) ?? null
  }

  /** A mark that comes a second time, because its answer was lost: done already. Another one with its number is refused. */
  private answeredBefore(twin: ObservationRow, row: NewRecord) {
    if (twin.classId !== this.classId) throw new NotHere()
    const same =
      twin.pupilId === row.pupilId &&
      twin.visitId === row.visitId &&
      twin.observer === row.observer &&
      sameValue(twin, row)
    if (!same) throw new Refused('Another mark has this number already; this one was not stored.')
    return { standing: this.standingOf(twin.chain)?.id ?? null }
  }

  /**
   * The chain a record belongs to: that of the record it corrects, else of its observer, child, visit and step, else
   * its own. What another observer saw is not corrected by it: both count.
   */
  private chainFor(row: NewRecord): string {
    const old = row.corrects === null ? undefined : this.records.get(row.corrects)
    const known = old?.classId === this.classId ? old : undefined
    // A mark that was refused or never sent can't be corrected: then this one stands by itself.
    if (known && (known.pupilId !== row.pupilId || known.visitId !== row.visitId)) throw new NotHere()
    if (known?.observer === row.observer) return known.chain
    // Outside a session each is a record of its own: two answers at one step are two.
    if (row.visitId === null) return row.id
    const ofPlace = this.all().find(
      (one) =>
        one.classId === this.classId &&
        one.observer === row.observer &&
        one.pupilId === row.pupilId &&
        one.visitId === row.visitId &&
        one.strand === row.strand &&
        one.step === row.step,
    )
    return ofPlace?.chain ?? row.id
  }

  /** One record counts instead of another; of different strands only where a level's step has changed since. */
  private note(went: ObservationRow | null, came: ObservationRow | null) {
    const { pupilId } = (came ?? went)!
    if (came && went && came.strand === went.strand)
      this.changes.push({ pupilId, strand: came.strand, came, went })
    else {
      if (went) this.changes.push({ pupilId, strand: went.strand, came: null, went })
      if (came) this.changes.push({ pupilId, strand: came.strand, came, went: null })
    }
  }
}
