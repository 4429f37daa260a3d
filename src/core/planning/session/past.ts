import { schoolDaysBetween, type Day } from '../calendar'
import type { StationMode } from './plan'

/** A child at a game in a way of having an adult, with the last day of it. */
export interface Played {
  pupilId: string
  gameId: string
  mode: StationMode
  day: Day
}

/** A child's judgements of late, and how many of them were "not yet". */
export interface MarksLately {
  pupilId: string
  marks: number
  notYet: number
}

/** A visit of a session that was held: the sets its group played in, without who was away. */
export interface SeatedBefore {
  sessionId: string
  slot: number
  sets: string[][]
}

/** What a plan asks of a group's weeks before. */
export interface GroupPast {
  /** School days since half of the group last played a game. */
  lastPlayed: Record<string, number>
  /** Games most of the group have played before. */
  met: string[]
  /** School days since half of the group was with the teacher; null: not yet. */
  sinceTeacher: number | null
  /** Share of "not yet" among the marks of the latest weeks. */
  notYet: number
}

/** Marks of so many days back say how it goes now; partners of so many are remembered. */
export const latelyDays = 21
/** Of a group, so many must have met a game for the group to know it. */
const mostOf = 0.75

/** Sums up who has played what for the children who are a group now, whatever group they were in then. */
export function pastOf(
  pupils: readonly string[],
  played: readonly Played[],
  marks: readonly MarksLately[],
  day: Day,
): GroupPast {
  const own = played.filter(({ pupilId }) => pupils.includes(pupilId))
  const gameIds = [...new Set(own.map(({ gameId }) => gameId))]
  const ago = (rows: readonly Played[]) => agoForShare(rows, pupils.length, 0.5, day)
  const lately = marks.filter(({ pupilId }) => pupils.includes(pupilId))
  const count = (of: 'marks' | 'notYet') => lately.reduce((sum, row) => sum + row[of], 0)
  return {
    lastPlayed: Object.fromEntries(
      gameIds.flatMap((gameId) => {
        const days = ago(own.filter((row) => row.gameId === gameId))
        return days === null ? [] : [[gameId, days]]
      }),
    ),
    met: gameIds.filter((gameId) => {
      const met = own.filter((row) => row.gameId === gameId)
      return new Set(met.map(({ pupilId }) => pupilId)).size >= mostOf * pupils.length
    }),
    sinceTeacher: ago(own.filter(({ mode }) => mode === 'adult-led')),
    notYet: count('marks') === 0 ? 0 : count('notYet') / count('marks'),
  }
}

/** School days since the day from which on that share of the children did it; null: too few ever did. */
function agoForShare(rows: readonly Played[], children: number, share: number, day: Day): number | null {
  const since = dayOfShare(rows, children, share)
  return since === null ? null : Math.max(0, schoolDaysBetween(since, day))
}

/** The last day by which that share of the children did it, each on their own last day; null: too few ever did. */
export function dayOfShare(rows: readonly Played[], children: number, share: number): Day | null {
  const last = new Map<string, Day>()
  for (const row of rows) if (row.day > (last.get(row.pupilId) ?? '')) last.set(row.pupilId, row.day)
  const days = [...last.values()].sort().reverse()
  const wanted = Math.max(1, Math.ceil(share * children))
  return days[wanted - 1] ?? null
}
