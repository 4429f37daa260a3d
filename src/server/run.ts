import { z } from 'zod'
import { isLeftOpen, isTimeOver } from '@/core/live/session'
import { deleteDraft } from '@/data/queries/drafts'
import { sumUpPlayed } from '@/data/queries/held'
import { setLinksUntil } from '@/data/queries/links'
import {
  lockSession,
  nextSession,
  sessionOf,
  updateSession,
  type ClockBefore,
  type SessionRow,
} from '@/data/queries/sessions'
import { tellOf } from '@/data/queries/telling'
import { classIdSchema } from './classes'
import type { ClassScope } from '@/data/scope'
import { now, startOfDayIn, todayIn } from './clock'
import { lateMs, linkMs } from './room/link-times'
import { boardOf, clockOf, type RunPage } from './session-board'
import { changingClass, NotHere, readingClass, Refused } from './use-case'

/** The session under way or next to come; null if nothing is planned. */
export const runPage = readingClass('runPage', classIdSchema, async (scope): Promise<RunPage | null> => {
  const session = await nextSession(scope)
  return session && boardOf(scope, session)
})

const sessionSchema = classIdSchema.extend({ sessionId: z.uuid() })

/** A session that was held, to type in what stands on its sheets. */
export const sheetsPage = readingClass(
  'sheetsPage',
  sessionSchema,
  async (scope, { sessionId }): Promise<RunPage> => {
    const session = await sessionOf(scope, sessionId)
    const board = session && session.state !== 'planned' ? await boardOf(scope, session) : null
    if (!board) throw new NotHere()
    return board
  },
)

/** A session was held without a screen: on its day, as it was planned. Its sheets can be typed in then. */
export const heldOnPaper = changingClass('heldOnPaper', sessionSchema, async (scope, { sessionId }) => {
  const session = await lockSession(scope, sessionId)
  if (!session) throw new NotHere()
  // Sent again because its answer was lost, or said on two devices.
  if (session.state === 'done') return
  if (session.state === 'running') throw new Refused('The session is under way. Finish it first.')
  const { timeZone } = scope.classroom
  if (session.day > todayIn(timeZone)) throw new Refused('That day is still to come.')
  const [hours, minutes] = session.startsAt.split(':').map(Number)
  const begunAt = new Date(startOfDayIn(timeZone, session.day).getTime() + (hours * 60 + minutes) * 60_000)
  if (begunAt > now()) throw new Refused('The session has not begun yet.')
  await deleteDraft(scope, 'plan')
  await updateSession(scope, sessionId, {
    state: 'done',
    begunAt,
    slot: session.slots - 1,
    // Reopened on the same day it goes on at its last slot, as one that was ended there.
    before: {
      slot: session.slots - 1,
      slotStartedAt: begunAt.toISOString(),
      pausedAt: null,
      extraMinutes: 0,
    },
  })
  await sumUpPlayed(scope, sessionId)
})

/** What the adult does with the clock. */
const clockSchema = sessionSchema.extend({
  tap: z.enum(['start', 'pause', 'resume', 'minute-more', 'next', 'finish', 'back', 'all-played']),
  /** The slot the tap was made in: a second tap on Next does not skip a slot. */
  slot: z.number().int().min(0),
})

export const tapClock = changingClass('tapClock', clockSchema, async (scope, { sessionId, tap, slot }) => {
  const session = await lockSession(scope, sessionId)
  if (!session) throw new NotHere()
  await tellOf(scope, [sessionId])
  const leftOpen = isLeftOpen(session, todayIn(scope.classroom.timeZone))
  if (tap === 'back' && !leftOpen) return takeBack(scope, session, slot)
  if (tap === 'all-played') return playedToTheLast(scope, session)
  if (session.slot !== slot || session.state === 'done') return
  if ((session.state === 'planned') !== (tap === 'start')) return
  if (leftOpen) return close(scope, session, tap)
  const at = now()
  const before = beforeOf(session)
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

/** A session of a day gone by is ended in the slot it was left in; else nothing can be done with its clock. */
async function close(scope: ClassScope, session: SessionRow, tap: z.output<typeof clockSchema>['tap']) {
  if (tap !== 'finish') throw new Refused('The session was left open on another day. End it first.')
  // It can't be reopened on another day: there is no way back to keep.
  await end(scope, session.id, null)
}

/** All slots were played without the clock being told: said once their time has passed, also of a session that was ended. */
async function playedToTheLast(scope: ClassScope, session: SessionRow) {
  const { id, state, slot, slots } = session
  if (state === 'planned') return
  if (state === 'running' && !isLeftOpen(session, todayIn(scope.classroom.timeZone))) {
    if (slot + 1 < slots && !isTimeOver(clockOf(session, now())))
      throw new Refused('The session is still under way.')
    await updateSession(scope, id, { slot: slots - 1 })
    return end(scope, id, beforeOf(session))
  }
  if (state === 'done' && slot + 1 >= slots) return
  await updateSession(scope, id, { slot: slots - 1 })
  if (state === 'done') return sumUpPlayed(scope, id)
  return end(scope, id, null)
}

/** The clock as it stands, to come back to. */
const beforeOf = ({ slot, slotStartedAt, pausedAt, extraMinutes }: SessionRow): ClockBefore => ({
  slot,
  slotStartedAt: slotStartedAt?.toISOString() ?? null,
  pausedAt: pausedAt?.toISOString() ?? null,
  extraMinutes,
})

async function end(scope: ClassScope, sessionId: string, before: ClockBefore | null) {
  await updateSession(scope, sessionId, { state: 'done', before })
  // What helpers' devices still hold is taken for a while; nothing is shown by their links any more.
  await setLinksUntil(scope, sessionId, new Date(now().getTime() + lateMs))
  await sumUpPlayed(scope, sessionId)
}

/** The last Next or Finish did not happen: the clock runs on as if it had not been tapped. */
async function takeBack(
  scope: ClassScope,
  { id, state, day, slot: slotNow, before }: SessionRow,
  slot: number,
) {
  // Another device has moved on meanwhile: what this one saw is taken back already, or was another tap.
  if (state === 'planned' || !before || (state === 'running' && slotNow !== slot)) return
  if (state === 'done' && day !== todayIn(scope.classroom.timeZone))
    throw new Refused('Only a session of today can be reopened.')
  const other = await nextSession(scope)
  if (state === 'done' && other?.state === 'running')
    throw new Refused('Another session is under way. End that one first.')
  if (state === 'done') await setLinksUntil(scope, id, new Date(now().getTime() + linkMs))
  const { slotStartedAt, pausedAt, ...rest } = before
  await updateSession(scope, id, {
    ...rest,
    state: 'running',
    slotStartedAt: slotStartedAt === null ? null : new Date(slotStartedAt),
    pausedAt: pausedAt === null ? null : new Date(pausedAt),
    before: null,
  })
}
