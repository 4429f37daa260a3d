import type { Mark, MarkValue } from '@/core/evidence/mark'
import { gameOf } from '@/core/games'
import type { LevelTexts } from '@/core/games/engine/texts'
import { textsAt } from '@/core/games/texts'
import type { Seats } from '@/core/planning/seating/partners'
import { timetable } from '@/core/planning/timetable'
import { stepOf } from '@/core/skills'
import { bagsOf } from '@/data/queries/bags'
import { draftOf } from '@/data/queries/drafts'
import { observationsOfVisits } from '@/data/queries/observations'
import { groupingOf } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { pupilsOf } from '@/data/queries/pupils'
import { absentOf, type SessionRow, type StationMode, type StoredSession } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { displayName } from './classes'
import { now } from './clock'
import { stepOfVisit } from './marks/marks'

/** A mark that stands, as the run board shows it. */
export type ShownMark = MarkValue &
  Pick<Mark, 'id' | 'observer' | 'pupilId' | 'digital'> & { visitId: string }

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
    /** Printed things in the game's bag: one of them may be missing. */
    inBag: { item: string; name: string }[]
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

/** A session with everything that is seen and marked of it; null: its groups are no more. */
export async function boardOf(scope: ClassScope, session: StoredSession): Promise<RunPage | null> {
  const grouping = await groupingOf(scope, session.groupingId)
  if (!grouping) return null
  const names = new Map((await pupilsOf(scope)).map((pupil) => [pupil.id, displayName(pupil)]))
  const marks = await observationsOfVisits(
    scope,
    session.visits.map(({ id }) => id),
  )
  const bags = [...(await bagsOf(scope)).keys()]
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
        inBag: bags.flatMap((item) =>
          item.startsWith(`${gameId}/`) ? [{ item, name: item.slice(gameId.length + 1) }] : [],
        ),
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
}
