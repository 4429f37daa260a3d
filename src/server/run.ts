import { z } from 'zod'
import { markedStep } from '@/core/evidence/fit'
import { judgements, type Judgement } from '@/core/evidence/observation'
import { gameOf } from '@/core/games'
import type { Seats } from '@/core/planning/seating/partners'
import { timetable } from '@/core/planning/timetable'
import { stepOf, type StrandId } from '@/core/skills'
import { observationById, observationsOfVisits } from '@/data/queries/evidence'
import { groupingOf } from '@/data/queries/groupings'
import { allInClass, pupilsOf } from '@/data/queries/pupils'
import {
  absentOf,
  lockSession,
  nextSession,
  sessionOf,
  setAbsent,
  updateSession,
  visitOf,
  type SessionRow,
  type StationMode,
} from '@/data/queries/sessions'
import { classIdSchema, displayName } from './classes'
import { now } from './clock'
import { recordEvidence } from './estimates'
import { levelProfile } from './figures'
import { changingClass, NotHere, readingClass, Refused } from './use-case'

/** The step that a visit's marks are about. */
export function stepOfVisit(gameId: string, levelId: string, focus: StrandId) {
  const { strand, step } = markedStep(levelProfile(gameId, levelId), focus)
  return { strand, step }
}

export interface Mark {
  id: string
  pupilId: string
  visitId: string
  judged: Judgement | null
  right: number | null
  of: number | null
}

export interface RunVisit {
  id: string
  slot: number
  station: number
  pennant: number
  level: string
  step: VisitStep
  /** Children by the set they play in; one set or none: all together. */
  seats: Seats
  /** Where children have own ranges, the range, and the step that its marks are about. */
  children: { id: string; name: string; own?: { range: string; step: VisitStep } }[]
}

interface VisitStep {
  sentence: string
  short: string
  marks: { own: string; help: string; notYet: string }
}

export interface RunPage {
  session: {
    id: string
    state: SessionRow['state']
    slots: number
    slotMinutes: number
    slot: number
    /** Milliseconds left of the slot when the page was made; negative: over time. */
    leftMs: number
    paused: boolean
  }
  times: { from: string; to: string }[]
  stations: {
    title: string
    mode: StationMode
    lookFor: string
    finishEarly: string
    cautions: string[]
    /** Children a set of the game takes. */
    players: { min: number; max: number }
  }[]
  visits: RunVisit[]
  marks: Mark[]
  absent: string[]
}

/** Milliseconds left of the slot under way. */
function leftOf({ slotMinutes, extraMinutes, slotStartedAt, pausedAt }: SessionRow, at: Date): number {
  const full = (slotMinutes + extraMinutes) * 60_000
  return slotStartedAt ? full - ((pausedAt ?? at).getTime() - slotStartedAt.getTime()) : full
}

/** The session under way or next to come; null if nothing is planned. */
export const runPage = readingClass(classIdSchema, async (scope): Promise<RunPage | null> => {
  const session = await nextSession(scope)
  if (!session) return null
  const grouping = await groupingOf(scope, session.groupingId)
  if (!grouping) return null
  const names = new Map((await pupilsOf(scope)).map((pupil) => [pupil.id, displayName(pupil)]))
  const marks = await observationsOfVisits(
    scope,
    session.visits.map(({ id }) => id),
  )
  return {
    session: {
      id: session.id,
      state: session.state,
      slots: session.slots,
      slotMinutes: session.slotMinutes,
      slot: session.slot,
      leftMs: leftOf(session, now()),
      paused: session.pausedAt !== null,
    },
    times: timetable(session.startsAt, session).slots,
    stations: session.stations.map(({ gameId, mode }) => {
      const { title, texts, players } = gameOf(gameId)
      return {
        title,
        mode,
        lookFor: texts.lookFors[0],
        finishEarly: texts.finishEarly,
        cautions: [...texts.cautions],
        players: { min: players.min, max: players.max },
      }
    }),
    visits: session.visits.map(({ id, slot, station, group, levelId, ownLevels, seats }) => {
      const { gameId } = session.stations[station]
      const { levels } = gameOf(gameId)
      const titleOf = (level: string) => levels.find((one) => one.id === level)?.title ?? level
      const stepAt = (level: string): VisitStep => {
        const { sentence, short, marks: looks } = stepOf(stepOfVisit(gameId, level, grouping.strand))
        return { sentence, short, marks: looks }
      }
      const { pennant, pupils } = grouping.groups[group]
      const ranged = Object.keys(ownLevels).length > 0
      return {
        id,
        slot,
        station,
        pennant,
        level: ranged ? 'own ranges' : titleOf(levelId),
        step: stepAt(levelId),
        seats,
        children: [...new Set([...seats.flat(), ...pupils])].flatMap((pupilId) => {
          const name = names.get(pupilId)
          if (!name) return []
          const level = ownLevels[pupilId] ?? levelId
          return [
            { id: pupilId, name, ...(ranged ? { own: { range: titleOf(level), step: stepAt(level) } } : {}) },
          ]
        }),
      }
    }),
    marks: marks.map(({ id, pupilId, visitId, judged, right, of }) => ({
      id,
      pupilId,
      visitId: visitId!,
      judged,
      right,
      of,
    })),
    absent: await absentOf(scope, session.id),
  }
})

const sessionSchema = classIdSchema.extend({ sessionId: z.uuid() })

/** What the adult does with the clock. */
const clockSchema = sessionSchema.extend({
  tap: z.enum(['start', 'pause', 'resume', 'minute-more', 'next', 'finish']),
  /** The slot the tap was made in: a second tap on Next does not skip a slot. */
  slot: z.number().int().min(0),
})

export const tapClock = changingClass(clockSchema, async (scope, { sessionId, tap, slot }) => {
  const session = await lockSession(scope, sessionId)
  if (!session) throw new NotHere()
  if (session.slot !== slot || (session.state === 'planned') !== (tap === 'start')) return
  const at = now()
  switch (tap) {
    case 'start':
      return updateSession(scope, sessionId, {
        state: 'running',
        slot: 0,
        slotStartedAt: at,
        pausedAt: null,
        extraMinutes: 0,
      })
    case 'pause':
      return session.pausedAt ? undefined : updateSession(scope, sessionId, { pausedAt: at })
    case 'resume': {
      if (!session.pausedAt || !session.slotStartedAt) return
      const moved = session.slotStartedAt.getTime() + at.getTime() - session.pausedAt.getTime()
      return updateSession(scope, sessionId, { pausedAt: null, slotStartedAt: new Date(moved) })
    }
    case 'minute-more':
      return updateSession(scope, sessionId, { extraMinutes: Math.min(60, session.extraMinutes + 1) })
    case 'next':
      if (slot + 1 >= session.slots) return updateSession(scope, sessionId, { state: 'done' })
      return updateSession(scope, sessionId, {
        slot: slot + 1,
        slotStartedAt: at,
        pausedAt: null,
        extraMinutes: 0,
      })
    case 'finish':
      return updateSession(scope, sessionId, { state: 'done' })
  }
})

const absentSchema = sessionSchema.extend({ pupilId: z.uuid(), absent: z.boolean() })

export const markAbsent = changingClass(absentSchema, async (scope, { sessionId, pupilId, absent }) => {
  if (!(await sessionOf(scope, sessionId)) || !(await allInClass(scope, [pupilId]))) throw new NotHere()
  await setAbsent(scope, sessionId, pupilId, absent)
})

/** One mark as the device that made it sends it: a judgement, a tally, or neither to take one back. */
const markSchema = classIdSchema
  .extend({
    id: z.uuid(),
    visitId: z.uuid(),
    pupilId: z.uuid(),
    judged: z.enum(judgements).nullable().default(null),
    right: z.number().int().min(0).max(100).nullable().default(null),
    of: z.number().int().min(1).max(100).nullable().default(null),
    corrects: z.uuid().nullable().default(null),
    madeAt: z.iso.datetime({ offset: true }),
  })
  .refine(({ right, of }) => (right === null) === (of === null), {
    path: ['of'],
    error: 'A tally needs both numbers.',
  })
  .refine(({ right, of }) => right === null || of === null || right <= of, {
    path: ['right'],
    error: 'More right than asked.',
  })
  .refine(({ judged, of }) => judged === null || of === null, {
    path: ['judged'],
    error: 'Either a mark or a tally.',
  })
  .refine(({ judged, of, corrects }) => judged !== null || of !== null || corrects !== null, {
    path: ['corrects'],
    error: 'Nothing to record.',
  })

/** Stores a mark and takes it into the child's estimate; sent again, it changes nothing. */
export const recordMark = changingClass(markSchema, async (scope, { classId: _classId, ...mark }) => {
  const found = await visitOf(scope, mark.visitId)
  if (!found || !(await allInClass(scope, [mark.pupilId]))) throw new NotHere()
  const grouping = await groupingOf(scope, found.session.groupingId)
  const inGroup = grouping?.groups[found.visit.group]?.pupils.includes(mark.pupilId)
  if (!grouping || !inGroup) throw new Refused('The child was not at this station in this slot.')
  if (mark.corrects) {
    const old = await observationById(scope, mark.corrects)
    if (!old || old.pupilId !== mark.pupilId || old.visitId !== mark.visitId) throw new NotHere()
  }
  const stored = await recordEvidence(scope, {
    ...mark,
    ...stepOfVisit(found.gameId, found.visit.ownLevels[mark.pupilId] ?? found.visit.levelId, grouping.strand),
    adultId: scope.adultId,
    weight: 1,
    schoolDay: found.session.day,
    madeAt: new Date(mark.madeAt),
  })
  return { stored }
})
