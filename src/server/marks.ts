import { z } from 'zod'
import { markedStep } from '@/core/evidence/fit'
import { believedMoment, lastMade, markSchema, sameValue, saysSomething } from '@/core/evidence/mark'
import type { StepPlace, StrandId } from '@/core/skills'
import {
  insertObservation,
  lockPupils,
  recordsMet,
  setAside,
  type ObservationRow,
} from '@/data/queries/observations'
import { visitOf } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { now, startOfDayIn, todayIn } from './clock'
import { updateEstimate } from './estimates'
import { levelProfile } from './figures'
import { changingClass, NotHere, Refused } from './use-case'

/** The step that a visit's marks are about. */
export function stepOfVisit(gameId: string, levelId: string, focus: StrandId): StepPlace {
  const { strand, step } = markedStep(levelProfile(gameId, levelId), focus)
  return { strand, step }
}

type NewRecord = Omit<ObservationRow, 'classId' | 'storedAt' | 'chain' | 'standing'>

/**
 * Stores a mark. Sent again, it is answered as stored and changes nothing; of the marks of one observer for a child,
 * visit and step the one made last stands, whatever their order of arrival.
 */
export const recordMark = changingClass(
  z.intersection(z.object({ classId: z.uuid() }), markSchema),
  async (scope, { classId: _classId, ...mark }) => {
    const found = await visitOf(scope, mark.visitId, mark.pupilId)
    if (!found || !(await lockPupils(scope, [mark.pupilId]))) throw new NotHere()
    const { visit, session, gameId, strand, isThere } = found
    if (session.state === 'planned') throw new Refused('The session has not begun.')
    if (!isThere) throw new Refused('The child was not at this station in this slot.')
    const receivedAt = now()
    const begunAt = session.begunAt ?? startOfDayIn(scope.classroom.timeZone, session.day)
    const madeAt = believedMoment(new Date(mark.madeAt), begunAt, receivedAt)
    return recordEvidence(scope, {
      ...mark,
      ...stepOfVisit(gameId, visit.ownLevels[mark.pupilId] ?? visit.levelId, strand),
      adultId: scope.adultId,
      weight: 1,
      schoolDay: todayIn(scope.classroom.timeZone, madeAt),
      madeAt,
    })
  },
)

/**
 * Stores one record of a child that is locked, and brings the child's estimate up to date.
 * @returns the record that stands now; null: none
 */
async function recordEvidence(scope: ClassScope, row: NewRecord): Promise<{ standing: string | null }> {
  const met = await recordsMet(scope, row)
  const twin = met.find(({ id }) => id === row.id)
  if (twin) return answeredBefore(scope, met, twin, row)
  const chain = chainFor(met, row)
  if (chain === row.id && !saysSomething(row)) throw new Refused('There is no mark to take back.')

  const before = met.find((one) => one.chain === chain && one.standing) ?? null
  const arrived = { ...row, classId: scope.classId, chain, storedAt: new Date(), standing: false }
  const last = lastMade([...met.filter((one) => one.chain === chain), arrived])
  const after = saysSomething(last) ? last : null
  if (before && before.id !== after?.id) await setAside(scope, before.id)
  await insertObservation(scope, { ...arrived, standing: after?.id === row.id })
  if (before?.id !== after?.id) await bringUpToDate(scope, before, after)
  return { standing: after?.id ?? null }
}

/** A mark that comes a second time, because its answer was lost: done already. Another one with its number is refused. */
function answeredBefore(
  scope: ClassScope,
  met: readonly ObservationRow[],
  twin: ObservationRow,
  row: NewRecord,
) {
  if (twin.classId !== scope.classId) throw new NotHere()
  const same =
    twin.pupilId === row.pupilId &&
    twin.visitId === row.visitId &&
    twin.observer === row.observer &&
    sameValue(twin, row)
  if (!same) throw new Refused('Another mark has this number already; this one was not stored.')
  const standing = met.find((one) => one.chain === twin.chain && one.standing)
  return { standing: standing?.id ?? null }
}

/**
 * The chain a record belongs to: that of the record it corrects, else of its observer, child, visit and step, else
 * its own. What another observer saw is not corrected by it: both count.
 */
function chainFor(met: readonly ObservationRow[], row: NewRecord): string {
  const old = met.find(({ id }) => id === row.corrects)
  // A mark that was refused or never sent can't be corrected: then this one stands by itself.
  if (old && (old.pupilId !== row.pupilId || old.visitId !== row.visitId)) throw new NotHere()
  if (old?.observer === row.observer) return old.chain
  const ofPlace = met.find(
    (one) =>
      one.observer === row.observer &&
      one.pupilId === row.pupilId &&
      one.visitId === row.visitId &&
      one.strand === row.strand &&
      one.step === row.step,
  )
  return ofPlace?.chain ?? row.id
}

/** One record counts instead of another; of different strands only where a level's step has changed since. */
async function bringUpToDate(scope: ClassScope, went: ObservationRow | null, came: ObservationRow | null) {
  const { pupilId } = (came ?? went)!
  if (came && went && came.strand === went.strand)
    return updateEstimate(scope, { pupilId, strand: came.strand, came, went })
  if (went) await updateEstimate(scope, { pupilId, strand: went.strand, came: null, went })
  if (came) await updateEstimate(scope, { pupilId, strand: came.strand, came, went: null })
}
