import { gameOf } from '@/core/games'
import {
  isLeftOpen,
  type Away,
  type Finished,
  type Liked,
  type SessionClock,
  type ShownMark,
} from '@/core/live/session'
import type { Day } from '@/core/planning/calendar'
import type { LevelTexts } from '@/core/games/engine/texts'
import { textsAt } from '@/core/games/texts'
import { eachItsOwn } from '@/core/grouping/making/mode'
import type { Seats } from '@/core/planning/seating/partners'
import { timetable } from '@/core/planning/timetable'
import { slipReasons, stepOf, type SlipReason, type StepPlace } from '@/core/skills'
import { bagsOf } from '@/data/queries/bags'
import { draftOf } from '@/data/queries/drafts'
import { observationsOfVisits, type ObservationRow } from '@/data/queries/observations'
import { finishedOf, likedOf } from '@/data/queries/outcomes'
import { groupingOf } from '@/data/queries/groupings'
import { houseStyleOf } from '@/data/queries/house-style'
import { pupilsOf } from '@/data/queries/pupils'
import { absentOf, type SessionRow, type StationMode, type StoredSession } from '@/data/queries/sessions'
import type { ClassScope } from '@/data/scope'
import { displayName } from './classes'
import { now, todayIn } from './clock'
import { planRevision } from './live/plan-revision'
import { wayBack } from './room/before-replan'
import { stepOfVisit } from './marks/marks'

export type { SessionClock, ShownMark }

export interface RunVisit {
  id: string
  slot: number
  stationId: string
  groupId: string
  pennant: number
  level: string
  levelId: string
  /** No level is the group's: each child or pair plays at its own. */
  eachItsOwn: boolean
  step: VisitStep
  /** What an adult at the station needs, of the level that is played. */
  texts: Pick<
    LevelTexts,
    'setUp' | 'start' | 'steps' | 'rules' | 'end' | 'lookFors' | 'finishEarly' | 'stuck' | 'cautions'
  > & {
    /** What can go wrong, as it is seen, with the slip it is. */
    slips: { reason: SlipReason; seen: string }[]
  }
  /** Children by the set they play in; one set or none: all together. */
  seats: Seats
  /** Of a child that does not play at the group's level, its own, and the step that its marks are about. */
  children: { id: string; name: string; own?: { range: string; step: VisitStep } }[]
}

interface VisitStep {
  place: StepPlace
  sentence: string
  short: string
  marks: { own: string; help: string; notYet: string }
}

export interface RunPage {
  session: SessionClock & { id: string }
  day: Day
  /** Begun on a day gone by and never ended. */
  leftOpen: boolean
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
  /** Who is away, from which slot on. */
  absent: Away[]
  finished: Finished[]
  liked: Liked[]
  /** Who goes where, in short: another one when that has changed. */
  plan: string
  /** The plan was changed since it was made ready: those changes are not in this session. */
  changesWait: boolean
  /** Whoever looks leads the session; else it records and nothing more. */
  leads: boolean
  /** It goes on another way than planned; `open`: that can still be undone. */
  replanned: 'no' | 'open' | 'kept'
  /** Children who are in no group of this session: they came after it was planned. */
  waiting: { id: string; name: string }[]
}

function forRun(gameId: string, levelId: string): RunVisit['texts'] {
  const { setUp, start, steps, rules, end, lookFors, finishEarly, stuck, cautions, misconceptions } = textsAt(
    gameId,
    levelId,
  )
  const slips = misconceptions.flatMap(({ seen, slip, move }) => {
    const reason = slip ?? slipReasons.find((one) => one === move)
    return reason ? [{ reason, seen }] : []
  })
  return { setUp, start, steps, rules, end, lookFors, finishEarly, stuck, cautions, slips }
}

/** Milliseconds left of the slot under way; never more than all of it, whatever was done to the computer's clock. */
function leftOf({ slotMinutes, extraMinutes, slotStartedAt, pausedAt }: SessionRow, at: Date): number {
  const full = (slotMinutes + extraMinutes) * 60_000
  return slotStartedAt ? full - Math.max(0, (pausedAt ?? at).getTime() - slotStartedAt.getTime()) : full
}

/** The clock of a session at a moment. */
export function clockOf(session: SessionRow, at: Date): SessionClock {
  const { state, slots, slotMinutes, slot, pausedAt, slotStartedAt, extraMinutes, before } = session
  return {
    state,
    slots,
    slotMinutes,
    slot,
    // As time really passes, also where the clock is frozen for a test: devices hold it beside their own.
    at: Date.now(),
    leftMs: leftOf(session, at),
    fullMs: (slotMinutes + extraMinutes) * 60_000,
    paused: pausedAt !== null,
    canGoBack: state === 'running' && before !== null,
    moved: [
      state,
      slot,
      slots,
      slotStartedAt?.getTime(),
      pausedAt?.getTime(),
      extraMinutes,
      slotMinutes,
    ].join(' '),
  }
}

/** A record as it is shown. */
export function shownMark(record: ObservationRow): ShownMark {
  const { id, observer, pupilId, visitId, judged, right, of, how, linkId, digital, ...row } = record
  const place = { strand: row.strand, step: row.step }
  const played = digital ? { ...place, guess: row.guess, slips: row.slips ?? [] } : null
  const seen = { judged, right, of, how, place, linkId, digital: played }
  return { id, observer, pupilId, visitId: visitId!, ...seen }
}

/** What the children are called who are in the class now, by child. */
export async function namesOf(scope: ClassScope): Promise<Map<string, string>> {
  return new Map((await pupilsOf(scope)).map((pupil) => [pupil.id, displayName(pupil)]))
}

/** A session with everything that is seen and marked of it; null: its groups are no more. */
export async function boardOf(scope: ClassScope, session: StoredSession): Promise<RunPage | null> {
  const grouping = await groupingOf(scope, session.groupingId)
  if (!grouping) return null
  const names = await namesOf(scope)
  const visitIds = session.visits.map(({ id }) => id)
  const marks = await observationsOfVisits(scope, visitIds)
  const bags = [...(await bagsOf(scope)).keys()]
  return {
    session: { id: session.id, ...clockOf(session, now()) },
    day: session.day,
    leftOpen: isLeftOpen(session, todayIn(scope.classroom.timeZone)),
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
          const place = stepOfVisit(gameId, level, grouping.strand)
          const { sentence, short, marks: looks } = stepOf(place)
          return { place, sentence, short, marks: looks }
        }
        const { pennant, pupils } = grouping.groups.find((group) => group.id === groupId)!
        const each = eachItsOwn(grouping.mode) && Object.keys(ownLevels).length > 0
        return {
          id,
          slot,
          stationId,
          groupId,
          pennant,
          level: each ? 'own ranges' : titleOf(levelId),
          levelId,
          eachItsOwn: each,
          step: stepAt(levelId),
          texts: forRun(gameId, levelId),
          seats,
          children: [...new Set([...seats.flat(), ...pupils])].flatMap((pupilId) => {
            const name = names.get(pupilId)
            if (!name) return []
            const level = ownLevels[pupilId] ?? levelId
            const own = each || level !== levelId
            return [
              {
                id: pupilId,
                name,
                ...(own ? { own: { range: titleOf(level), step: stepAt(level) } } : {}),
              },
            ]
          }),
        }
      })
      .sort((a, b) => a.slot - b.slot || a.pennant - b.pennant),
    marks: marks.map(shownMark),
    digital: (await houseStyleOf(scope)).digital,
    absent: await absentOf(scope, session.id),
    finished: await finishedOf(scope, visitIds),
    liked: await likedOf(scope, visitIds),
    plan: planRevision(session, grouping, names),
    leads: scope.party === 'teacher',
    replanned: session.beforeReplan === null ? 'no' : wayBack(session) ? 'open' : 'kept',
    changesWait: session.state === 'planned' && (await draftOf(scope, 'plan')) !== null,
    waiting: [...names].flatMap(([id, name]) =>
      grouping.groups.some(({ pupils }) => pupils.includes(id)) ? [] : [{ id, name }],
    ),
  }
}
