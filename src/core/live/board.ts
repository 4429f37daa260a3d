import type { Told } from '../evidence/told'
import type { LiveChange } from './change'
import type { LiveSession, SessionClock } from './session'

/** What of a board changes while a session runs. */
export type LivePart = Pick<LiveSession, 'marks' | 'absent' | 'finished' | 'liked' | 'plan'> & {
  session: SessionClock & { id: string }
}

export const livePartOf = ({ session, marks, absent, finished, liked, plan }: LivePart): LivePart => ({
  session,
  marks,
  absent,
  finished,
  liked,
  plan,
})

/** A board after what a device was told. */
export function applied(board: LivePart, change: LiveChange): LivePart {
  const { clock, marks, full } = change
  const put = new Map(marks?.put.map((mark) => [mark.id, mark]))
  const gone = new Set(marks?.gone)
  const kept = full ? [] : board.marks.filter(({ id }) => !gone.has(id) && !put.has(id))
  return {
    session: clock ? { ...board.session, ...clock } : board.session,
    marks: marks ? [...kept, ...put.values()] : board.marks,
    absent: change.absent ?? board.absent,
    // Told of some visits only: those that are not named have not changed, unless it is all there is.
    finished: merged(board.finished, change.finished, full),
    liked: merged(board.liked, change.liked, full),
    plan: change.plan ?? board.plan,
  }
}

function merged<T extends { visitId: string }>(before: T[], told: T[] | undefined, full?: true): T[] {
  if (!told) return before
  const visits = new Set(told.map(({ visitId }) => visitId))
  return full ? told : [...before.filter(({ visitId }) => !visits.has(visitId)), ...told]
}

/** A board with what this device has told and the server may not have yet. */
export function withTold(board: LivePart, told: readonly Told[]): LivePart {
  return told.reduce((now, one) => {
    switch (one.kind) {
      case 'absent': {
        if (one.sessionId !== now.session.id) return now
        const { pupilId, fromSlot, absent } = one
        const others = now.absent.filter((away) => away.pupilId !== pupilId)
        return { ...now, absent: absent ? [...others, { pupilId, fromSlot }] : others }
      }
      case 'finished': {
        const { visitId, minutes, id } = one
        const before = now.finished.find((visit) => visit.visitId === visitId)
        const games = (before?.games ?? 0) + 1
        const after = { visitId, games, minutes: (before?.minutes ?? 0) + minutes, last: { id, minutes } }
        return { ...now, finished: merged(now.finished, [after]) }
      }
      case 'unfinished': {
        const before = now.finished.find(({ last }) => last?.id === one.game)
        if (!before) return now
        const after = {
          ...before,
          games: before.games - 1,
          minutes: before.minutes - before.last!.minutes,
          last: null,
        }
        return { ...now, finished: merged(now.finished, [after]) }
      }
      case 'liked':
        return { ...now, liked: merged(now.liked, [{ visitId: one.visitId, liked: one.liked }]) }
      case 'note':
        return now
    }
  }, board)
}
