import { z } from 'zod'
import type { Mark, MarkValue } from '@/core/evidence/mark'
import { gameOf } from '@/core/games'
import type { LevelTexts } from '@/core/games/engine/texts'
import { textsAt } from '@/core/games/texts'
import type { Seats } from '@/core/planning/seating/partners'
import { timetable } from '@/core/planning/timetable'
import { stepOf } from '@/core/skills'
import { deleteDraft, draftOf } from '@/data/queries/drafts'
import { observationsOfVisits } from '@/data/queries/observations'
import { groupingOf } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { sumUpPlayed } from '@/data/queries/held'
import { allInClass, pupilsOf } from '@/data/queries/pupils'
import {
  absentOf,
  lockSession,
  nextSession,
  sessionOf,
  setAbsent,
  updateSession,
  type ClockBefore,
  type SessionRow,
  type StationMode,
} from '@/data/queries/sessions'
import { classIdSchema, displayName } from './classes'
import type { ClassScope } from '@/data/scope'
import { now, todayIn } from './clock'
import { stepOfVisit } from './marks/marks'
import { changingClass, NotHere, readingClass, Refused } from './use-case'

/** A mark that stands, as the run board shows it. */
export type ShownMark = MarkValue & Pick<Mark, 'id' | 'observer' | 'pupilId' | 'visitId' | 'digital'>

export interface RunVisit {
  id: string
  slot: number
  stationId: string
  groupId: string
  pennant: number
  level: string
  levelId: string
  step: VisitStep
  /** What an adult at the station needs, of the level that is played. */
  texts: Pick<LevelTexts, 'lookFors' | 'finishEarly' | 'stuck' | 'cautions'>
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
    /** The last Next can be taken back. */
    canGoBack: boolean
  }
  times: { from: string; to: string }[]
  stations: {
    id: string
    gameId: string
    title: string
    mode: StationMode
    /** Children a set of the game takes. */
    players: { min: number; max: number }
  }[]
  visits: RunVisit[]
  marks: ShownMark[]
  /** The class lets children play at a screen. */
  digital: boolean
  absent: string[]
  /** The plan was changed since it was made ready: those changes are not in this session. */
  changesWait: boolean
  /** Children who are in no group of this session: they came after it was planned. */
  waiting: { id: string; name: string }[]
}

function forRun(gameId: string, levelId: string): RunVisit['texts'] {
  const { lookFors, finishEarly, stuck, cautions } = textsAt(gameId, levelId)
  return { lookFors, finishEarly, stuck, cautions }
}

/** Milliseconds left of the slot under way; never more than all of it, whatever was done to the computer's clock. */
function leftOf({ slotMinutes, extraMinutes, slotStartedAt, pausedAt }: SessionRow, at: Date): number {
  const full = (slotMinutes + extraMinutes) * 60_000
  return slotStartedAt ? full - Math.max(0, (pausedAt ?? at).getTime() - slotStartedAt.getTime()) : full
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
      canGoBack: session.state === 'running' && session.before !== null,
    },
    times: timetable(session.startsAt, session).slots,
    stations: session.stations.map(({ id, gameId, mode }) => {
      const { title, players } = gameOf(gameId)
      return {
        id,
        gameId,
        title,
        mode,
        players: { min: players.min, max: players.max },
      }
    }),
    visits: session.visits
      .map(({ id, slot, stationId, groupId, levelId, ownLevels, seats }) => {
        const { gameId } = session.stations.find((station) => station.id === stationId)!
        const { levels } = gameOf(gameId)
        const titleOf = (level: string) => levels.find((one) => one.id === level)?.title ?? level
        const stepAt = (level: string): VisitStep => {
          const { sentence, short, marks: looks } = stepOf(stepOfVisit(gameId, level, grouping.strand))
          return { sentence, short, marks: looks }
        }
        const { pennant, pupils } = grouping.groups.find((group) => group.id === groupId)!
        const ranged = Object.keys(ownLevels).length > 0
        return {
          id,
          slot,
          stationId,
          groupId,
          pennant,
          level: ranged ? 'own ranges' : titleOf(levelId),
          levelId,
          step: stepAt(levelId),
          texts: forRun(gameId, levelId),
          seats,
          children: [...new Set([...seats.flat(), ...pupils])].flatMap((pupilId) => {
            const name = names.get(pupilId)
            if (!name) return []
            const level = ownLevels[pupilId] ?? levelId
            return [
              {
                id: pupilId,
                name,
                ...(ranged ? { own: { range: titleOf(level), step: stepAt(level) } } : {}),
              },
            ]
          }),
        }
      })
      .sort((a, b) => a.slot - b.slot || a.pennant - b.pennant),
    marks: marks.map(({ id, observer, pupilId, visitId, judged, right, of, ...row }) => ({
      id,
      observer,
      pupilId,
      visitId: visitId!,
      judged,
      right,
      of,
      digital: row.digital
        ? { strand: row.strand, step: row.step, guess: row.guess, slips: row.slips ?? [] }
        : null,
    })),
    digital: (await houseStyleOf(scope)).digital,
    absent: await absentOf(scope, session.id),
    changesWait: session.state === 'planned' && (await draftOf(scope, 'plan')) !== null,
    waiting: [...names].flatMap(([id, name]) =>
      grouping.groups.some(({ pupils }) => pupils.includes(id)) ? [] : [{ id, name }],
    ),
  }
})

const sessionSchema = classIdSchema.extend({ sessionId: z.uuid() })

/** What the adult does with the clock. */
const clockSchema = sessionSchema.extend({
  tap: z.enum(['start', 'pause', 'resume', 'minute-more', 'next', 'finish', 'back']),
  /** The slot the tap was made in: a second tap on Next does not skip a slot. */
  slot: z.number().int().min(0),
})

export const tapClock = changingClass(clockSchema, async (scope, { sessionId, tap, slot }) => {
  const session = await lockSession(scope, sessionId)
  if (!session) throw new NotHere()
  if (tap === 'back') return takeBack(scope, session, slot)
  if (session.slot !== slot || session.state === 'done') return
  if ((session.state === 'planned') !== (tap === 'start')) return
  const at = now()
  const before: ClockBefore = {
    slot,
    slotStartedAt: session.slotStartedAt?.toISOString() ?? null,
    pausedAt: session.pausedAt?.toISOString() ?? null,
    extraMinutes: session.extraMinutes,
  }
  switch (tap) {
    case 'start':
      // Changes of the plan that were not made ready were about this session, which is held as it was kept.
      await deleteDraft(scope, 'plan')
      return updateSession(scope, sessionId, {
        state: 'running',
        // Begun on another day than planned: it is a session of today.
        day: todayIn(scope.classroom.timeZone),
        begunAt: at,
        slot: 0,
        slotStartedAt: at,
        pausedAt: null,
        extraMinutes: 0,
      })
    case 'pause':
      return session.pausedAt ? undefined : updateSession(scope, sessionId, { pausedAt: at })
    case 'resume': {
      if (!session.pausedAt || !session.slotStartedAt) return
      const moved = session.slotStartedAt.getTime() + Math.max(0, at.getTime() - session.pausedAt.getTime())
      return updateSession(scope, sessionId, { pausedAt: null, slotStartedAt: new Date(moved) })
    }
    case 'minute-more':
      return updateSession(scope, sessionId, { extraMinutes: Math.min(60, session.extraMinutes + 1) })
    case 'next':
      if (slot + 1 >= session.slots) return end(scope, sessionId, before)
      return updateSession(scope, sessionId, {
        slot: slot + 1,
        slotStartedAt: at,
        pausedAt: null,
        extraMinutes: 0,
        before,
      })
    case 'finish':
      return end(scope, sessionId, before)
  }
})

async function end(scope: ClassScope, sessionId: string, before: ClockBefore) {
  await updateSession(scope, sessionId, { state: 'done', before })
  await sumUpPlayed(scope, sessionId)
}

/** The last Next or Finish did not happen: the clock runs on as if it had not been tapped. */
async function takeBack(scope: ClassScope, { id, state, day, slot: now, before }: SessionRow, slot: number) {
  // Another device has moved on meanwhile: what this one saw is taken back already, or was another tap.
  if (state === 'planned' || !before || (state === 'running' && now !== slot)) return
  if (state === 'done' && day !== todayIn(scope.classroom.timeZone))
    throw new Refused('Only a session of today can be reopened.')
  const other = await nextSession(scope)
  if (state === 'done' && other?.state === 'running')
    throw new Refused('Another session is under way. End that one first.')
  const { slotStartedAt, pausedAt, ...rest } = before
  await updateSession(scope, id, {
    ...rest,
    state: 'running',
    slotStartedAt: slotStartedAt === null ? null : new Date(slotStartedAt),
    pausedAt: pausedAt === null ? null : new Date(pausedAt),
    before: null,
  })
}

const absentSchema = sessionSchema.extend({ pupilId: z.uuid(), absent: z.boolean() })

export const markAbsent = changingClass(absentSchema, async (scope, { sessionId, pupilId, absent }) => {
  if (!(await sessionOf(scope, sessionId)) || !(await allInClass(scope, [pupilId]))) throw new NotHere()
  await setAbsent(scope, sessionId, pupilId, absent)
})
