'use client'

import { useMemo, useSyncExternalStore } from 'react'
import type { Told } from '@/core/evidence/told'
import type { RunPage, RunVisit, ShownMark } from '@/server/session-board'
import { awayAt, notSeen } from './board'
import type { ToTell } from './outbox'
import { isMark, type Entry } from './outbox-store'
import { latenessOf } from './lateness'
import { useCountdown } from './use-countdown'
import { useKeptPage } from './use-kept-page'
import { useLiveBoard } from './use-live-board'
import { useMarks } from './use-marks'
import type { MarksOf } from './use-outbox'

const never = () => () => undefined

const isTold = (entry: Entry): entry is Told => !isMark(entry)

/** What marks of a child are about at a visit. */
export const stepOfChild = (visit: RunVisit, pupilId: string): RunVisit['step'] =>
  visit.children.find(({ id }) => id === pupilId)?.own?.step ?? visit.step

/** Marks about what is played now: a child that plays another level since then is marked anew. */
const aboutNow = (visits: readonly RunVisit[], marks: readonly ShownMark[]) => {
  const byId = new Map(visits.map((visit) => [visit.id, visit]))
  return marks.filter(({ visitId, pupilId, place, digital }) => {
    const visit = byId.get(visitId)
    if (!visit || digital) return true
    const now = stepOfChild(visit, pupilId).place
    return now.strand === place.strand && now.step === place.step
  })
}

/**
 * A session on this device: what all devices of it have recorded, and what this one does, which is seen at once, kept
 * on the device and then stored.
 * @param at where the session can be listened to
 */
export function useSession(of: MarksOf, at: string, page: RunPage) {
  const { boardWith, noteTold, line, version } = useLiveBoard(at, page)
  const { marks: all } = boardWith([])
  // The same array as long as nothing has changed: another one is taken for news.
  const stored = useMemo(() => aboutNow(page.visits, all), [page.visits, all])
  const marks = useMarks(of, stored)
  const board = boardWith(marks.waiting.filter(isTold))
  const { session } = board
  const running = session.state === 'running'
  useKeptPage(version, session.state === 'done' || line === 'over')
  const late = useSyncExternalStore(
    never,
    () => latenessOf(page.session.at),
    () => 0,
  )
  // A page from before goes on from where it would be by now, until the server speaks.
  const leftMs = session.leftMs - (line === 'live' || session.paused || !running ? 0 : late)
  const left = useCountdown(leftMs, running && !session.paused)
  const visits = page.visits.filter(({ slot }) => slot === session.slot)
  const absent = awayAt(board.absent, session.slot)

  function tell(what: ToTell) {
    void marks.tell(what).then(noteTold)
  }

  return {
    board,
    session,
    running,
    /** Milliseconds left of the slot. */
    left,
    line,
    marks,
    /** Those of the slot under way. */
    visits,
    /** Who is away in this slot. */
    absent,
    names: new Map(
      page.visits.flatMap(({ children }) => children.map(({ id, name }) => [id, name] as const)),
    ),
    unseen: notSeen(page.visits, absent, marks.markOf, marks.othersOf),
    tell,
    outcomeOf: (visitId: string) => ({
      finished: board.finished.find((one) => one.visitId === visitId) ?? null,
      liked: board.liked.find((one) => one.visitId === visitId)?.liked,
    }),
    /** A game has been finished at a visit: it took the time since the slot began, or since the game before. */
    finish(visitId: string) {
      const before = board.finished.find((one) => one.visitId === visitId)?.minutes ?? 0
      const minutes = Math.max(0.1, (session.fullMs - left) / 60_000 - before)
      tell({ kind: 'finished', visitId, minutes: Math.min(120, minutes) })
    },
    /** The last one was a tap too much. */
    unfinish: (visitId: string, game: string) => tell({ kind: 'unfinished', visitId, game }),
    like: (visitId: string, liked: boolean) => tell({ kind: 'liked', visitId, liked }),
    setAway: (pupilId: string, away: { fromSlot: number } | null) =>
      tell({
        kind: 'absent',
        sessionId: session.id,
        pupilId,
        absent: away !== null,
        fromSlot: away?.fromSlot ?? 0,
      }),
    awayFrom: (pupilId: string) => board.absent.find((one) => one.pupilId === pupilId)?.fromSlot ?? null,
  }
}

/** What of the line to other devices an adult has to know; null: nothing. */
export function lineInWords(line: ReturnType<typeof useLiveBoard>['line']): string | null {
  if (line === 'away') return 'No line to other devices'
  return line === 'over' ? 'The session has ended' : null
}
