import { gameOf } from '@/core/games'
import type { Day } from '@/core/planning/calendar'
import type { Need } from '@/core/planning/materials'
import { seenInClass } from '@/data/queries/evidence'
import { groupingOf } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { nextSession, type StationMode, type StoredSession } from '@/data/queries/sessions'
import { childrenOf } from './children'
import { classIdSchema } from './classes'
import { todayIn } from './clock'
import { workOutSession } from './plan/work-out'
import { classSuggestions, type ChildSuggestion } from './progress'
import { readingClass } from './use-case'

export interface HarbourPage {
  children: number
  hasGroups: boolean
  session: null | {
    id: string
    state: StoredSession['state']
    day: Day
    today: boolean
    startsAt: string
    slots: number
    slot: number
    from: string
    to: string
    stations: { title: string; level: string; mode: StationMode; pennants: number[] }[]
    unlikely: { station: string; finishInSlot: number }[]
    needs: Need[]
  }
  toLookAt: ChildSuggestion[]
  today: Day
}

const mostToLookAt = 5

/** What is next: the coming session at its slot, what to lay out, whom to look at. */
export const harbourPage = readingClass(classIdSchema, async (scope): Promise<HarbourPage> => {
  const today = todayIn(scope.classroom.timeZone)
  const [children, newest, session, seen, style] = await Promise.all([
    childrenOf(scope),
    groupingOf(scope),
    nextSession(scope),
    seenInClass(scope),
    houseStyleOf(scope),
  ])
  const toLookAt = newest
    ? classSuggestions(children, seen, newest, style.movingUp, today).slice(0, mostToLookAt)
    : []
  const frame = { children: children.length, hasGroups: newest !== null, toLookAt, today }
  if (!session || !newest) return { ...frame, session: null }
  const grouping = session.groupingId === newest.id ? newest : await groupingOf(scope, session.groupingId)
  if (!grouping) return { ...frame, session: null }

  const view = workOutSession(session, grouping, children)
  const now = view.visits.filter(({ slot }) => slot === session.slot)
  return {
    ...frame,
    session: {
      id: session.id,
      state: session.state,
      day: session.day,
      today: session.day === today,
      startsAt: session.startsAt,
      slots: session.slots,
      slot: session.slot,
      ...view.times.slots[session.slot],
      stations: session.stations.map(({ gameId, mode, position }) => {
        const here = now.filter(({ station }) => station === position)
        return {
          title: gameOf(gameId).title,
          level: [...new Set(here.map(({ levelTitle }) => levelTitle))].join(' · '),
          mode,
          pennants: here.map(({ group }) => grouping.groups[group].pennant),
        }
      }),
      unlikely: view.conflicts.flatMap((conflict) =>
        conflict.kind === 'too-long'
          ? [
              {
                station:
                  view.stations[
                    view.visits.find(({ slot, group }) => slot === conflict.slot && group === conflict.group)!
                      .station
                  ].title,
                finishInSlot: conflict.finishInSlot,
              },
            ]
          : [],
      ),
      needs: [...view.shelf, ...view.print],
    },
  }
})
