import { z } from 'zod'
import { markedStep } from '@/core/skills/marked-step'
import { believedMoment, markSchema, weightOf, type Mark } from '@/core/evidence/mark'
import type { StepPlace, StrandId } from '@/core/skills'
import { insertObservations, lockPupils, recordsMet, setAside } from '@/data/queries/observations'
import { visitsMet, type VisitMet } from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import { isWithin, type ClassScope } from '@/data/scope'
import { now, startOfDayIn, todayIn } from '../clock'
import { updateEstimates } from '../estimates'
import { levelMarks } from '../figures'
import type { Answer } from '../together'
import { changingClassTogether, NotHere, Refused } from '../use-case'
import { Ledger, type NewRecord } from './ledger'

/** The step that a visit's marks are about. */
export function stepOfVisit(gameId: string, levelId: string, focus: StrandId): StepPlace {
  const { strand, step } = markedStep(levelMarks(gameId, levelId), focus)
  return { strand, step }
}

/** Stores a mark; those of a class that come at once, in one transaction. */
export const recordMark = changingClassTogether(
  'recordMark',
  z.intersection(z.object({ classId: z.uuid() }), markSchema),
  async (scope, marks) => {
    const pupilIds = [...new Set(marks.map(({ pupilId }) => pupilId))]
    const visits = await visitsMet(
      scope,
      [...new Set(marks.flatMap(({ visitId }) => visitId ?? []))],
      pupilIds,
    )
    const ofClass = await lockPupils(scope, pupilIds)
    const records = marks.map((mark) => answer(() => recordOf(scope, visits, ofClass, mark)))
    const met = await recordsMet(scope, records.flatMap(done))
    // Whoever came in by a link speaks for itself only: never for the device of an adult.
    const foreign = scope.link && new Set(met.flatMap((row) => (row.linkId === null ? row.observer : [])))
    const ledger = new Ledger(scope.classId, met)
    const answers = records.map((record) =>
      'refused' in record
        ? record
        : answer(() => {
            if (foreign?.has(record.done.observer)) throw new NotHere()
            return ledger.takeIn(record.done)
          }),
    )
    await setAside(scope, ledger.toSetAside)
    await insertObservations(scope, ledger.toAdd)
    await updateEstimates(scope, ledger.changes)
    await tellOf(
      scope,
      [...visits.values()].map(({ session }) => session.id),
    )
    return answers
  },
)

const done = <T>(answered: Answer<T>): T[] => ('done' in answered ? [answered.done] : [])

/** What `work` gives, or what it refuses; anything else is a fault of the whole. */
function answer<T>(work: () => T): Answer<T> {
  try {
    return { done: work() }
  } catch (error) {
    if (error instanceof Refused || error instanceof NotHere) return { refused: error }
    throw error
  }
}

/** A mark as a record of its child, dated by when it can have been made. */
function recordOf(
  scope: ClassScope,
  visits: ReadonlyMap<string, VisitMet>,
  ofClass: ReadonlySet<string>,
  mark: Mark,
): NewRecord {
  // One that was erased meanwhile, on another device, and one of another class are told alike.
  if (!ofClass.has(mark.pupilId)) throw new NotHere('The child is not in this class.')
  if (mark.visitId === null) return recordOfStep(scope, mark)
  const met = visits.get(mark.visitId)
  if (!met || !isWithin(scope, met)) throw new NotHere()
  if (scope.party === 'station-link' && mark.digital === null) throw new NotHere()
  const { visit, session, gameId, strand, pupilIds } = met
  if (session.state === 'planned') throw new Refused('The session has not begun.')
  if (!pupilIds.has(mark.pupilId)) throw new Refused('The child was not at this station in this slot.')
  const begunAt = session.begunAt ?? startOfDayIn(scope.classroom.timeZone, session.day)
  const madeAt = believedMoment(new Date(mark.madeAt), begunAt, now())
  const { digital, sheet: _sheet, at: _at, ...tapped } = mark
  const levelId = visit.ownLevels[mark.pupilId] ?? visit.levelId
  const { guess, slips, ...place } = digital ?? {
    ...stepOfVisit(gameId, levelId, strand),
    guess: 0,
    slips: null,
  }
  return {
    ...tapped,
    ...place,
    adultId: scope.adultId,
    linkId: scope.link?.id ?? null,
    weight: weightOf(mark),
    digital: digital !== null,
    guess,
    slips,
    // It was seen at the visit, whenever it was typed in.
    schoolDay: session.day,
    madeAt,
  }
}

/** A device that was without a network for longer than this has a wrong clock. */
const longestAwayMs = 14 * 24 * 60 * 60_000

/** What was seen outside a session, dated by its device as far as that can be believed. */
function recordOfStep(scope: ClassScope, mark: Mark): NewRecord {
  if (scope.link) throw new NotHere()
  if (mark.digital) throw new Refused('A digital station belongs to a session.')
  const received = now()
  const madeAt = believedMoment(new Date(mark.madeAt), new Date(received.getTime() - longestAwayMs), received)
  const { digital: _digital, sheet: _sheet, at, ...tapped } = mark
  return {
    ...tapped,
    ...at!,
    adultId: scope.adultId,
    linkId: null,
    weight: weightOf(mark),
    digital: false,
    guess: 0,
    slips: null,
    schoolDay: todayIn(scope.classroom.timeZone, madeAt),
    madeAt,
  }
}
